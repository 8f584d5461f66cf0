<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

/**
 * A cost below which no plan that places everything can come: for each aircraft as many visits as its windows need, as
 * many days as its hours need in the quickest bay, and every panel once.
 */
final class SeasonBound
{
    /**
     * @param list<int> $items that are all placed
     *
     * @return float hours
     *
     * @pure
     */
    public static function of(SeasonBoard $board, array $items): float
    {
        $by = [];
        foreach ($items as $i) {
            $by[$board->craft[$i]][] = $i;
        }
        $bound = 0.0;
        foreach ($by as $craft => $of) {
            $new = array_values(array_filter($of, static fn(int $i): bool => ! self::mayStand($board, $i)));
            $visits = self::visits($board, $new);
            // At a wash place no day is stood for.
            $stands = self::washes($board, $craft)
                ? array_values(array_filter($new, static fn(int $i): bool => ! $board->wash[$i]))
                : $new;
            $hours = self::panels($board, $stands);
            foreach ($stands as $i) {
                $hours += $board->hours[$i];
            }
            $fastest = 0.0;
            foreach ($board->fits[$craft] as $b) {
                $fastest = max([$fastest, ...$board->work[$b]]);
            }
            $days = max(
                self::visits($board, $stands),
                $fastest > 0 ? (int) ceil($hours / $fastest - 1e-9) : 0,
            );
            $bound += self::panels($board, $of) + $board->visitWeight * $visits + $board->dayWeight * $days;
        }

        return $bound;
    }

    /** Whether an aircraft has a wash place. */
    private static function washes(SeasonBoard $board, int $craft): bool
    {
        return array_filter($board->fits[$craft], static fn(int $b): bool => $board->bays[$b]->wash) !== [];
    }

    /** Whether an item may go into a visit that stands. */
    private static function mayStand(SeasonBoard $board, int $item): bool
    {
        foreach (array_keys($board->fixed) as $f) {
            if ($board->inFixed($item, $f)) {
                return true;
            }
        }

        return false;
    }

    /**
     * The fewest days that all windows hold one of.
     *
     * @param list<int> $items
     */
    private static function visits(SeasonBoard $board, array $items): int
    {
        usort($items, static fn(int $a, int $b): int => $board->latest[$a] <=> $board->latest[$b]);
        $visits = 0;
        $at = -1;
        foreach ($items as $i) {
            if ($board->earliest[$i] > $at) {
                $visits++;
                $at = $board->latest[$i];
            }
        }

        return $visits;
    }

    /** @param list<int> $items */
    private static function panels(SeasonBoard $board, array $items): float
    {
        $panels = [];
        foreach ($items as $i) {
            $panels += array_flip($board->panels[$i]);
        }

        return array_sum(array_map(static fn(int $p): float => $board->access[$p], array_keys($panels)));
    }
}
