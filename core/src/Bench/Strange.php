<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function abs;
use function array_map;
use function count;
use function max;
use function min;
use function sort;

/**
 * A reading that is legal and stands apart from what was read there before: it is pointed out, and judged by nobody.
 *
 * It stands apart from its own history by more than 3.5 of the median absolute deviations scaled by 1.4826 (Iglewicz
 * and Hoaglin, 1993), and by more than two of the least steps that the place is read in. With too little history of its
 * own, the fleet's span is asked instead, with the same two steps on either side.
 */
final readonly class Strange
{
    /** So many readings of its own are a history. */
    public const ENOUGH = 4;

    private const FAR = 3.5 * 1.4826;

    private function __construct(public bool $byItself, public float $lowest, public float $highest) {}

    /**
     * @param list<float> $own what the same place read before, in one unit, in any order
     * @param UsualRange|null $fleet in the same unit
     * @param float $grain the least step that it is read in, in that unit; 0 where none is known
     *
     * @return self|null null where it is as usual, or there is nothing to compare it with
     *
     * @pure
     */
    public static function of(float $value, array $own, ?UsualRange $fleet, float $grain): ?self
    {
        if (count($own) >= self::ENOUGH) {
            $middle = self::median($own);
            $spread = self::median(array_map(static fn(float $v): float => abs($v - $middle), $own));

            return abs($value - $middle) > max(self::FAR * $spread, 2 * $grain) + 1e-9
                ? new self(true, min([INF, ...$own]), max([-INF, ...$own]))
                : null;
        }
        if ($fleet === null || $fleet->count < self::ENOUGH) {
            return null;
        }

        return $value < $fleet->lowest - 2 * $grain - 1e-9 || $value > $fleet->highest + 2 * $grain + 1e-9
            ? new self(false, $fleet->lowest, $fleet->highest)
            : null;
    }

    /** @param list<float> $values at least one */
    private static function median(array $values): float
    {
        sort($values);
        $n = count($values);

        return $n === 0 ? 0.0 : ($values[intdiv($n - 1, 2)] + $values[intdiv($n, 2)]) / 2;
    }
}
