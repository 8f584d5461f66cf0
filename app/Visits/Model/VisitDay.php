<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Model;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * When a visit's exit was forecast on a day, and what moved it last.
 *
 * @property int $visit_id
 * @property Day $date
 * @property Instant|null $exit
 * @property string $why
 * @property Instant $made_at when it was forecast last
 */
final class VisitDay extends Model
{
    protected $casts = [
        'exit' => AsInstant::class,
        'date' => AsDay::class,
        'made_at' => AsInstant::class,
    ];
}
