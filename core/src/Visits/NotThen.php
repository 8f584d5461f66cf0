<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Shared\Day;

/** Why an aircraft cannot be planned to stand on such days. */
enum NotThen: string
{
    /** It ends before it begins. */
    case Backwards = 'backwards';
    /** It is over already. */
    case Past = 'past';
    /** Nobody plans so far ahead: it is a slip of the pen. */
    case TooFar = 'too_far';

    /**
     * @param int $ahead days from today by which it must be over
     *
     * @return self|null null where nothing is said against it
     *
     * @pure
     */
    public static function of(Day $from, Day $to, Day $today, int $ahead): ?self
    {
        return match (true) {
            $to->number < $from->number => self::Backwards,
            $to->number < $today->number => self::Past,
            $to->number > $today->number + $ahead => self::TooFar,
            default => null,
        };
    }
}
