<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Shared\Model;

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
 * @property string $since
 * @property int|null $ended_by
 * @property string|null $ended_at
 */
final class ActingRow extends Model
{
    protected $table = 'acting';

    protected $casts = ['systems' => 'array', 'running' => 'boolean'];
}
