<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\Model;

/**
 * A long search for a shorter plan: waiting → running → done, cancelled or failed.
 *
 * @property int $id
 * @property int $visit_id
 * @property int $person_id
 * @property string $state
 * @property int $seconds of budget
 * @property int $version of the plan when it was asked for
 * @property int $tried plans so far
 * @property int|null $span slots of the shortest so far
 * @property int|null $bound slots that no plan is below
 * @property string $asked_at
 * @property string|null $beat_at when it last said that it is alive
 * @property string|null $ended_at
 * @property string|null $message
 */
final class PlanRun extends Model
{
    public const WAITING = 'waiting';

    public const RUNNING = 'running';

    public const DONE = 'done';

    public const CANCELLED = 'cancelled';

    public const FAILED = 'failed';
}
