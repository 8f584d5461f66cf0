<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

/**
 * The normal distribution, far into its tails: probabilities as logarithms, which never underflow.
 *
 * The tail is W. J. Cody's rational Chebyshev approximation of erfc (1969), to about 16 digits.
 */
final class Normal
{
    private const A = [
        1.85777706184603153e-1, 3.16112374387056560e0, 1.13864154151050156e2, 3.77485237685302021e2,
        3.20937758913846947e3,
    ];

    private const B = [2.36012909523441209e1, 2.44024637934444173e2, 1.28261652607737228e3, 2.84423683343917062e3];

    private const C = [
        2.15311535474403846e-8, 5.64188496988670089e-1, 8.88314979438837594e0, 6.61191906371416295e1,
        2.98635138197400131e2, 8.81952221241769090e2, 1.71204761263407058e3, 2.05107837782607147e3,
        1.23033935479799725e3,
    ];

    private const D = [
        1.57449261107098347e1, 1.17693950891312499e2, 5.37181101862009858e2, 1.62138957456669019e3,
        3.29079923573345963e3, 4.36261909014324716e3, 3.43936767414372164e3, 1.23033935480374942e3,
    ];

    private const P = [
        1.63153871373020978e-2, 3.05326634961232344e-1, 3.60344899949804439e-1, 1.25781726111229246e-1,
        1.60837851487422766e-2, 6.58749161529837803e-4,
    ];

    private const Q = [
        2.56852019228982242e0, 1.87295284992346725e0, 5.27905102951428412e-1, 6.05183413124413191e-2,
        2.33520497626869185e-3,
    ];

    /** 1 ÷ √π */
    private const ROOT = 0.56418958354775628695;

    /**
     * ln P(low ≤ X ≤ high) of a normal X.
     *
     * @param float $mean finite
     * @param float $sd above 0
     * @param float $low below `$high`
     *
     * @pure
     */
    public static function logBetween(float $mean, float $sd, float $low, float $high): float
    {
        $from = ($low - $mean) / $sd;
        $to = ($high - $mean) / $sd;
        if ($to < 0.0) {
            [$from, $to] = [-$to, -$from];
        }
        if ($from < 0.0) {
            // Both tails are cut off a whole.
            return log1p(-exp(self::logTail(-$from)) - exp(self::logTail($to)));
        }
        $near = self::logTail($from);

        return $near + log(-expm1(self::logTail($to) - $near));
    }

    /**
     * ln P(X > z) of a standard normal X, for z ≥ 0.
     *
     * @pure
     */
    public static function logTail(float $z): float
    {
        $y = $z * M_SQRT1_2;
        if ($y <= 0.46875) {
            $s = $y * $y;
            $top = self::A[0] * $s;
            $under = $s;
            for ($i = 1; $i < 4; $i++) {
                $top = ($top + self::A[$i]) * $s;
                $under = ($under + self::B[$i - 1]) * $s;
            }

            return log(0.5 - 0.5 * $y * ($top + self::A[4]) / ($under + self::B[3]));
        }
        if ($y <= 4.0) {
            $top = self::C[0] * $y;
            $under = $y;
            for ($i = 1; $i < 8; $i++) {
                $top = ($top + self::C[$i]) * $y;
                $under = ($under + self::D[$i - 1]) * $y;
            }

            return log(0.5 * ($top + self::C[8]) / ($under + self::D[7])) - $y * $y;
        }
        $s = 1 / ($y * $y);
        $top = self::P[0] * $s;
        $under = $s;
        for ($i = 1; $i < 5; $i++) {
            $top = ($top + self::P[$i]) * $s;
            $under = ($under + self::Q[$i - 1]) * $s;
        }

        return log(0.5 * (self::ROOT - $s * ($top + self::P[5]) / ($under + self::Q[4])) / $y) - $y * $y;
    }
}
