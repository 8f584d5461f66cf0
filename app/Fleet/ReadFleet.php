<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Deferrals\Deferral;
use App\Deferrals\DeferralClock;
use App\Fleet\View\AircraftView;
use App\Fleet\View\Bracket;
use App\Fleet\View\Counter;
use App\Fleet\View\DueView;
use App\Fleet\View\FleetView;
use App\Fleet\View\FlyingView;
use App\Fleet\View\Fuse;
use App\Fleet\View\LimitView;
use App\Fleet\View\ReachRow;
use App\Fleet\View\StopView;
use App\Library\ProgrammeItem;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Visit;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Fleet\DueResult;
use Jorvel\Core\Fleet\LimitDue;
use Jorvel\Core\Fleet\Rebase;
use Jorvel\Core\Shared\Day;

/** What the room Fleet shows: the whole fleet by who stops first, or one aircraft with every item. */
final readonly class ReadFleet
{
    public function __construct(private DueBook $book, private Clock $clock, private DeferralClock $deferrals) {}

    public function fleet(): FleetView
    {
        $aircraft = $this->book->query()->orderBy('mark')->get()->keyBy('mark');
        $rows = $aircraft
            ->map(fn(Aircraft $a): ReachRow => $this->row($a, $this->book->items($a)))
            ->sortBy(static fn(ReachRow $r): array => [$r->state === 'waiting' ? 1 : 0, $r->stop->days ?? PHP_INT_MAX])
            ->values();
        $flying = $rows->filter(static fn(ReachRow $r): bool => $r->state !== 'waiting');
        $first = $flying->first();
        $stopped = $flying->where('state', 'stop')->count();
        $watched = $flying->where('state', 'watch')->count();
        $clear = $flying->where('state', 'clear')->count();
        $sentence = match (true) {
            $rows->isEmpty() => 'No aircraft yet. Import a programme and yesterday\'s flying to begin.',
            $first?->stop === null => 'Nothing stops any aircraft within twenty years.',
            default => $this->sentence($aircraft[$first->mark], $first->stop),
        };
        $note = sprintf(
            '%s %s plan, %d to watch, %d clear. %d in a visit.',
            $stopped === 1 ? 'One aircraft' : "{$stopped} aircraft",
            $stopped === 1 ? 'needs a' : 'need a',
            $watched,
            $clear,
            $rows->count() - $flying->count(),
        );

        return new FleetView($sentence, $first?->mark, $note, (string) $this->clock->today(), $rows->all());
    }

    public function aircraft(Aircraft $aircraft): AircraftView
    {
        $items = $this->book->items($aircraft);
        $row = $this->row($aircraft, $items);
        $planned = DB::table('cards')->join('visits', 'visits.id', '=', 'cards.visit_id')
            ->where('cards.aircraft_id', $aircraft->id)->where('visits.state', '!=', Visit::RELEASED)
            ->pluck('visits.title', 'cards.item_id');
        $last = $aircraft->statuses->keyBy('item_id');
        $aircraft->loadCount('safing');
        $counters = [];
        foreach ($aircraft->counters as $name => $value) {
            $counters[] = new Counter($name, ucfirst(explode(' ', Words::amount(2, $name), 2)[1]), (float) $value, (float) ($aircraft->rates[$name] ?? 0));
        }

        return new AircraftView(
            $aircraft->mark,
            $aircraft->type->code,
            $aircraft->type->name,
            $aircraft->type->arrangement,
            $aircraft->fleet->name,
            $aircraft->base,
            $row->state,
            $row->stop === null ? "Nothing stops {$aircraft->mark} within twenty years." : $this->sentence($aircraft, $row->stop),
            $aircraft->counters_as_of,
            $row,
            $counters,
            $items->map(fn(array $i): DueView => $this->item($i['item'], $i['due'], $last->get($i['item']->id), $planned[$i['item']->id] ?? null))->all(),
            $aircraft->flying()->limit(10)->get()->map(static fn(FlyingEntry $f): FlyingView => new FlyingView(
                $f->date,
                implode(', ', array_map(static fn(string $c, float $v): string => Words::amount($v, $c), array_keys($f->flown), array_map(floatval(...), $f->flown))),
            ))->all(),
            $aircraft->visits->pluck('id')->all(),
            (int) $aircraft->getAttribute('safing_count'),
        );
    }

    /** @param Collection<int, array{item: ProgrammeItem, due: DueResult}> $items */
    public function row(Aircraft $aircraft, Collection $items): ReachRow
    {
        $today = $this->clock->today();
        $reach = $this->book->reach($aircraft, $items);
        $fuses = $aircraft->deferrals->map(function (Deferral $d) use ($aircraft, $today): ?Fuse {
            $last = $this->deferrals->read($d, $aircraft)->forecastLast;

            return $last === null ? null : new Fuse($d->id, $d->listedItem->title, $today->daysUntil($last), (string) $last);
        })->filter()->values();
        $driver = $reach->driver;
        $stop = null;
        if ($driver?->kind === 'deferral') {
            $deferral = $aircraft->deferrals->firstWhere(static fn(Deferral $d): bool => "deferral:{$d->id}" === $driver->id);
            $stop = new StopView('deferral', (string) $deferral?->listedItem->title, "deferred, category {$deferral?->category}", (string) $driver->last, $today->daysUntil($driver->last));
        } elseif ($driver !== null) {
            ['item' => $item, 'due' => $due] = $items->first(static fn(array $i): bool => "item:{$i['item']->id}" === $driver->id);
            $stop = new StopView($driver->kind, $item->title, $this->remaining($due->driver), (string) $driver->last, $today->daysUntil($driver->last));
        }

        return new ReachRow(
            $aircraft->mark,
            $aircraft->type->code,
            $aircraft->fleet->name,
            $aircraft->base,
            $reach->state,
            $stop,
            array_values($aircraft->visits->map(static fn(Visit $v): Bracket => new Bracket($v->id, $v->title, $today->daysUntil(Day::parse($v->start)), $today->daysUntil(Day::parse($v->end))))->all()),
            $fuses->all(),
        );
    }

    private function sentence(Aircraft $aircraft, StopView $stop): string
    {
        $mark = $aircraft->mark;
        $counted = Day::parse($aircraft->counters_as_of);
        $since = $this->clock->today()->number - $counted->number <= 1 ? 'from now' : 'after its last count, of '.$this->clock->words($counted);
        $when = $this->clock->words(Day::parse($stop->date));
        $what = $stop->kind === 'deferral' ? "when its deferral runs out ({$stop->title})" : 'for its '.lcfirst($stop->title);
        $left = $stop->kind === 'usage' ? "{$stop->detail} {$since}" : Words::fromNow($stop->days);

        return $stop->days < 0
            ? "{$mark} must not fly: its limit passed on {$when}, {$what}."
            : "{$mark} stops first: on {$when}, {$what}, {$left}.";
    }

    private function item(ProgrammeItem $item, DueResult $due, ?ItemStatus $last, ?string $visit): DueView
    {
        $today = $this->clock->today();

        return new DueView(
            $item->id,
            $item->code,
            $item->title,
            $item->chapter,
            $visit !== null ? 'waiting' : Words::state($due->status->value),
            $due->status->value,
            $due->forecast === null ? null : (string) $due->forecast,
            $due->forecast === null ? null : $today->daysUntil($due->forecast),
            $this->remaining($due->driver),
            $item->limitWords(),
            $item->rebase === Rebase::Planned->value ? 'keeps the plan: late work gains nothing' : 'counts from when it was done',
            $last?->date,
            $item->template->hours,
            $item->template->code,
            $visit,
            array_map(fn(LimitDue $l): LimitView => new LimitView(
                $l->unit,
                $l->base instanceof Day ? (string) $l->base : Words::amount($l->base, $l->unit),
                $l->next instanceof Day ? (string) $l->next : Words::amount($l->next, $l->unit),
                $this->remaining($l),
                Words::amount($l->tolerance, $l->next instanceof Day ? 'days' : $l->unit),
                $l->forecast === null ? null : (string) $l->forecast,
                $l->latest === null ? null : (string) $l->latest,
                Words::state($l->status->value),
                $l === $due->driver,
            ), $due->limits),
        );
    }

    private function remaining(?LimitDue $limit): string
    {
        if ($limit === null) {
            return '';
        }

        return $limit->next instanceof Day
            ? Words::amount($this->clock->today()->daysUntil($limit->next), 'days')
            : Words::amount($limit->remaining, $limit->unit);
    }
}
