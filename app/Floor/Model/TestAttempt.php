<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Floor\AttemptState;
use Jorvel\Core\Shared\Instant;

/**
 * One attempt at a functional test of a card, kept as it was.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property int $card_id
 * @property string $key of the test on its card
 * @property string $title
 * @property string $system
 * @property string $chapter
 * @property int $no of this test on this card, from 1
 * @property AttemptState $state
 * @property bool $stands false once something that a passed test rested on was done again
 * @property int $begun_by
 * @property Instant $begun_at
 * @property list<array{title: string, said: string, holds?: string, name?: string}> $conditions
 * @property int|null $broken_by
 * @property Instant|null $broken_at
 * @property string|null $broken_why
 * @property AttemptState $broken_as broken off, or not valid: what it was set up or read by was wrong
 * @property int|null $ended_by
 * @property Instant|null $ended_at
 * @property list<string>|null $decided titles of the steps that decided it
 * @property list<array<string, mixed>>|null $kept its steps as they were worked
 * @property int|null $finding_id that its failure raised
 * @property-read Card $card
 * @property-read Aircraft $aircraft
 * @property-read Person $beginner
 * @property-read Person|null $breaker
 * @property-read Person|null $ender
 * @property-read Finding|null $finding
 */
final class TestAttempt extends Model
{
    /** What a list of attempts needs: all but its steps as they were worked. */
    public const LISTED = [
        'id', 'aircraft_id', 'card_id', 'key', 'title', 'system', 'chapter', 'no', 'state', 'stands', 'begun_by',
        'begun_at', 'conditions', 'broken_by', 'broken_at', 'broken_why', 'broken_as', 'ended_by', 'ended_at',
        'decided',
        'finding_id',
    ];

    protected $casts = [
        'state' => AttemptState::class, 'stands' => 'boolean', 'begun_at' => AsInstant::class,
        'broken_at' => AsInstant::class,
        'broken_as' => AttemptState::class, 'ended_at' => AsInstant::class, 'conditions' => 'array',
        'decided' => 'array',
        'kept' => 'array',
    ];

    /** The attempt that goes on at a test of a card now; null between attempts. */
    public static function running(int $cardId, string $key): ?self
    {
        return self::where(['card_id' => $cardId, 'key' => $key, 'state' => AttemptState::Begun])->first();
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function beginner(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'begun_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function breaker(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'broken_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function ender(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'ended_by');
    }

    /** @return BelongsTo<Finding, $this> */
    public function finding(): BelongsTo
    {
        return $this->belongsTo(Finding::class);
    }
}
