<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/** What had been planned for work just done: the base from which its next limits count where the plan is kept. */
final class NextBase
{
    /**
     * Each limit's own next value; and, where a short month clamped a months limit, the day of the month that it keeps.
     *
     * @return array<string, float|string|int> by unit, dates as `YYYY-MM-DD`; `anchor_day` besides
     *
     * @pure
     */
    public static function planned(DueResult $due, ?LastDone $last): array
    {
        $planned = [];
        foreach ($due->limits as $limit) {
            $planned[$limit->unit] = $limit->next instanceof Day ? (string) $limit->next : $limit->next;
            if ($limit->unit === 'months' && $limit->next instanceof Day && $limit->base instanceof Day) {
                $anchor = self::anchor($limit->base, $last);
                if ($anchor > $limit->next->dayOfMonth() && $limit->next->isLastOfMonth()) {
                    $planned['anchor_day'] = $anchor;
                }
            }
        }

        return $planned;
    }

    /**
     * The day of the month that a months limit keeps: that of its base, or the one kept from a plan that a short month
     * clamped.
     */
    private static function anchor(Day $base, ?LastDone $last): int
    {
        $planned = $last?->plannedDays['months'] ?? null;

        return $last?->anchorDay !== null && $planned?->number === $base->number
            ? $last->anchorDay
            : $base->dayOfMonth();
    }
}
