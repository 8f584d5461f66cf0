<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\DatedReading;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\GasPressure;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** One reading of a bottle's or an accumulator's gauge. */
final readonly class GasReading implements DatedReading
{
    private function __construct(
        public Day $date,
        public float $pressure,
        public float $tempC,
        public bool $replaced,
    ) {}

    /**
     * @param float $pressure gauge, in the unit, not below −101.325 kPa
     * @param float $tempC of the gas, above absolute zero
     * @param bool $replaced the bottle was changed or filled just before: the trend starts anew with this reading
     *
     * @throws InputError at `pressure` or `temp_c`
     *
     * @pure
     */
    public static function of(Day $date, float $pressure, float $tempC, Unit $unit, bool $replaced = false): self
    {
        GasPressure::require($pressure, $unit, $tempC);

        return new self($date, $pressure, $tempC, $replaced);
    }

    public function day(): Day
    {
        return $this->date;
    }

    public function anew(): bool
    {
        return $this->replaced;
    }
}
