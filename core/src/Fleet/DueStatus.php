<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

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
}
