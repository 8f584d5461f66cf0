<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\Near;
use Jorvel\Core\Shared\Unit;

/**
 * An indication beside the real thing: whether the two agree, and whether their agreeing says anything.
 *
 * Two dead gauges agree at nought. Of what cannot be below nought (a pressure, a torque, a force, a speed), two
 * readings that both lie within the tolerance of nought prove nothing.
 */
final readonly class Agreement
{
    private const FROM_NOUGHT = ['pressure', 'torque', 'force', 'speed', 'volume', 'mass', 'percent'];

    private function __construct(public Verdict $verdict, public float $spread) {}

    /**
     * @param float $within in the readings' unit, at least 0
     *
     * @pure
     */
    public static function of(float $shown, float $real, Unit $unit, float $within): self
    {
        $alike = Alike::of([$shown, $real], $within);
        $dead = in_array($unit->dimension(), self::FROM_NOUGHT, true) && Near::atMost(abs($shown), $within)
            && Near::atMost(abs($real), $within);

        return new self($dead ? Verdict::Invalid : $alike->verdict, $alike->spread);
    }
}
