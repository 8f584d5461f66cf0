<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

/** What took the reading: its range and uncertainty, and how long its calibration stands. */
final readonly class Instrument
{
    private function __construct(
        public Unit $unit,
        public float $resolution,
        public float $uncertainty,
        public float $low,
        public float $high,
        public Day $calDue,
    ) {}

    /**
     * @param float $resolution in its unit, above 0: the digits a reading may carry on the screen
     * @param float $uncertainty in its unit, at least 0
     * @param Day $calDue the last day on which its calibration stands
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(
        Unit $unit,
        float $resolution,
        float $uncertainty,
        float $low,
        float $high,
        Day $calDue,
    ): self {
        if (! ($resolution > 0)) {
            throw InputError::notPositive('resolution');
        }
        if (! ($uncertainty >= 0)) {
            throw InputError::negative('uncertainty');
        }
        foreach ([$low, $high] as $i => $end) {
            try {
                Quantity::of($end, $unit);
            } catch (InputError $e) {
                throw InputError::at("range.{$i}", $e->getMessage());
            }
        }
        if ($low > $high) {
            throw InputError::at('range', 'has its low end above its high end');
        }

        return new self($unit, $resolution, $uncertainty, $low, $high, $calDue);
    }
}
