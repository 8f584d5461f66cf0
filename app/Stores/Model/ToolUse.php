<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Shared\Model;

/**
 * A tool used at a step that took no reading with it.
 *
 * @property int $tool_id
 * @property int $card_id
 * @property int $step_id
 * @property int $person_id
 * @property string $at
 */
final class ToolUse extends Model {}
