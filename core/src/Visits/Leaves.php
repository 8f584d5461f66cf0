<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use DateTimeZone;
use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Now\VisitNow;
use Jorvel\Core\Shared\Instant;

/** Whether an aircraft leaves its visit in time, as its cards are planned. */
final readonly class Leaves
{
    /**
     * @param Instant|null $exit null where it is not planned
     * @param int $spare days from the exit to the last day; negative when it comes later
     * @param int $behind cards that should be begun or worked by now, and are not
     * @param int $idle cards that are planned for when their people are not there: a bay has closed, somebody has leave
     */
    private function __construct(
        public LeavesHow $how,
        public FleetState $state,
        public ?Instant $exit,
        public int $spare,
        public int $behind,
        public int $idle,
    ) {}

    /**
     * @param DateTimeZone $zone of the operator's days
     *
     * @pure
     */
    public static function of(VisitNow $visit, Instant $now, DateTimeZone $zone): self
    {
        $exit = $visit->exit();
        $open = $behind = $idle = 0;
        foreach ($visit->cards as $card) {
            $open += $card->worked() ? 0 : 1;
            $behind += $card->from() !== null && $card->behind($now) ? 1 : 0;
            $idle += $card->idle($visit->hours, $now) ? 1 : 0;
        }
        $spare = $exit === null ? 0 : $exit->dayIn($zone)->daysUntil($visit->end);
        $how = LeavesHow::of($visit->problem === null, $exit, $open > 0, $visit->must, $visit->end, $zone);
        $state = $how->state();

        return new self(
            $how,
            // A plan that work is behind of, or that nobody can keep to, is not to be relied on.
            $behind + $idle > 0 && $state === FleetState::Clear ? FleetState::Watch : $state,
            $exit,
            $spare,
            $behind,
            $idle,
        );
    }
}
