<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Deferrals\Show\DeferralClock;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\AircraftType;
use App\Fleet\Model\ComponentTenure;
use App\Fleet\Model\ItemStatus;
use App\Library\Model\ProgrammeItem;
use App\Now\LoadFlying;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as QueryBuilder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Fleet\Due;
use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\LastDone;
use Jorvel\Core\Fleet\Reach;
use Jorvel\Core\Fleet\Stop;
use Jorvel\Core\Fleet\VisitPlans;
use Jorvel\Core\Fleet\VisitSpan;
use Jorvel\Core\Shared\Day;
use PDO;
use WeakMap;

/** Loads aircraft with all that their due dates rest on, and asks the core. */
final readonly class DueBook
{
    /** @var WeakMap<Aircraft, array<array-key, LastDone>> by due row's key */
    private WeakMap $last;

    /** @var WeakMap<AircraftType, array<string, list<PreparedItem>>> by harsh conditions met, '' for none */
    private WeakMap $prepared;

    public function __construct(private Clock $clock, private DeferralClock $deferrals, private LoadFlying $load)
    {
        $this->last = new WeakMap;
        $this->prepared = new WeakMap;
    }

    /** @return Builder<Aircraft> with everything {@see items()} and {@see Reach()} read */
    public function query(): Builder
    {
        return Aircraft::query()->with([
            'type.items', 'fleet', 'home', 'deferrals.listedItem', 'tenures.component.readings', 'emptied.component',
            'sectors',
            'visits' => static fn($q)
                => $q->where('state', '!=', Visit::RELEASED)->with('cards:id,visit_id,item_id,component_id'),
        ]);
    }

    /**
     * Every item of the aircraft's programme, on itself and on what is fitted to it, with its due date, the earliest
     * first.
     *
     * @param iterable<ProgrammeItem>|null $programme another programme than the type's present one, for a preview
     *
     * @return Collection<int, DueRow>
     */
    public function items(Aircraft $aircraft, ?iterable $programme = null): Collection
    {
        $rows = iterator_to_array($this->each($aircraft, $programme), false);
        usort(
            $rows,
            static fn(DueRow $a, DueRow $b): int
                => ($a->due->forecast->number ?? PHP_INT_MAX) <=> ($b->due->forecast->number ?? PHP_INT_MAX),
        );

        return collect($rows);
    }

    /**
     * The same one by one and in no order: a large fleet has tens of thousands, and few are wanted whole.
     *
     * @param iterable<ProgrammeItem>|null $programme
     *
     * @return iterable<DueRow>
     */
    public function each(Aircraft $aircraft, ?iterable $programme = null): iterable
    {
        if (! isset($this->last[$aircraft])) {
            $this->read(collect([$aircraft]));
        }
        $last = $this->last[$aircraft];
        $flying = $this->load->of($aircraft);
        $warn = (int) config('jorvel.warn_days') + max(0, $flying->asOf->daysUntil($this->clock->today()));
        $fitted = [];
        foreach ($this->prepared($aircraft, $programme) as $item) {
            if ($item->component === null) {
                $done = $last[$item->id] ?? null;
                yield new DueRow($item, null, Due::since($flying, $item->never, $done, $warn), $done);

                continue;
            }
            foreach ($fitted[$item->component] ??= $this->fitted($aircraft, $item->component) as [$tenure, $flown]) {
                $done = $last["{$item->id}:{$tenure->component_id}"] ?? null;
                yield new DueRow($item, $tenure, Due::since($flown, $item->never, $done, $warn), $done);
            }
        }
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
     * How far the aircraft can go before something stops it that no visit takes away in time.
     *
     * @param iterable<DueRow> $items all of its items
     * @param array<int, Day|null> $deferrals last day of each open deferral, by id
     */
    public function reach(Aircraft $aircraft, iterable $items, array $deferrals): Reach
    {
        return Reach::of(
            $this->clock->today(),
            $this->stops($aircraft, $items, $deferrals),
            $this->plans($aircraft),
            (int) config('jorvel.warn_days'),
        );
    }

    /**
     * @param iterable<DueRow> $items
     * @param array<int, Day|null> $deferrals
     *
     * @return iterable<Stop>
     */
    private function stops(Aircraft $aircraft, iterable $items, array $deferrals): iterable
    {
        foreach ($items as $row) {
            if ($row->due->forecast !== null) {
                yield new Stop(
                    $row->due->driver?->next instanceof Day ? 'calendar' : 'usage',
                    $row->stop(),
                    $row->due->forecast,
                    $row->due->latest,
                );
            }
        }
        foreach ($aircraft->emptied as $tenure) {
            // It flew with it on the day before it came off.
            yield new Stop('part', "part:{$tenure->id}", Day::parse((string) $tenure->to_date)->plusDays(-1));
        }
        foreach ($this->bottles($aircraft) as [$tenure, $crosses]) {
            yield new Stop('usage', "bottle:{$tenure->component_id}", $crosses);
        }
        foreach ($deferrals as $id => $last) {
            if ($last !== null) {
                yield new Stop('deferral', "deferral:{$id}", $last);
            }
        }
    }

    /** Its visits as they take its stops away; asked for every item of every list. */
    public function plans(Aircraft $aircraft): VisitPlans
    {
        $codes = $aircraft->visits->isEmpty() ? collect() : $aircraft->type->items->keyBy('code');

        return VisitPlans::of(
            $this->clock->today(),
            array_values($aircraft->visits->map(
                static fn(Visit $v): VisitSpan => LoadFlying::span($v, self::takes($v, $codes)),
            )->all()),
        );
    }

    /** What an item of it is called in every list. */
    public function state(VisitPlans $plans, string $stop, ?Day $last, ?Day $latest): FleetState
    {
        return FleetState::of(
            $this->clock->today(),
            $last,
            $plans->away($stop, $latest),
            (int) config('jorvel.warn_days'),
        );
    }

    /** @return array<int, Day|null> the last day of each open deferral, by id */
    public function deferrals(Aircraft $aircraft): array
    {
        return $aircraft->deferrals->mapWithKeys(
            fn($d): array => [$d->id => $this->deferrals->read($d, $aircraft)->forecastLast],
        )
            ->all();
    }

    /**
     * The bottles and accumulators that fall towards their minimum, with the last day on which they are still above it.
     *
     * @return list<array{ComponentTenure, Day}> the first to fall first
     */
    public function bottles(Aircraft $aircraft): array
    {
        $out = [];
        foreach ($aircraft->tenures as $tenure) {
            $crosses = $tenure->component->trend()?->crossesOn;
            if ($crosses !== null) {
                $out[] = [$tenure, $crosses];
            }
        }
        usort($out, static fn(array $a, array $b): int => $a[1]->number <=> $b[1]->number);

        return $out;
    }

    /**
     * Reads when everything was last done, for many aircraft in two queries.
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
            foreach (self::rows($query) as [$craft, $item, $component, $date, $counters, $planned]) {
                $day = $days[$date] ??= Day::parse($date);
                $last[$craft][$component === null ? $item : "{$item}:{$component}"] = ItemStatus::last($day, $counters, $planned);
            }
        }
        foreach ($aircraft as $one) {
            $this->last[$one] = $last[$one->id] ?? [];
        }
    }

    /**
     * Rows as bare lists: of a large fleet there are tens of thousands.
     *
     * @return iterable<array{int, int, int|null, string, string, string|null}>
     */
    private static function rows(QueryBuilder $query): iterable
    {
        $statement = DB::connection()->getPdo()->prepare($query->toSql());
        $statement->execute($query->getBindings());
        $statement->setFetchMode(PDO::FETCH_NUM);

        return $statement;
    }

    /**
     * The stops that a visit takes away: of the items on its cards, of what those include, and of bottles it works on.
     *
     * @param Collection<string, ProgrammeItem> $codes the type's items by code
     *
     * @return list<string>
     */
    private static function takes(Visit $visit, Collection $codes): array
    {
        $takes = [];
        $byId = $codes->keyBy('id');
        foreach ($visit->cards as $card) {
            $takes[] = 'item:'.DueRow::keyOf($card->item_id, $card->component_id);
            foreach ($byId->get($card->item_id)->includes ?? [] as $code) {
                $takes[] = 'item:'.$codes->get($code)?->id;
            }
            if ($card->component_id !== null) {
                $takes[] = "bottle:{$card->component_id}";
            }
        }

        return $takes;
    }

    /**
     * What of a kind is fitted, with what it flies: as its aircraft does, in its own counters.
     *
     * @return list<array{ComponentTenure, Flying}>
     */
    private function fitted(Aircraft $aircraft, string $kind): array
    {
        $out = [];
        $plan = $this->load->plan($aircraft);
        foreach ($aircraft->tenures as $tenure) {
            if ($tenure->component->kind === $kind) {
                $out[] = [$tenure, $this->load->component($aircraft, $tenure, $plan)];
            }
        }

        return $out;
    }
}
