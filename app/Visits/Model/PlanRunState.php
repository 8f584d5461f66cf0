<?php

declare(strict_types=1);

namespace App\Visits\Model;

/** How far a long search for a shorter plan is. */
enum PlanRunState: string
{
    case Waiting = 'waiting';
    case Running = 'running';
    case Done = 'done';
    case Cancelled = 'cancelled';
    case Failed = 'failed';
}
