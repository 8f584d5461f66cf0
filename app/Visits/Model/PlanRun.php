<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\AsInstant;
use App\Shared\Model;
use Jorvel\Core\Shared\Instant;

/**
 * A long search for a shorter plan: waiting → running → done, cancelled or failed.
 *
 * @property int $id
 * @property int $visit_id
 * @property int $person_id
 * @property PlanRunState $state
 * @property int $seconds of budget
 * @property int $version of the plan when it was asked for
 * @property int $tried plans so far
 * @property int|null $span slots of the shortest so far
 * @property int|null $bound slots that no plan is below
 * @property Instant $asked_at
 * @property Instant|null $beat_at when it last said that it is alive
 * @property Instant|null $ended_at
 * @property string|null $message
 */
final class PlanRun extends Model
{
    protected $casts = [
        'state' => PlanRunState::class,
        'asked_at' => AsInstant::class,
        'beat_at' => AsInstant::class,
        'ended_at' => AsInstant::class,
    ];
}
