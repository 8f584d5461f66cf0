<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/** How a limit or an item stands on a day. */
enum DueStatus: string
{
    case Ok = 'ok';
    case DueSoon = 'due_soon';
    case InTolerance = 'in_tolerance';
    case Overdue = 'overdue';

    /**
     * 0 is best.
     *
     * @pure
     */
    public function rank(): int
    {
        return match ($this) {
            self::Ok => 0,
            self::DueSoon => 1,
            self::InTolerance => 2,
            self::Overdue => 3,
        };
    }

    /**
     * How something without a tolerance stands, of which only the last day is known.
     *
     * @pure
     */
    public static function onDay(Day $today, Day $last, int $warnDays): self
    {
        return match (true) {
            $last->number < $today->number => self::Overdue,
            $last->number <= $today->number + $warnDays => self::DueSoon,
            default => self::Ok,
        };
    }
}
