<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;

/**
 * Somebody stands at a card's work now. They come with the first step they work there, and are gone when they call
 * themselves clear, hand over, sign, or come to another card. Nobody else's leaving takes them along.
 *
 * @property int $id
 * @property int $card_id
 * @property int $person_id
 * @property Instant $since
 * @property-read Card $card
 * @property-read Person $person
 */
final class Presence extends Model
{
    protected $casts = [
        'since' => AsInstant::class,
    ];

    /** From now on somebody is at this card, and at no other; since when stays where they are there already. */
    public static function come(int $personId, int $cardId, string $now): void
    {
        $of = ['person_id' => $personId, 'card_id' => $cardId];
        DB::table('presences')->upsert(
            [...$of, 'since' => $now],
            'person_id',
            [
                'card_id' => $cardId,
                'since' => DB::raw('case when card_id = excluded.card_id then since else excluded.since end'),
            ],
        );
    }

    /** From now on somebody is not at this card any more. */
    public static function leave(int $personId, int $cardId, string $now): void
    {
        $of = ['person_id' => $personId, 'card_id' => $cardId];
        DB::table('clockings')->where($of)->whereNull('until')->update(['until' => $now]);
        DB::table('presences')->where($of)->delete();
    }

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
