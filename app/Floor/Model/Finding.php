<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Jorvel\Core\Floor\FindingProgress;
use Jorvel\Core\Shared\Instant;

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
 * @property Severity $severity
 * @property int|null $step_no at which it was found
 * @property array{view: string, x: float, y: float}|null $spot on one view of the drawing, in metres
 * @property list<list<array{float, float}>>|null $sketch strokes, 0 to 1 across and down
 * @property int|null $repeat_of the same place before, not long ago
 * @property string|null $fixed_how
 * @property FindingProgress $state
 * @property Instant $raised_at
 * @property float|null $fix_hours reckoned with
 * @property Instant|null $settled_at
 * @property-read Aircraft $aircraft
 * @property-read Card $card
 * @property-read Card|null $fixCard
 * @property-read Person $raiser
 * @property-read Collection<int, Photo> $photos
 * @property-read Collection<int, FollowUp> $followUps
 * @property-read Finding|null $before found at the same place
 */
final class Finding extends Model
{
    public const OPEN = FindingProgress::Open;

    public const DEFERRED = FindingProgress::Deferred;

    public const FIXED = FindingProgress::Fixed;

    protected $casts = [
        'state' => FindingProgress::class, 'severity' => Severity::class,
        'raised_at' => AsInstant::class,
        'settled_at' => AsInstant::class,
        'spot' => 'array', 'sketch' => 'array'];

    /** @return BelongsTo<Finding, $this> */
    public function before(): BelongsTo
    {
        return $this->belongsTo(self::class, 'repeat_of');
    }

    /** @return HasMany<Photo, $this> */
    public function photos(): HasMany
    {
        return $this->hasMany(Photo::class)->orderBy('id');
    }

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

    /** @return HasMany<FollowUp, $this> what follows from it by the rules of Library */
    public function followUps(): HasMany
    {
        return $this->hasMany(FollowUp::class)->orderBy('id');
    }

    /** @return list<FollowUp> what is answered by name before it is settled */
    public function unanswered(): array
    {
        return array_values($this->followUps()->where('state', FollowUp::OPEN)->get()
            ->filter(static fn(FollowUp $f): bool => $f->waits())->all());
    }

    /** @return BelongsTo<Person, $this> */
    public function raiser(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'raised_by');
    }
}
