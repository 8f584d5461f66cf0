<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

use function abs;
use function exp;
use function log;
use function sqrt;

/**
 * Chances of a binomial count.
 *
 * The point mass by deviances, which keeps its figures also for millions of trials (Loader, 2000); the tail by the
 * continued fraction of the incomplete beta ratio (Lentz; Abramowitz and Stegun, 26.5.8).
 */
final class Binomial
{
    /**
     * The chance of at least so many successes.
     *
     * @param int $trials at least 0
     * @param float $p of one, above 0 and below 1
     *
     * @pure
     */
    public static function atLeast(int $successes, int $trials, float $p): float
    {
        if ($successes <= 0) {
            return 1.0;
        }
        if ($successes > $trials) {
            return 0.0;
        }
        $a = (float) $successes;
        $b = (float) ($trials - $successes + 1);
        // p^a (1 − p)^b ÷ B(a, b) is a (1 − p) times the point mass.
        $front = $a * (1 - $p) * self::exactly($successes, $trials, $p);

        return $p < ($a + 1) / ($a + $b + 2)
            ? $front / $a * self::fraction($a, $b, $p)
            : 1 - $front / $b * self::fraction($b, $a, 1 - $p);
    }

    /** The chance of exactly so many. @pure */
    public static function exactly(int $successes, int $trials, float $p): float
    {
        $misses = $trials - $successes;
        if ($successes === 0) {
            return exp($trials * log(1 - $p));
        }
        if ($misses === 0) {
            return exp($trials * log($p));
        }
        $log = Gamma::stirlingError($trials) - Gamma::stirlingError($successes) - Gamma::stirlingError($misses)
            - self::deviance($successes, $trials * $p) - self::deviance($misses, $trials * (1 - $p));

        return exp($log) * sqrt($trials / (2 * M_PI * $successes * $misses));
    }

    /** x ln(x ÷ m) + m − x. @pure */
    private static function deviance(float $x, float $m): float
    {
        $u = ($m - $x) / $x;

        return $x * (abs($u) < 0.1 ? Gamma::byTerms($u) : $u - log(1 + $u));
    }

    /** @pure */
    private static function fraction(float $a, float $b, float $x): float
    {
        $c = 1.0;
        $d = 1 / self::away(1 - ($a + $b) * $x / ($a + 1));
        $h = $d;
        for ($m = 1; $m < 1_000_000; $m++) {
            $even = $m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m));
            $d = 1 / self::away(1 + $even * $d);
            $c = self::away(1 + $even / $c);
            $h *= $d * $c;
            $odd = -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1));
            $d = 1 / self::away(1 + $odd * $d);
            $c = self::away(1 + $odd / $c);
            $step = $d * $c;
            $h *= $step;
            if (abs($step - 1) < 1e-16) {
                break;
            }
        }

        return $h;
    }

    /** Never nought, which could not be divided by. @pure */
    private static function away(float $value): float
    {
        return abs($value) < 1e-300 ? 1e-300 : $value;
    }
}
