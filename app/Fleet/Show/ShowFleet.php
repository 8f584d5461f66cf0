<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Deferrals\Model\Deferral;
use App\Fleet\BottleWords;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ComponentTenure;
use App\Fleet\Model\DueSheet;
use App\Fleet\Model\Fleet;
use App\Fleet\Model\Sector;
use App\Fleet\Show\View\AircraftView;
use App\Fleet\Show\View\ComponentView;
use App\Fleet\Show\View\Counter;
use App\Fleet\Show\View\DueView;
use App\Fleet\Show\View\FleetView;
use App\Fleet\Show\View\LimitView;
use App\Fleet\Show\View\PlanView;
use App\Fleet\Show\View\ReachRow;
use App\Fleet\Show\View\SectorView;
use App\Shared\Clock;
use App\Shared\Words;
use Jorvel\Core\Deferrals\ClockResult;
use Jorvel\Core\Fleet\BottleDue;
use Jorvel\Core\Fleet\DueStatus;
use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Fleet\LimitDue;
use Jorvel\Core\Fleet\PlannedAway;
use Jorvel\Core\Fleet\Rebase;
use Jorvel\Core\Now\DeferralNow;
use Jorvel\Core\Shared\Day;

/** What the room Fleet shows: the whole fleet by who stops first, or one aircraft with every item. */
final readonly class ShowFleet
{
    public function __construct(
        private DueBook $book,
        private DueSheets $sheets,
        private ShowReach $reach,
        private DueTrends $trends,
        private Clock $clock,
    ) {}

    public function fleet(): FleetView
    {
        $rows = $this->sheets->all('head')
            ->map(static fn(DueSheet $s): ReachRow => ReachRow::read($s->head))
            ->sortBy(static fn(ReachRow $r): array => [
                $r->state === 'waiting' ? 1 : 0,
                $r->stop->days ?? PHP_INT_MAX,
                $r->mark,
            ])
            ->values();
        $flying = $rows->filter(static fn(ReachRow $r): bool => $r->state !== 'waiting');
        $first = $flying->first();
        $states = $flying->countBy('state');
        $stopped = $states->get('stop', 0);
        $sentence = match (true) {
            $rows->isEmpty() => 'No aircraft yet. Import a programme and yesterday\'s flying to begin.',
            $first?->stop === null => 'Nothing stops any aircraft within twenty years.',
            default => $this->reach->sentence(
                $first->mark,
                (string) Aircraft::where('mark', $first->mark)->value('counters_as_of'),
                $first->stop,
            ),
        };
        $note = sprintf(
            '%s %s plan, %d to watch, %d clear. %d in a visit.',
            $stopped === 1 ? 'One aircraft' : "{$stopped} aircraft",
            $stopped === 1 ? 'needs a' : 'need a',
            $states->get('watch', 0),
            $states->get('clear', 0),
            $rows->count() - $flying->count(),
        );

        return new FleetView($sentence, $first?->mark, $note, (string) $this->clock->today(), $this->reach->withPlans(
            $rows->all(),
        ));
    }

    public function aircraft(string $mark): AircraftView
    {
        $aircraft = $this->book->query()->with(['type.items.template', 'type.items.set'])
            ->where('mark', $mark)
            ->firstOrFail();
        $page = $this->book->page($aircraft);
        [$row] = $this->reach->withPlans([$this->reach->row($page)]);
        $aircraft->loadCount('safing');
        $mean = $this->meanFlown($aircraft);
        $counters = [];
        foreach ($aircraft->counters as $name => $value) {
            $counters[] = new Counter(
                $name,
                Words::counter($name),
                (float) $value,
                (float) ($aircraft->rates[$name] ?? 0),
                $mean[$name] ?? null,
            );
        }

        return new AircraftView(
            $aircraft->mark,
            $aircraft->type->code,
            $aircraft->type->name,
            $aircraft->type->arrangement,
            $aircraft->fleet->name,
            $aircraft->base,
            $aircraft->harshConditions(),
            $row->state,
            $this->reach->said($aircraft, $row),
            (string) $this->clock->today(),
            (string) $aircraft->counters_as_of,
            $row,
            $counters,
            $this->items($page),
            array_values($aircraft->tenures->map(
                fn(ComponentTenure $t): ComponentView => $this->component($aircraft, $t),
            )->all()),
            new PlanView(
                (object) array_map(floatval(...), $aircraft->rates),
                $aircraft->week === null ? null : (object) $aircraft->week,
                array_values($aircraft->sectors->filter(
                    static fn(Sector $s): bool => $s->date > $aircraft->counters_as_of,
                )->map(self::sector(...))->all()),
            ),
            $aircraft->visits->pluck('id')->all(),
            (int) $aircraft->getAttribute('safing_count'),
        );
    }

    /**
     * Mean use per calendar day over the last ninety days that are counted, by counter.
     *
     * @return array<string, float>
     */
    private function meanFlown(Aircraft $aircraft): array
    {
        $from = (string) $aircraft->counters_as_of->plusDays(-90);
        $sums = [];
        foreach ($aircraft->flying()->where('date', '>', $from)->get(['flown']) as $entry) {
            foreach ($entry->flown as $counter => $amount) {
                $sums[$counter] = ($sums[$counter] ?? 0.0) + $amount;
            }
        }

        return array_map(static fn(float $sum): float => round($sum / 90, 2), $sums);
    }

    private static function sector(Sector $s): SectorView
    {
        return new SectorView(
            $s->id,
            (string) $s->date,
            $s->number,
            $s->from_place,
            $s->to_place,
            self::amounts($s->use),
        );
    }

    /** @param array<string, float> $use */
    public static function amounts(array $use): string
    {
        return implode(
            ', ',
            array_map(
                static fn(string $c, float $v): string => Words::amount($v, $c),
                array_keys($use),
                array_map(floatval(...), $use),
            ),
        );
    }

    private function component(Aircraft $aircraft, ComponentTenure $t): ComponentView
    {
        return new ComponentView(
            $t->component->id,
            $t->component->kind,
            $t->component->title,
            $t->component->part_no,
            $t->component->serial,
            $t->position,
            (string) $t->from_date,
            self::amounts($t->tenure()->counters(array_map(floatval(...), $aircraft->counters))),
            $t->component->gauge !== null,
        );
    }

    /** @return list<DueView> with the bottles that fall and what is carried, the earliest first */
    private function items(DuePage $page): array
    {
        $planned = $page->file->carded();
        $views = array_map(fn(DueRow $r): DueView => $this->item($r, $planned[$r->key()] ?? null), $page->rows);
        foreach ($page->bottles() as [$tenure, $bottle]) {
            $views[] = $this->bottle($tenure, $bottle);
        }
        foreach ($page->aircraft->deferrals->loadMissing('finding', 'cards.card.visit') as $deferral) {
            $views[] = $this->deferral(
                $deferral,
                $page->outlook->deferrals[$deferral->id],
                $page->outlook->carried[$deferral->id],
            );
        }
        foreach ($this->trends->all($page->aircraft->id) as $trend) {
            $views[] = $this->trend($trend);
        }
        usort(
            $views,
            static fn(DueView $a, DueView $b): int => ($a->days ?? PHP_INT_MAX) <=> ($b->days ?? PHP_INT_MAX),
        );

        return $views;
    }

    private function bottle(ComponentTenure $tenure, BottleDue $bottle): DueView
    {
        $last = $bottle->last;
        $days = $this->clock->today()->daysUntil($last);
        $status = DueStatus::onDay($this->clock->today(), $last, (int) config('jorvel.warn_days'))->value;
        $trend = $bottle->bottle->trend;
        $unit = $tenure->component->gauge['unit'] ?? '';

        return new DueView(
            "bottle:{$tenure->component_id}",
            BottleWords::CODE,
            BottleWords::title($tenure->component),
            BottleWords::CHAPTER,
            $bottle->state->value,
            $status,
            (string) $last,
            $days,
            Words::amount($days, 'days'),
            'trend of its readings, '.Words::number($trend->line->slope, 2)." {$unit} a day",
            'starts anew when it is changed or filled',
            null,
            0.0,
            '',
            $tenure->component->name(),
            [],
            null,
            [],
        );
    }

    private function trend(DueTrend $trend): DueView
    {
        $last = $trend->last;
        $today = $this->clock->today();
        $days = $last === null ? null : $today->daysUntil($last);

        return new DueView(
            $trend->key,
            $trend->code,
            $trend->title,
            $trend->chapter,
            $trend->state->value,
            $last === null ? 'ok' : DueStatus::onDay($today, $last, (int) config('jorvel.warn_days'))->value,
            $last === null ? null : (string) $last,
            $days,
            $days === null ? '' : Words::amount($days, 'days'),
            'trend of its readings, '.($trend->read === '' ? 'none' : "last {$trend->read}"),
            'moves with every reading, and starts anew when it is set',
            null,
            $trend->hours,
            '',
            null,
            [],
            $trend->visit[0] ?? null,
            [],
            $trend->readingId,
        );
    }

    private function deferral(Deferral $deferral, ClockResult $clock, FleetState $state): DueView
    {
        $last = $clock->forecastLast;
        $today = $this->clock->today();
        $left = $clock->driver === null || $clock->driver === 'days' ? null : $clock->usageLeft[$clock->driver];

        return new DueView(
            DeferralNow::stopOf((string) $deferral->id),
            $deferral->listedItem->code,
            $deferral->dueTitle(),
            $deferral->finding->chapter,
            $state->value,
            $last === null ? 'ok' : DueStatus::onDay($today, $last, (int) config('jorvel.warn_days'))->value,
            $last === null ? null : (string) $last,
            $last === null ? null : $today->daysUntil($last),
            match (true) {
                $last === null => '',
                $left !== null => Words::amount($left, (string) $clock->driver),
                default => Words::amount($today->daysUntil($last), 'days'),
            },
            "carried, category {$deferral->category}",
            'ends with its closure',
            null,
            $deferral->finding->fix_hours ?? 0.0,
            '',
            null,
            [],
            $deferral->closing()?->card->visit->title,
            $last === null ? [] : [$this->carriedLimit($deferral, $clock, $last)],
        );
    }

    /** The limit that runs out first of what is carried. */
    private function carriedLimit(Deferral $deferral, ClockResult $clock, Day $last): LimitView
    {
        $unit = $clock->driver ?? 'days';
        $days = $unit === 'days';
        $from = $deferral->at_discovery[$unit] ?? 0.0;

        return new LimitView(
            $unit,
            $days
                ? (string) $deferral->discovered_at->dayIn(new \DateTimeZone($deferral->timezone))
                : Words::amount($from, $unit),
            $days ? (string) $last : Words::amount($from + ($deferral->limits[$unit] ?? 0.0), $unit),
            $days ? Words::amount($this->clock->today()->daysUntil($last), 'days')
                : Words::amount($clock->usageLeft[$unit], $unit),
            Words::amount(0, $unit),
            (string) $last,
            null,
            FleetState::of($this->clock->today(), $last, PlannedAway::No, (int) config('jorvel.warn_days'))->value,
            true,
        );
    }

    private function item(DueRow $row, ?string $visit): DueView
    {
        $item = $row->of->item;
        $due = $row->due;

        return new DueView(
            $row->key(),
            $item->code,
            $row->title(),
            $item->chapter,
            $row->state->value,
            $due->status->value,
            $due->forecast === null ? null : (string) $due->forecast,
            $due->forecast === null ? null : $this->clock->today()->daysUntil($due->forecast),
            $this->reach->remaining($due->driver),
            $item->limitWords()
                .($row->of->harsh === null ? '' : ', × '.Words::number($row->of->factor, 2)." for {$row->of->harsh}"),
            $item->rebase === Rebase::Planned->value
                ? 'keeps the plan: late work gains nothing'
                : 'counts from when it was done',
            $row->last === null ? null : (string) $row->last->date,
            $item->workHours(),
            $item->cardWords(),
            $row->on === null ? null : $row->on->component->name(),
            $item->panels(),
            $visit,
            array_map(fn(LimitDue $l): LimitView => new LimitView(
                $l->unit,
                $l->base instanceof Day ? (string) $l->base : Words::amount($l->base, $l->unit),
                $l->next instanceof Day ? (string) $l->next : Words::amount($l->next, $l->unit),
                $this->reach->remaining($l),
                Words::amount($l->tolerance, $l->next instanceof Day ? 'days' : $l->unit),
                $l->forecast === null ? null : (string) $l->forecast,
                $l->latest === null ? null : (string) $l->latest,
                FleetState::of(
                    $this->clock->today(),
                    $l->forecast,
                    PlannedAway::No,
                    (int) config('jorvel.warn_days'),
                )->value,
                $l === $due->driver,
            ), $due->limits),
        );
    }
}
