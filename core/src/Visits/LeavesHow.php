<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use DateTimeZone;
use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/** How an aircraft leaves its visit. */
enum LeavesHow: string
{
    /** It cannot be planned. */
    case NoPlan = 'no_plan';
    /** A card has no time yet. */
    case Unplanned = 'unplanned';
    /** Nothing is left to work. */
    case Worked = 'worked';
    case TooLate = 'too_late';
    /** On its last day, or the day before. */
    case Tight = 'tight';
    case InTime = 'in_time';

    /**
     * @param bool $plan whether it has one
     * @param Instant|null $exit see {@see VisitExit}
     * @param bool $open whether anything is left to work
     * @param Instant $must by which the aircraft must have left
     * @param Day $end its last day
     * @param DateTimeZone $zone of the operator's days
     *
     * @pure
     */
    public static function of(
        bool $plan,
        ?Instant $exit,
        bool $open,
        Instant $must,
        Day $end,
        DateTimeZone $zone,
    ): self {
        return match (true) {
            ! $plan => self::NoPlan,
            $exit === null => self::Unplanned,
            ! $open => self::Worked,
            $must->isBefore($exit) => self::TooLate,
            $exit->dayIn($zone)->daysUntil($end) <= 1 => self::Tight,
            default => self::InTime,
        };
    }

    /** @pure */
    public function state(): FleetState
    {
        return match ($this) {
            self::NoPlan, self::TooLate => FleetState::Stop,
            self::Unplanned, self::Tight => FleetState::Watch,
            self::Worked, self::InTime => FleetState::Clear,
        };
    }
}
