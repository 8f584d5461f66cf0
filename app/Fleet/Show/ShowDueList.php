<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralCard;
use App\Fleet\BottleWords;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Component;
use App\Fleet\Show\View\DueLine;
use App\Fleet\Show\View\DueListView;
use App\Library\Model\ProgrammeItem;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Now\DeferralNow;
use Jorvel\Core\Now\ItemNow;
use Jorvel\Core\Shared\Day;

/** The due list: every item of every aircraft that falls due within so many days, the earliest first. */
final readonly class ShowDueList
{
    public function __construct(private DueSheets $sheets, private DueTrends $trends, private Clock $clock) {}

    /** @param string|null $mark of one aircraft alone */
    public function within(int $days, ?string $mark = null): DueListView
    {
        $today = $this->clock->today();
        $last = $today->number + $days;
        $found = [];
        // Names once for each item and aircraft: a long list of a large fleet asks for them thousands of times.
        $aircraft = Aircraft::with('fleet')->when($mark !== null, static fn($q) => $q->where('mark', $mark))
            ->get()
            ->mapWithKeys(static fn(Aircraft $a): array => [$a->id => [$a->mark, $a->fleet->name, $a->base]])
            ->all();
        foreach ($this->sheets->all('rows')->intersectByKeys($aircraft) as $id => $sheet) {
            foreach (json_decode($sheet->rows, true, 8, JSON_THROW_ON_ERROR) as $row) {
                if ($row[2] === null || $row[2] > $last) {
                    // Rows stand in order of their dates.
                    break;
                }
                $found[] = [$id, ...$row];
            }
        }
        usort(
            $found,
            static fn(array $a, array $b): int => $a[3] <=> $b[3] ?: $aircraft[$a[0]][0] <=> $aircraft[$b[0]][0],
        );
        $items = ProgrammeItem::with(['template', 'set'])
            ->whereIn('id', array_unique(array_filter(array_column($found, 1))))
            ->get()
            ->mapWithKeys(static fn(ProgrammeItem $i): array => [$i->id => [
                $i->code,
                $i->title,
                $i->chapter,
                $i->workHours(),
            ]])
            ->all();
        $positions = DB::table('tenures')->whereNull('to_date')->pluck('position', 'component_id')->all();
        $others = array_column(array_filter($found, static fn(array $f): bool => $f[1] === null), 2);
        $bottles = Component::whereIn('id', array_filter($others, static fn(int $id): bool => $id > 0))->get()
            ->keyBy('id');
        $deferrals = Deferral::with('listedItem', 'finding')->whereIn('id', array_map(
            static fn(int $id): int => -$id,
            array_filter($others, static fn(int $id): bool => $id < 0),
        ))->get()->keyBy('id');
        $visits = $this->visits();
        $rows = [];
        foreach ($found as [$id, $itemId, $componentId, $forecast, $latest, $state, $unit, $left]) {
            $deferral = $itemId === null && $componentId < 0 ? $deferrals[-$componentId] : null;
            [$code, $title, $chapter, $hours] = match (true) {
                $deferral !== null => [
                    $deferral->listedItem->code,
                    $deferral->dueTitle(),
                    $deferral->finding->chapter,
                    $deferral->finding->fix_hours ?? 0.0,
                ],
                $itemId === null => [
                    BottleWords::CODE, BottleWords::title($bottles[$componentId]), BottleWords::CHAPTER, 0.0,
                ],
                default => $items[$itemId],
            };
            $key = match (true) {
                $deferral !== null => DeferralNow::stopOf((string) $deferral->id),
                $itemId === null => "bottle:{$componentId}",
                default => ItemNow::keyOf($itemId, $componentId),
            };
            [$visit, $from] = $visits["{$id}/{$key}"] ?? [null, null];
            $calendar = $unit === null || $unit === 'days' || $unit === 'months';
            $rows[] = new DueLine(
                $aircraft[$id][0],
                $aircraft[$id][1],
                $aircraft[$id][2],
                $key,
                $code,
                $componentId === null || $itemId === null ? $title : "{$title}, {$positions[$componentId]}",
                $chapter,
                $state,
                (string) Day::fromNumber($forecast),
                $forecast - $today->number,
                $latest === null ? null : (string) Day::fromNumber($latest),
                $unit ?? 'trend',
                $calendar ? Words::amount($forecast - $today->number, 'days') : Words::amount($left, $unit),
                $hours,
                $visit,
                $from,
            );
        }
        $rows = $this->withTrends($rows, $last, $aircraft);
        $free = array_filter($rows, static fn(DueLine $r): bool => $r->visit === null);
        $hours = Words::number(array_sum(array_map(static fn(DueLine $r): float => $r->hours, $free)));
        $next = array_values($free)[0] ?? null;
        $sentence = $next === null
            ? "Nothing falls due within {$days} days that is not in a visit."
            : count($free).' items fall due within '.$days
            ." days and are in no visit yet, {$hours} h of work; first {$next->code} {$next->title} on {$next->mark}, "
            .Words::fromNow($next->days).'.';

        return new DueListView($sentence, $days, (string) $today, $rows);
    }

    /**
     * With the points whose trend was taken into the list.
     *
     * @param list<DueLine> $rows in order
     * @param int $last the number of the last day
     * @param array<int, array{string, string, string}> $aircraft mark, fleet and base by id
     *
     * @return list<DueLine>
     */
    private function withTrends(array $rows, int $last, array $aircraft): array
    {
        $today = $this->clock->today();
        foreach ($this->trends->all(count($aircraft) === 1 ? array_key_first($aircraft) : null) as $trend) {
            if ($trend->last === null || $trend->last->number > $last) {
                continue;
            }
            $left = $today->daysUntil($trend->last);
            $rows[] = new DueLine(
                ...$aircraft[$trend->aircraftId],
                key: $trend->key,
                code: $trend->code,
                title: $trend->title,
                chapter: $trend->chapter,
                state: $trend->state->value,
                date: (string) $trend->last,
                days: $left,
                latest: (string) $trend->last,
                drives: 'trend',
                remaining: Words::amount($left, 'days'),
                hours: $trend->hours,
                visit: $trend->visit[0] ?? null,
                visitFrom: $trend->visit === null ? null : (string) $trend->visit[1],
            );
        }
        usort($rows, static fn(DueLine $a, DueLine $b): int => $a->days <=> $b->days ?: $a->mark <=> $b->mark);

        return $rows;
    }

    /** @return array<string, array{string, string}> the visit that takes it and its first day, by aircraft and row */
    private function visits(): array
    {
        $out = [];
        foreach (DB::table('cards')->join(
            'visits',
            'visits.id',
            '=',
            'cards.visit_id',
        )->where('visits.state', '!=', Visit::RELEASED)->get([
            'cards.aircraft_id',
            'item_id',
            'component_id',
            'visits.title',
            'visits.start',
        ]) as $card) {
            $key = ItemNow::keyOf($card->item_id, $card->component_id);
            $out["{$card->aircraft_id}/{$key}"] = [$card->title, $card->start];
        }
        foreach (DeferralCard::with('card.visit', 'deferral:id,aircraft_id')->where('part', '!=', DeferralCard::SAFE)
            ->whereHas('deferral', static fn($q) => $q->where('state', Deferral::OPEN))->get() as $part) {
            $key = DeferralNow::stopOf((string) $part->deferral_id);
            $visit = $part->card->visit;
            $out["{$part->deferral->aircraft_id}/{$key}"] = [$visit->title, (string) $visit->start];
        }

        return $out;
    }
}
