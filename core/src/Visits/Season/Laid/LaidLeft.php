<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season\Laid;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\Season\SeasonItem;

/** What of a season has no visit, each with the days that what stays leaves it. */
final class LaidLeft
{
    /**
     * @param array<array-key, SeasonItem> $items by id, each behind the time before it
     * @param array<array-key, Day> $starts first day of the visit of those that have one
     * @param array<array-key, Day> $latest last day of each, where the time before brings it forward too
     *
     * @return list<SeasonItem> in the order of items
     *
     * @pure
     */
    public static function of(array $items, array $starts, array $latest): array
    {
        $left = $holds = $before = [];
        // From the last time back: what stays holds back what comes before it, through times that are left too.
        foreach (array_reverse($items, true) as $id => $item) {
            $from = ($starts[$id] ?? null)?->number;
            if ($from !== null) {
                $before[$item->after ?? ''] = $from;
            } else {
                [$earliest, $last] = self::window($item, $starts[$item->after ?? ''] ?? null, $latest[$id]);
                $until = min($last, ($before[$id] ?? $last + 1) - 1);
                $from = $holds[$id] ?? null;
                // Where no day is left so, what stays is not looked at.
                if ($from === null || $from > $until) {
                    [$from, $until] = [null, $last];
                }
                $first = min(max($earliest, $from ?? $earliest), $until);
                $left[] = $item->between(
                    Day::fromNumber($first),
                    Day::fromNumber($until),
                    $from === null ? null : Day::fromNumber($from),
                );
            }
            if ($from !== null) {
                $holds[$item->after ?? ''] = $from - (int) floor($item->is->interval);
            }
        }

        return array_reverse($left);
    }

    /**
     * The days of an item without a visit: after the time before it, in the second half of its interval.
     *
     * @return array{int, int} numbers of its first and last day
     */
    private static function window(SeasonItem $item, ?Day $before, Day $latest): array
    {
        return [$before === null ? $item->is->earliest->number : max(
            $before->number + 1,
            min($item->is->earliest->number, $latest->number - (int) floor($item->is->interval / 2)),
        ), $latest->number];
    }
}
