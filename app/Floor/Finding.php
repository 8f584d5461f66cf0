<?php

declare(strict_types=1);

namespace App\Floor;

use App\Crew\Person;
use App\Fleet\Aircraft;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * Something found wrong on an aircraft.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property int $card_id
 * @property string $number
 * @property string $chapter
 * @property string $place
 * @property string $extent
 * @property string $state
 * @property string $raised_at
 * @property float|null $fix_hours reckoned with
 * @property string|null $settled_at
 * @property-read Aircraft $aircraft
 * @property-read Card $card
 * @property-read Card|null $fixCard
 * @property-read Person $raiser
 */
final class Finding extends Model
{
    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class, 'aircraft_id');
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class, 'card_id');
    }

    /** @return HasOne<Card, $this> the card that was made to fix it */
    public function fixCard(): HasOne
    {
        return $this->hasOne(Card::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function raiser(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'raised_by');
    }
}
