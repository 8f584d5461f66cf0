<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A person on a card, in a role.
 *
 * @property int $card_id
 * @property int $person_id
 * @property string $role `perform`, `duplicate`, or `trainee` under a supervisor
 * @property int|null $under_id who stands over a trainee, and signs
 * @property-read Person $person
 * @property-read Card $card
 */
final class Assignment extends Model
{
    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'person_id');
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }
}
