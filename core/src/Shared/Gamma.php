<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

use function abs;
use function exp;
use function log;
use function sqrt;

/**
 * The gamma function and its incomplete ratios.
 *
 * Stirling's series from 10 on, the recurrence below it; the ratio by its power series left of the shape and by its
 * continued fraction (Lentz) right of it (Abramowitz and Stegun, 6.1.41, 6.5.29, 6.5.31). To about twelve figures.
 */
final class Gamma
{
    /**
     * What Stirling's formula lacks: ln Γ(z + 1) − (z + ½) ln z + z − ½ ln 2π.
     *
     * @param float $z above 0
     *
     * @pure
     */
    public static function stirlingError(float $z): float
    {
        if ($z >= 10) {
            $q = 1 / ($z * $z);

            return (1 / 12 - $q * (1 / 360 - $q * (1 / 1260 - $q * (1 / 1680 - $q / 1188)))) / $z;
        }
        // Γ(z + 1) = Γ(z + 2) ÷ (z + 1): one step up each time, exact in logarithms.
        return self::stirlingError($z + 1) + ($z + 0.5) * log(($z + 1) / $z) - 1;
    }

    /**
     * The chance that a gamma variate of this shape, scale 1, is at most x.
     *
     * @param float $shape above 0
     * @param float $x at least 0
     *
     * @pure
     */
    public static function atMost(float $shape, float $x): float
    {
        return match (true) {
            $x <= 0 => 0.0,
            $x < $shape + 1 => self::series($shape, $x),
            default => 1 - self::fraction($shape, $x),
        };
    }

    /** The chance that it is more than x, kept exact where it is small. @pure */
    public static function above(float $shape, float $x): float
    {
        return match (true) {
            $x <= 0 => 1.0,
            $x < $shape + 1 => 1 - self::series($shape, $x),
            default => self::fraction($shape, $x),
        };
    }

    /**
     * The value that the variate exceeds with this chance.
     *
     * Newton's steps from the cube-root approximation (Wilson and Hilferty), kept between bounds that close in.
     *
     * @param float $shape above 0
     * @param float $chance above 0 and below 1
     *
     * @pure
     */
    public static function exceeded(float $shape, float $chance): float
    {
        [$low, $high] = [0.0, $shape + 1];
        while (self::above($shape, $high) > $chance) {
            [$low, $high] = [$high, 2 * $high];
        }
        $x = ($low + $high) / 2;
        for ($i = 0; $i < 200; $i++) {
            // The smaller side is the one that keeps its figures.
            $off = $chance <= 0.5
                ? self::above($shape, $x) - $chance
                : (1 - $chance) - self::atMost($shape, $x);
            [$low, $high] = $off > 0 ? [$x, $high] : [$low, $x];
            $density = self::power($shape, $x) / $x;
            $next = $density > 0 ? $x + $off / $density : ($low + $high) / 2;
            $next = $next > $low && $next < $high ? $next : ($low + $high) / 2;
            if (abs($next - $x) <= 1e-14 * $x) {
                return $next;
            }
            $x = $next;
        }

        return $x;
    }

    /** xᵃ e⁻ˣ ÷ Γ(a), by way of how far x is from a. @pure */
    private static function power(float $a, float $x): float
    {
        $u = ($x - $a) / $a;
        $away = abs($u) < 0.1 ? self::byTerms($u) : $u - log(1 + $u);

        return sqrt($a / (2 * M_PI)) * exp(-$a * $away - self::stirlingError($a));
    }

    /** u − ln(1 + u) for a small u, where the two would cancel. @pure */
    public static function byTerms(float $u): float
    {
        $sum = 0.0;
        $term = $u * $u;
        for ($n = 2; $n < 60; $n++, $term *= -$u) {
            $sum += $term / $n;
        }

        return $sum;
    }

    /** @pure */
    private static function series(float $a, float $x): float
    {
        $term = $sum = 1 / $a;
        for ($n = $a + 1; $term > $sum * 1e-17; $n++) {
            $term *= $x / $n;
            $sum += $term;
        }

        return $sum * self::power($a, $x);
    }

    /** @pure */
    private static function fraction(float $a, float $x): float
    {
        $b = $x + 1 - $a;
        $c = 1e300;
        $d = 1 / $b;
        $h = $d;
        for ($i = 1; $i < 1_000_000; $i++) {
            $an = -$i * ($i - $a);
            $b += 2;
            $d = 1 / ($an * $d + $b);
            $c = $b + $an / $c;
            $step = $d * $c;
            $h *= $step;
            if (abs($step - 1) < 1e-16) {
                break;
            }
        }

        return $h * self::power($a, $x);
    }
}
