<?php

declare(strict_types=1);

namespace App\Now;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralCard;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\AircraftType;
use App\Fleet\Model\ComponentTenure;
use App\Fleet\Model\ItemStatus;
use App\Floor\Model\Card;
use App\Floor\Model\Damage;
use App\Floor\Model\Finding;
use App\Floor\Model\SafingDevice;
use App\Library\Model\ProgrammeItem;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\LastDone;
use Jorvel\Core\Fleet\Takes;
use Jorvel\Core\Fleet\VisitSpan;
use Jorvel\Core\Now\AircraftNow;
use Jorvel\Core\Now\BottleNow;
use Jorvel\Core\Now\DamageNow;
use Jorvel\Core\Now\DeferralNow;
use Jorvel\Core\Now\ItemNow;
use Jorvel\Core\Now\OnAircraft;
use Jorvel\Core\Now\PartGone;
use Jorvel\Core\Shared\Day;
use PDO;
use WeakMap;

/** The one maker of the picture of an aircraft. */
final class LoadAircraft
{
    /** @var WeakMap<Aircraft, array<array-key, LastDone>> by item's key */
    private WeakMap $last;

    /** @var WeakMap<Aircraft, OnAircraft> */
    private WeakMap $on;

    /** @var WeakMap<AircraftType, array<string, list<PreparedItem>>> by harsh conditions met, '' for none */
    private WeakMap $prepared;

    public function __construct(
        private readonly LoadFlying $flying,
        private readonly LoadOnAircraft $at,
        private readonly LoadDeferral $deferral,
    ) {
        $this->last = new WeakMap;
        $this->on = new WeakMap;
        $this->prepared = new WeakMap;
    }

    /** @return Builder<Aircraft> with everything that its picture is made of */
    public function query(): Builder
    {
        return Aircraft::query()->with([
            ...self::rows(), 'type.items', 'fleet', 'home', 'deferrals.listedItem', 'tenures.component.readings',
            'damages.looks',
        ]);
    }

    /** @return array<array-key, mixed> what its picture is made of without what falls due */
    public static function with(): array
    {
        return [...self::rows(), 'type.items:id,type_id,code,includes'];
    }

    /** @return array<array-key, mixed> */
    private static function rows(): array
    {
        return [
            'sectors', 'deferrals.cards.card:id,visit_id', 'emptied.component',
            // What was fixed is of no more concern, unless a device still hangs on it.
            'findings' => static fn($q) => $q->where(static fn($q) => $q
                ->where('findings.state', '!=', Finding::FIXED)
                ->orWhereIn('id', SafingDevice::whereNull('removed_at')->select('carried_by'))),
            'visits' => static fn($q) => $q->where('state', '!=', Visit::RELEASED)
                ->with('cards:id,visit_id,item_id,component_id'),
        ];
    }

    /**
     * The picture of an aircraft, of the rows at hand: as they are saved, or as they are supposed.
     *
     * @param Aircraft $aircraft as of {@see query()}
     * @param iterable<ProgrammeItem>|null $programme another programme than the type's present one, for a preview
     */
    public function of(Aircraft $aircraft, ?iterable $programme = null): AircraftFile
    {
        if (! isset($this->last[$aircraft])) {
            $this->read(collect([$aircraft]));
        }
        $flying = $this->flying->of($aircraft);
        $items = $rows = $fitted = [];
        $last = $this->last[$aircraft];
        foreach ($this->prepared($aircraft, $programme) as $item) {
            if ($item->component === null) {
                $items[] = new ItemNow((string) $item->id, $item->never, $flying, $last[$item->id] ?? null);
                $rows[] = [$item, null];

                continue;
            }
            foreach ($fitted[$item->component] ??= $this->fitted($aircraft, $item->component) as [$tenure, $flown]) {
                $key = ItemNow::keyOf($item->id, $tenure->component_id);
                $items[] = new ItemNow($key, $item->never, $flown, $last[$key] ?? null);
                $rows[] = [$item, $tenure];
            }
        }

        return new AircraftFile($aircraft, $this->picture($aircraft, $flying, $items, self::bottles($aircraft)), $rows);
    }

    /**
     * The same without what falls due, for who does not ask that.
     *
     * @param Aircraft $aircraft with {@see with()}
     */
    public function withoutDue(Aircraft $aircraft): AircraftNow
    {
        return $this->picture($aircraft, $this->flying->of($aircraft), null, null);
    }

    /**
     * Reads when everything was last done, and what is at them, for many aircraft at once.
     *
     * @param Collection<int, Aircraft> $aircraft
     */
    public function read(Collection $aircraft): void
    {
        $last = $days = [];
        $ids = $aircraft->pluck('id')->all();
        $own = DB::table('item_statuses')->whereIn('aircraft_id', $ids)
            ->whereNull('component_id')
            ->select(['aircraft_id', 'item_id', DB::raw('null'), 'date', 'counters', 'planned']);
        $fitted = DB::table('item_statuses')->join('tenures', 'tenures.component_id', '=', 'item_statuses.component_id')
            ->whereNull('tenures.to_date')
            ->whereIn('tenures.aircraft_id', $ids)
            ->select(['tenures.aircraft_id', 'item_id', 'item_statuses.component_id', 'date', 'counters', 'planned']);
        foreach ([$own, $fitted] as $query) {
            foreach (self::lists($query) as [$craft, $item, $component, $date, $counters, $planned]) {
                $day = $days[$date] ??= Day::parse($date);
                $key = $component === null ? $item : "{$item}:{$component}";
                $last[$craft][$key] = ItemStatus::last($day, $counters, $planned);
            }
        }
        foreach ($aircraft as $one) {
            $this->last[$one] = $last[$one->id] ?? [];
        }
        $this->readOn($aircraft);
    }

    /**
     * Reads what is at many aircraft at once.
     *
     * @param Collection<int, Aircraft> $aircraft
     */
    public function readOn(Collection $aircraft): void
    {
        $on = $this->at->all(array_values($aircraft->pluck('id')->all()));
        foreach ($aircraft as $one) {
            $this->on[$one] = $on[$one->id];
        }
    }

    /** @return list<BottleNow> */
    private static function bottles(Aircraft $aircraft): array
    {
        $bottles = [];
        foreach ($aircraft->tenures as $tenure) {
            $trend = $tenure->component->trend();
            if ($trend !== null) {
                $bottles[] = new BottleNow((string) $tenure->component_id, $trend);
            }
        }

        return $bottles;
    }

    /**
     * @param list<ItemNow>|null $items
     * @param list<BottleNow>|null $bottles
     */
    private function picture(Aircraft $aircraft, Flying $flying, ?array $items, ?array $bottles): AircraftNow
    {
        if (! isset($this->on[$aircraft])) {
            $this->readOn(collect([$aircraft]));
        }
        $takes = $aircraft->visits->isEmpty() ? null : self::takes($aircraft->type);

        return new AircraftNow(
            (string) $aircraft->id,
            $flying,
            $items,
            $bottles,
            array_values($aircraft->emptied->map(static fn(ComponentTenure $t): PartGone => new PartGone(
                (string) $t->id,
                $t->to_date,
            ))->all()),
            array_values($aircraft->deferrals->map($this->deferral->of(...))->all()),
            $aircraft->findings->mapWithKeys(static fn(Finding $f): array => [
                (string) $f->id => $f->state,
            ])->all(),
            array_values($aircraft->visits->map(fn(Visit $v): VisitSpan => $this->flying->span($v, [
                ...$v->cards->flatMap(static fn(Card $c): array => $takes?->stops(...self::on($c)) ?? []),
                ...self::closes($aircraft, $v),
            ]))->all()),
            $this->on[$aircraft],
            $items === null ? [] : array_values($aircraft->damages->map(
                static fn(Damage $d): DamageNow => $d->now(),
            )->all()),
        );
    }

    /**
     * The deferrals whose closing cards a visit has.
     *
     * @return list<string> as they are called among the stops
     */
    private static function closes(Aircraft $aircraft, Visit $visit): array
    {
        return array_values($aircraft->deferrals->filter(static fn(Deferral $d): bool => $d->cards->contains(
            static fn(DeferralCard $c): bool => $c->stage() !== null && $c->card->visit_id === $visit->id,
        ))->map(static fn(Deferral $d): string => DeferralNow::stopOf((string) $d->id))->all());
    }

    /** What the cards of a type take, by what its items include. */
    public static function takes(AircraftType $type): Takes
    {
        $ids = $type->items->pluck('id', 'code');

        return new Takes($type->items->keyBy('id')->map(static fn(ProgrammeItem $i): array => array_values(array_map(
            strval(...),
            array_intersect_key($ids->all(), array_flip($i->includes)),
        )))->filter()->all());
    }

    /** @return array{string|null, string|null} the item that a card does, and the component on which it works */
    public static function on(Card $card): array
    {
        return [
            $card->item_id === null ? null : (string) $card->item_id,
            $card->component_id === null ? null : (string) $card->component_id,
        ];
    }

    /**
     * The programme as it is for an aircraft under its conditions, made ready once for all that share it.
     *
     * @param iterable<ProgrammeItem>|null $programme
     *
     * @return list<PreparedItem>
     */
    private function prepared(Aircraft $aircraft, ?iterable $programme): array
    {
        $conditions = $aircraft->harshConditions();
        $under = static fn(PreparedItem $i): PreparedItem => $i->under($conditions);
        if ($programme !== null) {
            return array_map($under, PreparedItem::all($programme));
        }
        sort($conditions);
        $key = implode(',', $conditions);
        $known = $this->prepared[$aircraft->type] ?? ['' => PreparedItem::all($aircraft->type->items)];
        $known[$key] ??= array_map($under, $known['']);
        $this->prepared[$aircraft->type] = $known;

        return $known[$key];
    }

    /**
     * What of a kind is fitted, with what it flies: as its aircraft does, in its own counters.
     *
     * @return list<array{ComponentTenure, Flying}>
     */
    private function fitted(Aircraft $aircraft, string $kind): array
    {
        $out = [];
        $plan = $this->flying->plan($aircraft);
        foreach ($aircraft->tenures as $tenure) {
            if ($tenure->component->kind === $kind) {
                $out[] = [$tenure, $this->flying->component($aircraft, $tenure, $plan)];
            }
        }

        return $out;
    }

    /**
     * Rows as bare lists: of a large fleet there are tens of thousands.
     *
     * @return iterable<array{int, int, int|null, string, string, string|null}>
     */
    private static function lists(QueryBuilder $query): iterable
    {
        $statement = DB::connection()->getPdo()->prepare($query->toSql());
        $statement->execute($query->getBindings());
        $statement->setFetchMode(PDO::FETCH_NUM);

        return $statement;
    }
}
