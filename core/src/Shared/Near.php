<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

use function floor;

/** Comparison with a bound, inclusive and blind to float noise: 1e-9 × max(1, |bound|). */
final class Near
{
    /**
     * The noise allowed around a bound, in the bound's own unit.
     *
     * @pure
     */
    public static function noise(float $bound): float
    {
        return $bound > 1.0 ? 1e-9 * $bound : ($bound < -1.0 ? -1e-9 * $bound : 1e-9);
    }

    /** @pure */
    public static function atMost(float $value, float $bound): bool
    {
        return $value <= $bound + self::noise($bound);
    }

    /** @pure */
    public static function atLeast(float $value, float $bound): bool
    {
        return $value >= $bound - self::noise($bound);
    }

    /**
     * The whole part of a number that noise may have left just below a whole one.
     *
     * @pure
     */
    public static function floor(float $value): int
    {
        return (int) floor($value + self::noise($value));
    }
}
