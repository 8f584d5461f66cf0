<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Jorvel\Core\Shared\Day;

/**
 * An aircraft standing in work, from its first day to its last.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property string $title
 * @property string $bay
 * @property string $start
 * @property string $end
 * @property string $state
 * @property-read Aircraft $aircraft
 * @property-read VisitPlan|null $plan
 * @property-read Collection<int, Card> $cards
 */
final class Visit extends Model
{
    public const PLANNED = 'planned';

    public const IN_WORK = 'in_work';

    public const RELEASED = 'released';

    /** Days until it is planned to begin, while nobody has begun it; else 0. */
    public function daysEarly(Day $today): int
    {
        return $this->state === self::PLANNED ? max(0, $today->daysUntil(Day::parse($this->start))) : 0;
    }

    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class);
    }

    /** @return HasOne<VisitPlan, $this> */
    public function plan(): HasOne
    {
        return $this->hasOne(VisitPlan::class);
    }

    /** @return HasMany<Card, $this> */
    public function cards(): HasMany
    {
        return $this->hasMany(Card::class)->orderBy('id');
    }
}
