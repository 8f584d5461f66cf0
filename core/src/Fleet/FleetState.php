<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/** What an aircraft, an item or a limit is called, in every list: one meaning everywhere. */
enum FleetState: string
{
    case Stop = 'stop';
    case Watch = 'watch';
    case Clear = 'clear';
    case Waiting = 'waiting';

    /**
     * `stop` when the day is past, or within the warning days and not planned away in time; `watch` within twice the
     * warning days, or when it is planned too late; `waiting` in the visit that takes it; otherwise `clear`.
     *
     * @param Day|null $last the last day it allows; null when it never runs out
     *
     * @pure
     */
    public static function of(Day $today, ?Day $last, PlannedAway $away, int $warnDays): self
    {
        $left = $last === null ? PHP_INT_MAX : $today->daysUntil($last);

        return match (true) {
            $away === PlannedAway::Now => self::Waiting,
            $left < 0 => self::Stop,
            $away === PlannedAway::InTime => self::Clear,
            $left <= $warnDays => self::Stop,
            $left <= 2 * $warnDays, $away === PlannedAway::TooLate => self::Watch,
            default => self::Clear,
        };
    }
}
