<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Deferrals\DeferralClock;
use App\Floor\Card;
use App\Library\ProgrammeItem;
use App\Shared\Clock;
use App\Visits\Visit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Jorvel\Core\Fleet\Due;
use Jorvel\Core\Fleet\DueResult;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\PlanPeriod;
use Jorvel\Core\Fleet\Reach;
use Jorvel\Core\Fleet\Stop;
use Jorvel\Core\Shared\Day;

/** Loads aircraft with all that their due dates rest on, and asks the core. */
final readonly class DueBook
{
    public function __construct(private Clock $clock, private DeferralClock $deferrals) {}

    /** @return Builder<Aircraft> with everything {@see items()} and {@see Reach()} read */
    public function query(): Builder
    {
        return Aircraft::query()->with([
            'type.items', 'fleet', 'statuses', 'deferrals.listedItem', 'deferrals.finding',
            'visits' => static fn($q) => $q->where('state', '!=', Visit::RELEASED)->with('cards:id,visit_id,item_id'),
        ]);
    }

    public function flying(Aircraft $aircraft): Flying
    {
        return Flying::of(
            Day::parse($aircraft->counters_as_of),
            array_map(floatval(...), $aircraft->counters),
            array_map(floatval(...), $aircraft->rates),
            $this->standstill($aircraft),
            Day::parse($aircraft->entry_date),
            array_map(floatval(...), $aircraft->entry_counters),
        );
    }

    /**
     * Every item of the aircraft's programme with its due date, the earliest first.
     *
     * @param iterable<ProgrammeItem>|null $programme another programme than the type's present one, for a preview
     *
     * @return Collection<int, array{item: ProgrammeItem, due: DueResult}>
     */
    public function items(Aircraft $aircraft, ?iterable $programme = null, ?Flying $flying = null): Collection
    {
        $flying ??= $this->flying($aircraft);
        $last = $aircraft->statuses->keyBy('item_id');
        $warn = (int) config('jorvel.warn_days') + max(0, $flying->asOf->daysUntil($this->clock->today()));
        $out = [];
        foreach ($programme ?? $aircraft->type->items as $item) {
            $out[] = ['item' => $item, 'due' => Due::of($flying, $item->due($last->get($item->id)?->lastDone()), $warn)];
        }
        usort($out, static fn(array $a, array $b): int => ($a['due']->forecast->number ?? PHP_INT_MAX) <=> ($b['due']->forecast->number ?? PHP_INT_MAX));

        return collect($out);
    }

    /**
     * How far the aircraft can go.
     *
     * @param Collection<int, array{item: ProgrammeItem, due: DueResult}> $items
     */
    public function reach(Aircraft $aircraft, Collection $items): Reach
    {
        $stops = [];
        foreach ($items as ['item' => $item, 'due' => $due]) {
            if ($due->forecast !== null && $due->driver !== null) {
                $stops[] = new Stop($due->driver->next instanceof Day ? 'calendar' : 'usage', "item:{$item->id}", $due->forecast);
            }
        }
        foreach ($aircraft->deferrals as $deferral) {
            $last = $this->deferrals->read($deferral, $aircraft)->forecastLast;
            if ($last !== null) {
                $stops[] = new Stop('deferral', "deferral:{$deferral->id}", $last);
            }
        }
        $visits = $aircraft->visits->map(static fn(Visit $v): array => [Day::parse($v->start), Day::parse($v->end), array_values($v->cards->map(static fn(Card $c): string => "item:{$c->item_id}")->all())])->all();

        return Reach::of($this->clock->today(), $stops, array_values($visits), (int) config('jorvel.warn_days'));
    }

    /**
     * The aircraft stands still while it is in a visit.
     *
     * @return list<PlanPeriod>
     */
    private function standstill(Aircraft $aircraft): array
    {
        $rates = array_map(static fn(): float => 0.0, $aircraft->rates);
        $periods = [];
        $free = PHP_INT_MIN;
        foreach ($aircraft->visits->sortBy('start') as $visit) {
            $from = max(Day::parse($visit->start)->number, $free);
            $to = Day::parse($visit->end)->number;
            if ($from <= $to) {
                $periods[] = PlanPeriod::of(Day::fromNumber($from), Day::fromNumber($to), $rates);
                $free = $to + 1;
            }
        }

        return $periods;
    }
}
