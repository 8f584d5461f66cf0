<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * A card left half-done: its state as Jorvel has it, and what whoever leaves says of it.
 *
 * @property int $id
 * @property int $card_id
 * @property int $person_id
 * @property string $state in words
 * @property string $said
 * @property Instant $at
 * @property int|null $taken_by
 * @property Instant|null $taken_at
 * @property-read Person $person
 * @property-read Person|null $taker
 */
final class Handover extends Model
{
    protected $casts = [
        'at' => AsInstant::class,
        'taken_at' => AsInstant::class,
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function taker(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'taken_by');
    }
}
