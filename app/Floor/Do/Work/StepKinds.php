<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Shared\Refused;
use Illuminate\Contracts\Container\Container;

/** Every kind of step, by its name: docs/steps.md. */
final readonly class StepKinds
{
    private const KINDS = [
        'caution' => Confirm::class, 'instruction' => Confirm::class, 'finding_prompt' => Confirm::class,
        'measurement' => Read::class, 'torque' => Read::class, 'timing' => Read::class,
        'count' => Count::class, 'hold' => Hold::class, 'compare' => Compare::class, 'part' => FitPart::class, 'tool' => UseTool::class,
        'safing_fit' => FitDevice::class, 'safing_remove' => RemoveDevice::class, 'rollcall' => CallClear::class,
        'test' => Test::class, 'rig' => Rigging::class,
    ];

    public function __construct(private Container $container) {}

    /** @throws Refused for an inspection, which is signed and not worked */
    public function of(string $kind): StepKind
    {
        $class = self::KINDS[$kind] ?? throw Refused::because('An independent inspection is signed by its inspector, with stamp and PIN.');

        return $this->container->make($class);
    }
}
