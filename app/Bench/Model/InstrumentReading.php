<?php

declare(strict_types=1);

namespace App\Bench\Model;

use App\Shared\AsInstant;
use App\Shared\Model;
use Jorvel\Core\Shared\Instant;

/**
 * What an instrument sent. It is no reading of a step until somebody takes it over.
 *
 * @property int $id
 * @property int $tool_id
 * @property float|null $value
 * @property string $unit
 * @property string|null $said what a panel shows in words
 * @property Instant $at
 */
final class InstrumentReading extends Model
{
    protected $casts = ['value' => 'float', 'at' => AsInstant::class];
}
