<?php

declare(strict_types=1);

namespace App\Visits\Model;

/** How far a long search for a plan is. */
enum PlanRunState: string
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Done = 'done';
    case Cancelled = 'cancelled';
    case Failed = 'failed';

    /** While nothing is decided. */
    public const GOES_ON = [self::Waiting, self::Running];

    public function goesOn(): bool
    {
        return in_array($this, self::GOES_ON, true);
    }
}
