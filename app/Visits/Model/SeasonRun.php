<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\AsInstant;
use App\Shared\Model;
use Jorvel\Core\Shared\Instant;

/**
 * A search for a season: waiting → running → done, cancelled or failed. What it found is a proposal; nothing of it is
 * kept until somebody keeps it.
 *
 * @property int $id
 * @property int $person_id
 * @property PlanRunState $state
 * @property int $days
 * @property int $seconds of budget
 * @property int $seed
 * @property string|null $mark the aircraft whose visits are planned, where they are one's alone
 * @property bool $anew whether kept visits may be moved, too
 * @property list<array<string, mixed>> $asked visits as they were laid: the pinned ones stay
 * @property list<array<string, mixed>>|null $result visits as they are proposed
 * @property float $share of the time that is used
 * @property Instant $asked_at
 * @property Instant|null $beat_at when it last said that it is alive
 * @property Instant|null $ended_at
 * @property string|null $message
 */
final class SeasonRun extends Model
{
    protected $casts = [
        'state' => PlanRunState::class,
        'asked' => 'array',
        'result' => 'array',
        'share' => 'float',
        'anew' => 'boolean',
        'asked_at' => AsInstant::class,
        'beat_at' => AsInstant::class,
        'ended_at' => AsInstant::class,
    ];
}
