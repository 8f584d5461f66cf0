<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Library\Model\CardTemplate;
use App\Library\Model\ProgrammeItem;
use App\Library\Model\Reread;
use App\Shared\AsInstant;
use App\Shared\Model;
use App\Shared\Refused;
use App\Stores\Model\CardPart;
use App\Stores\Model\Recheck;
use App\Stores\Model\ToolLoan;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\VisitStage;

/**
 * A task card of a visit.
 *
 * `open` → `in_work` at its first step → `signed` by whoever worked it, where an independent inspection is due →
 * `closed`.
 *
 * @property int $id
 * @property int $visit_id
 * @property int $aircraft_id
 * @property int $template_id
 * @property int|null $item_id
 * @property bool $of_set one of its item's set of cards; the item's own card closes them
 * @property int|null $component_id the component that its item is of
 * @property string $number
 * @property string $title
 * @property int $revision of the manual it was written from
 * @property string $skill
 * @property float $hours
 * @property string $zone
 * @property bool $independent_inspection needs an independent inspection
 * @property CardProgress $state
 * @property int $version counts every change, for optimistic locking
 * @property int|null $signed_by
 * @property Instant|null $signed_at
 * @property int|null $inspected_by
 * @property Instant|null $inspected_at
 * @property VisitStage $stage of the visit, see {@see VisitStage}
 * @property string|null $makes `open:P`, `close:P` for a panel P, `raise`, `lower`, `induct`, `safe`, `last`, `fix`;
 * null for an item's card
 * @property array<string, int>|null $needs people by skill
 * @property list<array{place: string, who: string}> $positions
 * @property list<string> $panels that must be open for it
 * @property array<string, string>|null $configuration of the aircraft that it needs
 * @property list<string>|null $ground equipment that it needs
 * @property int $template_version the version of its template that it was made from
 * @property list<string> $tools kinds
 * @property list<string> $systems of the aircraft that whoever works it has their hands in
 * @property list<string> $covers what its independent inspection looks at
 * @property int|null $finding_id that it fixes
 * @property Instant|null $not_before the controller holds it until then
 * @property bool $first the controller put it before others
 * @property Instant|null $planned_start
 * @property Instant|null $planned_end
 * @property Instant|null $latest_start from which on it moves the exit
 * @property bool $on_chain on the chain that decides the exit
 * @property Instant|null $begun_at
 * @property Instant|null $closed_at
 * @property float|null $spent hours booked
 * @property-read Finding|null $finding
 * @property-read Collection<int, Card> $waitsFor
 * @property-read Collection<int, CardPart> $parts
 * @property-read Collection<int, Clocking> $clockings
 * @property-read Collection<int, Presence> $presences
 * @property-read Collection<int, Stoppage> $stoppages
 * @property-read Collection<int, Handover> $handovers the last one first
 * @property-read Handover|null $openHandover that nobody has taken over yet
 * @property-read Collection<int, CardHand> $hands everybody who ever had a hand in it
 * @property-read Collection<int, ToolLoan> $loans out now
 * @property-read Collection<int, Recheck> $rechecks
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
    /** {@see $makes} of a card that measures again what a withdrawn tool measured. */
    public const RECHECK = 'recheck';

    /** {@see $makes} of a card that makes a defect safe that is carried, and of the one that takes that back. */
    public const CARRY = 'carry';

    public const REVERSE = 'reverse';

    /** Cards whose steps are not their template's own: they take no newer text of it. */
    public const OWN_STEPS = [self::RECHECK, self::CARRY, self::REVERSE];

    public const OPEN = CardProgress::Open;

    public const IN_WORK = CardProgress::InWork;

    public const SIGNED = CardProgress::Signed;

    public const CLOSED = CardProgress::Closed;

    protected $casts = [
        'of_set' => 'boolean',
        'stage' => VisitStage::class,
        'state' => CardProgress::class,
        'signed_at' => AsInstant::class,
        'inspected_at' => AsInstant::class,
        'not_before' => AsInstant::class,
        'planned_start' => AsInstant::class,
        'planned_end' => AsInstant::class,
        'latest_start' => AsInstant::class,
        'begun_at' => AsInstant::class,
        'closed_at' => AsInstant::class,
        'independent_inspection' => 'boolean',
        'hours' => 'float', 'needs' => 'array', 'positions' => 'array', 'panels' => 'array',
        'configuration' => 'array', 'tools' => 'array', 'ground' => 'array',
        'systems' => 'array', 'covers' => 'array', 'first' => 'boolean', 'on_chain' => 'boolean', 'spent' => 'float',
    ];

    /** @return BelongsTo<Visit, $this> also a check on the line */
    public function visit(): BelongsTo
    {
        $visit = $this->belongsTo(Visit::class);
        $visit->withoutGlobalScope('visits');

        return $visit;
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

    /** @return HasMany<Clocking, $this> */
    public function clockings(): HasMany
    {
        return $this->hasMany(Clocking::class)->orderBy('id');
    }

    /** @return HasMany<Presence, $this> */
    public function presences(): HasMany
    {
        return $this->hasMany(Presence::class)->orderBy('id');
    }

    /** @return HasMany<Handover, $this> */
    public function handovers(): HasMany
    {
        return $this->hasMany(Handover::class)->orderByDesc('id');
    }

    /** @return HasOne<Handover, $this> */
    public function openHandover(): HasOne
    {
        return $this->hasOne(Handover::class)->whereNull('taken_at');
    }

    /** @return HasMany<CardHand, $this> */
    public function hands(): HasMany
    {
        return $this->hasMany(CardHand::class)->orderBy('id');
    }

    /** @return HasMany<ToolLoan, $this> */
    public function loans(): HasMany
    {
        return $this->hasMany(ToolLoan::class)->whereNull('in_at')->orderBy('id');
    }

    /** @return HasMany<Stoppage, $this> what it waits for now */
    public function stoppages(): HasMany
    {
        return $this->hasMany(Stoppage::class)->whereNull('ended_at')->orderBy('id');
    }

    /** @return HasMany<Recheck, $this> where its readings rest on a recalled tool */
    public function rechecks(): HasMany
    {
        return $this->hasMany(Recheck::class);
    }

    /** @throws Refused for whoever saw an older one; what they sent is still theirs */
    public function requireVersion(int $seen): void
    {
        if ($this->version !== $seen) {
            throw Refused::stale(
                'Somebody else changed this card while you had it open. What you entered is still in its field. '
                    .'Look at what they did, then send it again.',
                $this->version,
            );
        }
    }

    /**
     * Of the manual, of the system that it works on: its item's, or its finding's, or its template's. Load `item`,
     * `finding` and `template` first.
     */
    public function chapter(): string
    {
        return $this->item->chapter ?? $this->finding->chapter ?? $this->template->chapter;
    }

    /** The step that is worked next; null when all are done. Load `steps` first. */
    public function nextStep(): ?Step
    {
        return $this->steps->first(static fn(Step $s): bool => ! $s->settled());
    }

    /** Nothing is left to work on it: closed, or only to be inspected. */
    public function worked(): bool
    {
        return $this->state === self::CLOSED || $this->state === self::SIGNED;
    }

    /** Not what a visit has for its other cards: panels, jacks, induction. */
    public function isWork(): bool
    {
        return ! in_array(explode(':', (string) $this->makes)[0], [
            'induct', 'safe', 'last', 'raise', 'lower', 'open', 'close',
        ], true);
    }

    /** The first card that must be worked before this one is begun; null once it is begun. Load `waitsFor` first. */
    public function mustWaitFor(): ?self
    {
        return $this->state === self::OPEN
            ? $this->waitsFor->sortBy('id')->first(static fn(self $c): bool => ! $c->worked())
            : null;
    }

    /** Takes a card that nobody has begun out of its visit; the record of its making stays. */
    public function withdraw(): void
    {
        DB::table('card_waits')->where('card_id', $this->id)->orWhere('after_id', $this->id)->delete();
        $this->parts()->delete();
        $this->assignments()->delete();
        CardHand::where('card_id', $this->id)->delete();
        foreach ([Stoppage::class, Presence::class, Reread::class] as $beside) {
            $beside::where('card_id', $this->id)->delete();
        }
        $this->dropSteps();
        $this->delete();
    }

    /** Its steps, none of which is done, go, and what was remarked at them; the record keeps both. */
    public function dropSteps(): void
    {
        Stoppage::where('card_id', $this->id)->update(['step_id' => null]);
        Remark::where('card_id', $this->id)->delete();
        $this->steps()->delete();
    }

    /** Hours of work left, by the steps that are done; load `steps` first. */
    public function hoursLeft(): float
    {
        $steps = $this->steps->count();

        return $this->worked()
            ? 0.0
            : $this->hours
                * ($steps === 0 ? 1.0 : 1 - $this->steps->where('state', '!=', Step::OPEN)->count() / ($steps + 1));
    }

    /** Whether the manual still stands at the revision the card was written from. */
    public function revisionCurrent(): bool
    {
        return $this->revision === $this->template->revisionInForce();
    }

    /** Whether somebody ever had a hand in it, or signed it; load `hands`, `steps` and `assignments` first. */
    public function tookPart(int $personId): bool
    {
        return $this->signed_by === $personId || in_array($personId, $this->performers(), true);
    }

    /**
     * Ids of everybody who ever had a hand in its work, also in what was taken back since, and of who stood over a
     * trainee that did. Load `hands`, `steps` and `assignments` first.
     *
     * @return list<int>
     */
    public function performers(): array
    {
        $worked = $this->hands->pluck('person_id')
            ->merge($this->steps->where('kind', '!=', 'inspection')->pluck('done_by'))
            ->filter();
        $over = $this->assignments->whereIn('person_id', $worked)->pluck('under_id')->filter();

        return array_values($worked->merge($over)->unique()->map(intval(...))->all());
    }

    /** Puts somebody on the list of those who had a hand in it, and whoever stands over them; once each. */
    public function addHand(int $personId, string $at): void
    {
        $over = $this->assignments->firstWhere('person_id', $personId)?->under_id;
        CardHand::insertOrIgnore(array_map(
            fn(int $id): array => ['card_id' => $this->id, 'person_id' => $id, 'since' => $at],
            array_values(array_filter([$personId, $over])),
        ));
    }
}
