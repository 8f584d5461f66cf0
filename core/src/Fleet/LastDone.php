<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** When an item was last done, and what had been planned for it. */
final readonly class LastDone
{
    /**
     * @param array<string, float> $counters as they stood when it was done
     * @param array<string, float> $plannedCounters
     * @param array<string, Day> $plannedDays under `days` and `months`
     */
    private function __construct(
        public Day $date,
        public array $counters,
        public array $plannedCounters,
        public array $plannedDays,
        public ?int $anchorDay,
    ) {}

    /**
     * @param array<string, float> $counters
     * @param array<string, float> $plannedCounters
     * @param array<string, Day> $plannedDays
     * @param int|null $anchorDay the day of the month a clamped planned `months` date stands for
     *
     * @throws InputError
     *
     * @pure
     */
    public static function on(
        Day $date,
        array $counters,
        array $plannedCounters = [],
        array $plannedDays = [],
        ?int $anchorDay = null,
    ): self {
        if ($anchorDay !== null) {
            $months = $plannedDays['months'] ?? throw InputError::missing('planned.months');
            if ($anchorDay < $months->dayOfMonth() || $anchorDay > 31) {
                throw InputError::at('planned.anchor_day', 'must lie between the planned day of the month and 31');
            }
            if ($anchorDay > $months->dayOfMonth() && ! $months->isLastOfMonth()) {
                throw InputError::at(
                    'planned.anchor_day',
                    "may lie beyond the planned date's day only on a month's last day",
                );
            }
        }

        return new self($date, $counters, $plannedCounters, $plannedDays, $anchorDay);
    }
}
