<?php

declare(strict_types=1);

namespace App\Floor;

use App\Crew\Person;
use App\Fleet\Aircraft;
use App\Library\CardTemplate;
use App\Library\ProgrammeItem;
use App\Shared\Model;
use App\Stores\CardPart;
use App\Visits\Visit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Visits\VisitPhase;

/**
 * A task card of a visit.
 *
 * `open` → `in_work` at its first step → `signed` by whoever worked it, where an independent inspection is due → `closed`.
 *
 * @property int $id
 * @property int $visit_id
 * @property int $aircraft_id
 * @property int|null $item_id
 * @property int|null $component_id the component that its item is of
 * @property string $number
 * @property string $title
 * @property int $revision of the manual it was written from
 * @property string $skill
 * @property float $hours
 * @property string $zone
 * @property bool $critical needs an independent inspection
 * @property string $state
 * @property int $version counts every change, for optimistic locking
 * @property int|null $signed_by
 * @property string|null $signed_at
 * @property int|null $inspected_by
 * @property string|null $inspected_at
 * @property string $phase of the visit, see {@see VisitPhase}
 * @property string|null $makes `open:P`, `close:P` for a panel P, `raise`, `lower`, `induct`, `safe`, `last`, `fix`; null for an item's card
 * @property array<string, int>|null $needs people by skill
 * @property list<array{place: string, who: string}> $positions
 * @property list<string> $panels that must be open for it
 * @property array<string, string>|null $states of the aircraft that it needs
 * @property list<string> $tools kinds
 * @property int|null $finding_id that it fixes
 * @property string|null $not_before the controller holds it until then
 * @property bool $first the controller put it before others
 * @property string|null $planned_start
 * @property string|null $planned_end
 * @property string|null $latest_start from which on it moves the exit
 * @property bool $on_chain on the chain that decides the exit
 * @property string|null $begun_at
 * @property string|null $closed_at
 * @property float|null $spent hours booked
 * @property-read Finding|null $finding
 * @property-read Collection<int, Card> $waitsFor
 * @property-read Collection<int, CardPart> $parts
 * @property-read Visit $visit
 * @property-read Aircraft $aircraft
 * @property-read CardTemplate $template
 * @property-read ProgrammeItem|null $item
 * @property-read Person|null $signer
 * @property-read Person|null $inspector
 * @property-read Collection<int, Step> $steps
 * @property-read Collection<int, Assignment> $assignments
 * @property-read Collection<int, Finding> $findings
 * @property-read Collection<int, SafingDevice> $safing
 * @property-read Collection<int, Reading> $readings
 */
final class Card extends Model
{
    public const OPEN = 'open';

    public const IN_WORK = 'in_work';

    public const SIGNED = 'signed';

    public const CLOSED = 'closed';

    protected $casts = [
        'critical' => 'boolean', 'hours' => 'float', 'needs' => 'array', 'positions' => 'array', 'panels' => 'array', 'states' => 'array', 'tools' => 'array',
        'first' => 'boolean', 'on_chain' => 'boolean', 'spent' => 'float',
    ];

    /** @return BelongsTo<Visit, $this> */
    public function visit(): BelongsTo
    {
        return $this->belongsTo(Visit::class);
    }

    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class);
    }

    /** @return BelongsTo<CardTemplate, $this> */
    public function template(): BelongsTo
    {
        return $this->belongsTo(CardTemplate::class);
    }

    /** @return BelongsTo<ProgrammeItem, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(ProgrammeItem::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function signer(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'signed_by');
    }

    /** @return BelongsTo<Person, $this> */
    public function inspector(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'inspected_by');
    }

    /** @return HasMany<Step, $this> */
    public function steps(): HasMany
    {
        return $this->hasMany(Step::class)->orderBy('no');
    }

    /** @return HasMany<Assignment, $this> */
    public function assignments(): HasMany
    {
        return $this->hasMany(Assignment::class);
    }

    /** @return HasMany<Finding, $this> */
    public function findings(): HasMany
    {
        return $this->hasMany(Finding::class);
    }

    /** @return HasMany<SafingDevice, $this> */
    public function safing(): HasMany
    {
        return $this->hasMany(SafingDevice::class);
    }

    /** @return HasMany<Reading, $this> */
    public function readings(): HasMany
    {
        return $this->hasMany(Reading::class)->orderBy('id');
    }

    /** @return BelongsTo<Finding, $this> */
    public function finding(): BelongsTo
    {
        return $this->belongsTo(Finding::class);
    }

    /** @return BelongsToMany<Card, $this> */
    public function waitsFor(): BelongsToMany
    {
        return $this->belongsToMany(self::class, 'card_waits', 'card_id', 'after_id');
    }

    /** @return HasMany<CardPart, $this> */
    public function parts(): HasMany
    {
        return $this->hasMany(CardPart::class);
    }

    /** Nothing is left to work on it: closed, or only to be inspected. */
    public function worked(): bool
    {
        return $this->state === self::CLOSED || $this->state === self::SIGNED;
    }

    /** The first card that must be worked before this one is begun; null once it is begun. Load `waitsFor` first. */
    public function mustWaitFor(): ?self
    {
        return $this->state === self::OPEN ? $this->waitsFor->sortBy('id')->first(static fn(self $c): bool => ! $c->worked()) : null;
    }

    /** Takes a card that nobody has begun out of its visit; the record of its making stays. */
    public function withdraw(): void
    {
        DB::table('card_waits')->where('card_id', $this->id)->orWhere('after_id', $this->id)->delete();
        $this->parts()->delete();
        $this->assignments()->delete();
        $this->steps()->delete();
        $this->delete();
    }

    /** Hours of work left, by the steps that are done; load `steps` first. */
    public function hoursLeft(): float
    {
        $steps = $this->steps->count();

        return $this->worked() ? 0.0 : $this->hours * ($steps === 0 ? 1.0 : 1 - $this->steps->where('state', Step::DONE)->count() / ($steps + 1));
    }

    /** Whether the manual still stands at the revision the card was written from. */
    public function revisionCurrent(): bool
    {
        return $this->revision === $this->template->manual->revision;
    }

    /** @return list<int> ids of everybody who confirmed one of its steps */
    public function performers(): array
    {
        return array_values($this->steps->pluck('done_by')->filter()->unique()->map(intval(...))->all());
    }
}
