<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/**
 * When does this item fall due.
 *
 * Each limit has a base (where its interval started), a next value (base + interval) and a forecast date; the item
 * takes the earliest or the latest of them by its rule. Contract: docs/core.md, core/schema/due.json.
 */
final class Due
{
    /**
     * @param int $warnDays how long before its forecast date a limit is `due_soon`
     *
     * @throws InputError naming the field that is missing, as a path into the kind's input
     *
     * @pure
     */
    public static function of(Flying $flying, DueItem $item, int $warnDays = 14): DueResult
    {
        return self::since($flying, $item, $item->last, $warnDays);
    }

    /**
     * The same for an item that many aircraft share, last done on this one then; null where it never was.
     *
     * @throws InputError as {@see of()}; at `item.last.counters.<unit>` for a counter limit whose counter the last
     *   lacks
     *
     * @pure
     */
    public static function since(Flying $flying, DueItem $item, ?LastDone $last, int $warnDays = 14): DueResult
    {
        $limits = [];
        foreach ($item->limits as $i => $limit) {
            $limits[] = $limit->isCalendar ? self::calendar(
                $flying,
                $item->rebase,
                $last,
                $limit,
                $i,
                $warnDays,
            ) : self::counter($flying, $item->rebase, $last, $limit, $warnDays);
        }
        if ($last === null && $item->firstBy !== null) {
            $limits = self::phasedIn($flying, $item->firstBy, $limits, $warnDays);
        }

        return DueResult::combine($item->rule, $limits);
    }

    /**
     * What would have been due before a new item's first day is due on that day.
     *
     * @param list<LimitDue> $limits
     *
     * @return list<LimitDue>
     *
     * @pure
     */
    private static function phasedIn(Flying $flying, Day $first, array $limits, int $warnDays): array
    {
        $left = $flying->asOf->daysUntil($first);
        $status = match (true) {
            $left < 0 => DueStatus::Overdue,
            $left <= $warnDays => DueStatus::DueSoon,
            default => DueStatus::Ok,
        };
        $then = new LimitDue('days', $first, $first, $left, 0, $first, $first, $status);

        return array_map(
            static fn(LimitDue $l): LimitDue => ($l->latest !== null && $l->latest->number < $first->number)
                || ($l->status === DueStatus::Overdue && $left >= 0) ? $then : $l,
            $limits,
        );
    }

    /** @pure */
    private static function counter(
        Flying $flying,
        Rebase $rebase,
        ?LastDone $last,
        DueLimit $limit,
        int $warnDays,
    ): LimitDue {
        $unit = $limit->unit;
        $now = $flying->counters[$unit] ?? throw InputError::missing('counters.'.$unit);
        $interval = $limit->interval;
        if ($last === null) {
            $base = $flying->entryCounters[$unit] ?? 0.0;
            $interval = $limit->threshold ?? $interval;
        } else {
            $base = $last->counters[$unit] ?? throw InputError::missing('item.last.counters.'.$unit);
            if ($rebase === Rebase::Planned && isset($last->plannedCounters[$unit])) {
                $planned = $last->plannedCounters[$unit];
                $base = Near::atLeast($base, $planned - $limit->earlyOfNext) ? $planned : $base;
            }
        }
        $next = $base + $interval;
        $tolerance = $last === null ? $limit->toleranceOfFirst : $limit->toleranceOfNext;
        [$forecast, $latest] = $flying->lastDaysWithin($unit, $now, $next, $tolerance);
        if ($forecast === null || $forecast->number > $flying->asOf->number + $warnDays) {
            $status = DueStatus::Ok;
        } elseif (Near::atMost($now, $next)) {
            $status = DueStatus::DueSoon;
        } else {
            $status = Near::atMost($now, $next + $tolerance) ? DueStatus::InTolerance : DueStatus::Overdue;
        }

        return new LimitDue($unit, $base, $next, $next - $now, $tolerance, $forecast, $latest, $status);
    }

    /** @pure */
    private static function calendar(
        Flying $flying,
        Rebase $rebase,
        ?LastDone $last,
        DueLimit $limit,
        int $index,
        int $warnDays,
    ): LimitDue {
        $amount = (int) $limit->interval;
        $anchor = null;
        if ($last === null) {
            $base = $flying->entryDate ?? throw InputError::missing('entry');
            $amount = (int) ($limit->threshold ?? $limit->interval);
        } else {
            $base = $last->date;
            $planned = $rebase === Rebase::Planned ? $last->plannedDays[$limit->unit] ?? null : null;
            if ($planned !== null) {
                $after = self::add($planned, $limit->unit, $amount, $last->anchorDay, $index);
                $early = $limit->early->days($planned->daysUntil($after));
                if ($base->number >= $planned->number - $early) {
                    $base = $planned;
                    $anchor = $last->anchorDay;
                }
            }
        }
        $next = self::add($base, $limit->unit, $amount, $anchor, $index);
        $tolerance = $limit->tolerance->isPercentage()
            ? $limit->tolerance->days($next->number - $base->number)
            : (int) $limit->toleranceOfNext;
        $today = $flying->asOf->number;
        $status = DueStatus::Ok;
        if ($next->number <= $today + $warnDays) {
            $status = $today <= $next->number
                ? DueStatus::DueSoon
                : ($today <= $next->number + $tolerance ? DueStatus::InTolerance : DueStatus::Overdue);
        }

        return new LimitDue(
            $limit->unit,
            $base,
            $next,
            $next->number - $today,
            $tolerance,
            $next,
            $tolerance === 0 ? $next : $next->plusDays($tolerance),
            $status,
        );
    }

    /** @pure */
    private static function add(Day $day, string $unit, int $amount, ?int $anchor, int $index): Day
    {
        $next = $unit === 'days' ? $day->plusDays($amount) : $day->plusMonths($amount, $anchor);

        return $next->number <= Day::LAST ? $next : throw InputError::at(
            "item.limits.{$index}.interval",
            'leads beyond the year 9999',
        );
    }
}
