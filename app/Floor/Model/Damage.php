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
use Jorvel\Core\Floor\DamageGrowth;
use Jorvel\Core\Floor\DamageLimits;
use Jorvel\Core\Floor\DamageSize;
use Jorvel\Core\Floor\DamageSpot;
use Jorvel\Core\Now\DamageNow;
use Jorvel\Core\Shared\Instant;

/**
 * A damage on an aircraft's drawing, known until it is repaired.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property string $number
 * @property string $kind one of {@see KINDS}
 * @property string $place
 * @property array{view: string, x: float, y: float} $spot in metres
 * @property array<string, float> $limits `length`, `depth` at most, `edge`, `fastener` at least, mm
 * @property string $source where the limits stand in the approved data
 * @property float|null $every_fh looked at again every so many flight hours
 * @property int|null $every_days
 * @property string $state `open`, `blended`, `repaired`, `mistake`
 * @property int|null $finding_id raised because it is not allowed
 * @property int|null $settled_by
 * @property Instant|null $settled_at
 * @property string|null $settled_how
 * @property-read Collection<int, DamageLook> $looks in their order
 * @property-read Aircraft $craft
 * @property-read Finding|null $finding
 * @property-read Person|null $settler
 */
final class Damage extends Model
{
    public const KINDS = ['dent', 'crack', 'scratch', 'stone chip', 'corrosion', 'delamination', 'burn', 'wear'];

    public const OPEN = 'open';

    protected $casts = [
        'spot' => 'array', 'limits' => 'array', 'every_fh' => 'float', 'every_days' => 'integer',
        'settled_at' => AsInstant::class];

    /** @return HasMany<DamageLook, $this> */
    public function looks(): HasMany
    {
        return $this->hasMany(DamageLook::class)->orderBy('id');
    }

    /** @return BelongsTo<Aircraft, $this> */
    public function craft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class, 'aircraft_id');
    }

    /** @return BelongsTo<Finding, $this> */
    public function finding(): BelongsTo
    {
        return $this->belongsTo(Finding::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function settler(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'settled_by');
    }

    public function allowed(): DamageLimits
    {
        return new DamageLimits(
            $this->limits['length'] ?? null,
            $this->limits['depth'] ?? null,
            $this->limits['edge'] ?? null,
            $this->limits['fastener'] ?? null,
        );
    }

    /** @return list<string> what of it is not allowed, as it was last measured; load `looks` first */
    public function against(): array
    {
        $last = $this->looks->last();

        return $last === null ? [] : $this->allowed()->against($last->size());
    }

    public function growth(): DamageGrowth
    {
        return DamageGrowth::of(
            array_values($this->looks->whereNotNull('fh')->map(
                static fn(DamageLook $l): array => [(float) $l->fh, $l->size()],
            )->all()),
            $this->limits['length'] ?? null,
        );
    }

    /** When it is to be looked at again; load `looks` first. */
    public function now(): DamageNow
    {
        $last = $this->looks->last();

        return new DamageNow(
            (string) $this->id,
            $this->every_fh === null || $last?->fh === null ? null : $last->fh + $this->every_fh,
            $this->every_days === null ? null : $last?->date->plusDays($this->every_days),
        );
    }

    /**
     * What is known of an aircraft and was not looked at from this card: an induction looks at all of it, so that old is
     * told from new.
     *
     * @return list<string> their numbers
     */
    public static function notSeenAt(Card $card): array
    {
        return array_values(self::where(['aircraft_id' => $card->aircraft_id, 'state' => self::OPEN])
            ->whereDoesntHave('looks', static fn($q) => $q->where('card_id', $card->id))
            ->orderBy('id')->pluck('number')->all());
    }

    public function name(): string
    {
        return "{$this->number}, {$this->kind}, {$this->place}";
    }

    public function at(): DamageSpot
    {
        return new DamageSpot($this->spot['view'], $this->spot['x'], $this->spot['y']);
    }

    /** @return array<string, float|null> */
    public static function sizes(DamageSize $size): array
    {
        return [
            'length' => $size->length, 'depth' => $size->depth, 'edge' => $size->edge, 'fastener' => $size->fastener,
        ];
    }
}
