<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Shared\AsInstant;
use App\Shared\Model;
use Jorvel\Core\Shared\Instant;

/**
 * A system of an aircraft being acted on by a step, or left live by it, until it is ended.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property int $card_id
 * @property int $step_id
 * @property string $how
 * @property list<string> $systems
 * @property bool $running its hold or test goes on
 * @property int $begun_by
 * @property Instant $since
 * @property int|null $ended_by
 * @property Instant|null $ended_at
 */
final class ActingRow extends Model
{
    protected $table = 'acting';

    protected $casts = [
        'since' => AsInstant::class,
        'ended_at' => AsInstant::class,
        'systems' => 'array', 'running' => 'boolean'];
}
