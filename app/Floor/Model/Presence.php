<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Somebody stands at a card's work now. They come with the first step they work there, and are gone when they call themselves
 * clear, hand over, sign, or work on another card.
 *
 * @property int $id
 * @property int $card_id
 * @property int $person_id
 * @property string $since
 * @property-read Card $card
 * @property-read Person $person
 */
final class Presence extends Model
{
    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
