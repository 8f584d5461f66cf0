<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function count;

use Jorvel\Core\Shared\InputError;

/**
 * Where a falling gauge drops away: the pre-charge of an accumulator.
 *
 * While fluid is left the gauge falls a little with each operation; with the last of it, it drops to nought at once.
 * The last reading before the greatest fall is the pre-charge.
 */
final class FallAway
{
    /** The fall must be so many times the usual one between two readings to count as dropping away. */
    private const TIMES = 3.0;

    /**
     * @param list<float> $readings one after the other, in one unit
     *
     * @return float the last reading before it dropped away
     *
     * @throws InputError at `readings` with fewer than four, or where it did not drop away
     *
     * @pure
     */
    public static function at(array $readings): float
    {
        if (count($readings) < 4) {
            throw InputError::at('readings', 'must be four at least, down to where the gauge has dropped away');
        }
        $falls = [];
        for ($i = 1; $i < count($readings); $i++) {
            $falls[] = $readings[$i - 1] - $readings[$i];
        }
        $k = (int) array_search(max($falls), $falls, true);
        $before = array_slice($falls, 0, $k);
        sort($before);
        $usual = $before === [] ? 0.0 : $before[intdiv(count($before) - 1, 2)];
        if ($before === [] || $falls[$k] <= self::TIMES * max($usual, 0.0) || $falls[$k] <= 0) {
            throw InputError::at('readings', 'show no drop: go on until the gauge has fallen away');
        }

        return $readings[$k];
    }
}
