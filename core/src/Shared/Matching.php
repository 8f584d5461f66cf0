<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

use function count;

/**
 * The cheapest assignment of rows to columns, each column at most once; a row may also be left without one, at a price.
 *
 * Shortest augmenting paths with potentials, a row at a time (Kuhn, 1955; Jonker and Volgenant, 1987): exact, in the
 * order of rows × columns² steps.
 */
final class Matching
{
    /**
     * @param list<array<int, int>> $costs by row: columns that it may have, with their cost
     * @param int $columns how many; they are numbered from 0
     * @param int $without what it costs to leave a row without one, above every cost
     *
     * @return array{list<int|null>, bool} the column of each row, and whether none is cheaper: not when time ran out
     */
    public static function cheapest(array $costs, int $columns, int $without, ?Deadline $deadline = null): array
    {
        $of = array_fill(0, count($costs), null);
        $row = array_fill(0, $columns, null);
        $u = array_fill(0, count($costs), 0);
        $v = array_fill(0, $columns, 0);
        foreach (array_keys($costs) as $start) {
            if ($deadline?->passed() === true) {
                return [self::greedy($costs, $of, $row), false];
            }
            // Distances to columns, and from which row; a row's own way out is to stay without a column.
            $far = $from = $done = [];
            $at = $start;
            $sofar = 0;
            [$out, $outRow] = [PHP_INT_MAX, $start];
            $reached = [[$start, 0]];
            while (true) {
                $leave = $sofar + $without - $u[$at];
                if ($leave < $out) {
                    [$out, $outRow] = [$leave, $at];
                }
                $base = $sofar - $u[$at];
                foreach ($costs[$at] as $c => $cost) {
                    $to = $base + $cost - $v[$c];
                    if (! isset($done[$c]) && (! isset($far[$c]) || $to < $far[$c])) {
                        $far[$c] = $to;
                        $from[$c] = $at;
                    }
                }
                $next = null;
                $least = $out;
                foreach ($far as $c => $to) {
                    if ($to < $least) {
                        [$least, $next] = [$to, $c];
                    }
                }
                $sofar = $least;
                if ($next === null || $row[$next] === null) {
                    break;
                }
                $done[$next] = $far[$next];
                unset($far[$next]);
                $at = $row[$next];
                $reached[] = [$at, $sofar];
            }
            foreach ($reached as [$r, $when]) {
                $u[$r] += $sofar - $when;
            }
            foreach ($done as $c => $when) {
                $v[$c] -= $sofar - $when;
            }
            // Back along the path: each row takes the column it was reached through, and frees its own.
            [$r, $c] = $next === null ? [$outRow, null] : [$from[$next], $next];
            while (true) {
                $freed = $of[$r];
                $of[$r] = $c;
                if ($c !== null) {
                    $row[$c] = $r;
                }
                if ($r === $start) {
                    break;
                }
                [$r, $c] = [$from[(int) $freed], $freed];
            }
        }

        return [array_values($of), true];
    }

    /**
     * Rows that have none yet, each with the cheapest column still free.
     *
     * @param list<array<int, int>> $costs
     * @param array<int, int|null> $of column by row
     * @param array<int, int|null> $row by column
     *
     * @return list<int|null>
     *
     * @pure
     */
    private static function greedy(array $costs, array $of, array $row): array
    {
        foreach ($costs as $r => $by) {
            $free = array_filter($by, static fn(int $c): bool => $row[$c] === null, ARRAY_FILTER_USE_KEY);
            if ($of[$r] === null && $free !== []) {
                $of[$r] = (int) array_search(min($free), $free, true);
                $row[$of[$r]] = $r;
            }
        }

        return array_values($of);
    }
}
