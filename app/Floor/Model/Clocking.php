<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * Somebody's time at a card, from coming to it until leaving it; written as they come and go ({@see Presence}).
 *
 * @property int $id
 * @property int $card_id
 * @property int $person_id
 * @property Instant $since
 * @property Instant|null $until null while they are there
 * @property-read Person $person
 */
final class Clocking extends Model
{
    protected $casts = ['since' => AsInstant::class, 'until' => AsInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** Seconds up to now. */
    public function seconds(Instant $now): int
    {
        return max(0, ($this->until ?? $now)->epoch() - $this->since->epoch());
    }

    /** Hours that all of them were at a card, to a tenth; null where nobody was long enough to say. */
    public static function hours(int $card, Instant $now): ?float
    {
        $hours = round(self::where('card_id', $card)->get()
            ->sum(static fn(self $c): int => $c->seconds($now)) / 3600, 1);

        return $hours > 0 ? $hours : null;
    }
}
