<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Model;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * What a visit's plan rests on and came to; when each card is worked stands on the cards.
 *
 * @property int $visit_id
 * @property int $version counts every plan saved and every change of what is planned
 * @property Day|null $look_until last day of the look window
 * @property array{shape: float, rate: float, reason: string, by: string}|null $prior set by hand in place of the type's
 * history
 * @property array{exit?: string|null, problem?: string}|null $result
 * @property Instant|null $made_at
 */
final class VisitPlan extends Model
{
    public $incrementing = false;

    protected $primaryKey = 'visit_id';

    protected $casts = [
        'made_at' => AsInstant::class,
        'look_until' => AsDay::class,
        'prior' => 'array', 'result' => 'array'];

    /** Why there is no plan; null when there is one. */
    public function problem(): ?string
    {
        return $this->result['problem'] ?? null;
    }
}
