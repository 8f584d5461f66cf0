<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

/** Whether a visit takes something that falls due away. */
enum PlannedAway: string
{
    case No = 'no';
    case TooLate = 'too_late';
    case InTime = 'in_time';
    /** The visit that takes it goes on today. */
    case Now = 'now';

    /** @pure */
    public function inTime(): bool
    {
        return $this === self::InTime || $this === self::Now;
    }
}
