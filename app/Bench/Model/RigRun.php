<?php

declare(strict_types=1);

namespace App\Bench\Model;

use App\Shared\Model;

/**
 * One round of rigging: what was read, what was to be turned, what was read after.
 *
 * @property int $step_id
 * @property int $no
 * @property array<string, float> $as_found by point
 * @property array<string, mixed> $solution as the `rig` kind answers
 * @property array<string, float>|null $as_left by point
 */
final class RigRun extends Model
{
    protected $casts = ['as_found' => 'array', 'solution' => 'array', 'as_left' => 'array'];
}
