<?php

declare(strict_types=1);

namespace App\Deferrals\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Finding;
use App\Shared\AsCounters;
use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * A finding carried under a listed item.
 *
 * @property int $listed_item_id
 * @property int $id
 * @property int $finding_id
 * @property int $aircraft_id
 * @property string $category
 * @property Instant $discovered_at
 * @property string $timezone
 * @property array<string, float> $limits
 * @property array<string, float> $at_discovery
 * @property Day|null $counted_to the day to which these had been counted
 * @property string $placard
 * @property bool $procedure_done what makes it safe is signed, or nothing has to be done
 * @property string $state {@see self::OPEN} or {@see self::CLOSED}
 * @property string|null $position which of the units it is
 * @property Instant|null $decided_at when it was decided to carry it
 * @property Instant|null $begun_at when it was made safe, and so is carried
 * @property Instant|null $placard_at when its placard was fitted
 * @property Instant|null $placard_off_at
 * @property string|null $because why it is this part of the system, where its words do not say so
 * @property list<array{days: int, granted: string, by: string, reason: string, approval: string}> $extensions
 * @property float|null $hours that its closure takes; as its cards say where null
 * @property Instant|null $closed_at
 * @property string|null $closed_how
 * @property-read ListedItem $listedItem
 * @property-read Finding $finding
 * @property-read Aircraft $aircraft
 * @property-read Person $deferredBy
 * @property-read Person|null $closedBy
 * @property-read Collection<int, DeferralCard> $cards
 * @property-read Collection<int, DeferralNeed> $needs
 */
final class Deferral extends Model
{
    public const OPEN = 'open';

    public const CLOSED = 'closed';

    protected $casts = [
        'discovered_at' => AsInstant::class,
        'counted_to' => AsDay::class,
        'limits' => 'array', 'at_discovery' => AsCounters::class, 'procedure_done' => 'boolean',
        'decided_at' => AsInstant::class, 'begun_at' => AsInstant::class, 'placard_at' => AsInstant::class,
        'placard_off_at' => AsInstant::class, 'closed_at' => AsInstant::class, 'extensions' => 'array',
        'hours' => 'float',
    ];

    /** @return BelongsTo<ListedItem, $this> */
    public function listedItem(): BelongsTo
    {
        return $this->belongsTo(ListedItem::class);
    }

    /** @return BelongsTo<Finding, $this> */
    public function finding(): BelongsTo
    {
        return $this->belongsTo(Finding::class);
    }

    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function deferredBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'deferred_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function closedBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'closed_by');
    }

    /** @return HasMany<DeferralCard, $this> */
    public function cards(): HasMany
    {
        return $this->hasMany(DeferralCard::class)->orderBy('id');
    }

    /** @return HasMany<DeferralNeed, $this> */
    public function needs(): HasMany
    {
        return $this->hasMany(DeferralNeed::class)->orderBy('id');
    }

    /** The first of its closing cards, once they are in a visit. Load `cards` first. */
    public function closing(): ?DeferralCard
    {
        return $this->cards->first(static fn(DeferralCard $c): bool => $c->stage() !== null);
    }

    /**
     * @return Collection<int, DeferralNeed> what its closure waits for; an extension that is asked for is none of it
     */
    public function waits(): Collection
    {
        return $this->needs->where('kind', '!=', DeferralNeed::EXTENSION);
    }

    /** What it is called in the due list. Load `finding` and `listedItem` first. */
    public function dueTitle(): string
    {
        return "Deferral {$this->finding->number}: {$this->name()}";
    }

    /** What the placard says, with the position where the list tells them apart. */
    public function name(): string
    {
        return $this->listedItem->title.($this->position === null ? '' : ", {$this->position}");
    }
}
