<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Shared\Refused;
use Illuminate\Contracts\Container\Container;

/** Every kind of step, by its name: docs/steps.md. Other rooms may add theirs. */
final readonly class StepKinds
{
    private const KINDS = [
        'caution' => Confirm::class, 'instruction' => Confirm::class, 'finding_prompt' => Confirm::class,
        'measurement' => Read::class, 'torque' => Read::class, 'timing' => Read::class,
        'count' => Count::class, 'hold' => Hold::class, 'compare' => Compare::class, 'part' => FitPart::class,
        'tool' => UseTool::class,
        'safing_fit' => FitDevice::class, 'safing_remove' => RemoveDevice::class, 'rollcall' => CallClear::class,
        'test' => Test::class, 'answer' => Answer::class, 'mark' => Mark::class, 'meet' => Meet::class,
        'circuit' => Circuit::class, 'exchange' => ExchangeUnit::class, 'consumable' => FillIn::class,
        'attempt' => BeginAttempt::class, 'verdict' => GiveVerdict::class,
    ];

    public function __construct(private Container $container) {}

    /** What another room's kind of step is bound to, to be found here. */
    public static function named(string $kind): string
    {
        return "step-kind.{$kind}";
    }

    /** @throws Refused for an inspection, which is signed and not worked */
    public function of(string $kind): StepKind
    {
        $class = self::KINDS[$kind] ?? ($this->container->bound(self::named($kind)) ? self::named($kind) : null)
            ?? throw Refused::because(
                'An independent inspection is signed by its inspector, with stamp and PIN.',
            );

        return $this->container->make($class);
    }
}
