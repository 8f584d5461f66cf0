<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Fleet\FleetState;

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
