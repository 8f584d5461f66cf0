<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Shared\AsInstant;
use App\Shared\Model;
use Jorvel\Core\Shared\Instant;

/**
 * A tool used at a step that took no reading with it.
 *
 * @property int $tool_id
 * @property int $card_id
 * @property int $step_id
 * @property int $person_id
 * @property Instant $at
 */
final class ToolUse extends Model
{
    protected $casts = [
        'at' => AsInstant::class,
    ];
}
