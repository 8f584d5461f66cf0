<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

/**
 * A gauge pressure of a gas, and what it would read at another temperature (Gay-Lussac: absolute pressure over kelvin
 * is constant).
 */
final class GasPressure
{
    /** Standard atmosphere, in kPa. */
    public const ATMOSPHERE = 101.325;

    public const ZERO_C = 273.15;

    /**
     * What a gauge reading would be at another temperature, the volume and the amount of gas unchanged.
     *
     * @param float $gauge in the unit, not below −101.325 kPa
     * @param Unit $unit a unit of pressure
     * @param float $from temperature of the reading, in °C, above absolute zero
     * @param float $to temperature wanted, in °C, above absolute zero
     *
     * @return float gauge pressure in the same unit
     *
     * @pure
     */
    public static function at(float $gauge, Unit $unit, float $from, float $to): float
    {
        $atmosphere = self::atmosphere($unit);

        return ($gauge + $atmosphere) * ($to + self::ZERO_C) / ($from + self::ZERO_C) - $atmosphere;
    }

    /**
     * Refuses a reading that cannot be one.
     *
     * @throws InputError at `pressure` or `temp_c`
     */
    public static function require(float $gauge, Unit $unit, float $tempC): void
    {
        if ($gauge < -self::atmosphere($unit) - 1e-9) {
            throw InputError::at('pressure', 'is below a vacuum');
        }
        if ($tempC <= -self::ZERO_C) {
            throw InputError::at('temp_c', 'is not above absolute zero');
        }
    }

    /** @pure */
    private static function atmosphere(Unit $unit): float
    {
        return Unit::kPa->to($unit, self::ATMOSPHERE);
    }
}
