<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\Report;
use App\Deferrals\Show\View\CostRow;
use App\Deferrals\Show\View\EventView;
use App\Deferrals\Show\View\LifeRow;
use App\Deferrals\Show\View\RateRow;
use App\Deferrals\Show\View\ReliabilityView;
use App\Fleet\Model\ComponentTenure;
use App\Floor\Model\Finding;
use App\Library\Model\ProgrammeItem;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Deferrals\Rate;
use Jorvel\Core\Shared\Day;

/**
 * How often things go wrong per 1,000 flight hours, with bounds, beside the year before; what costs most; what comes
 * again.
 */
final readonly class ShowReliability
{
    /** Days before the span that it is compared with. */
    private const PAST = 365;

    private const COSTLY = 10;

    private const ROWS = 200;

    public function __construct(private Clock $clock) {}

    public function of(string $what, string $by, int $days): ReliabilityView
    {
        [$from, $to, $past] = $this->span($days);
        $rows = $this->rows($what, $by, $from, $to, $past);
        $alerts = array_values(array_filter($rows, static fn(RateRow $r): bool => $r->alert));
        $before = array_filter($rows, static fn(RateRow $r): bool => ($r->expected ?? 0.0) > 0.0);
        $many = array_sum(array_map(static fn(RateRow $r): int => $r->events, $rows));
        $again = array_sum(array_map(static fn(RateRow $r): int => $r->repeats, $rows));

        return new ReliabilityView(
            match (true) {
                $many === 0 => "No {$what} in the last {$days} days.",
                $alerts === [] && $before === [] => Words::count($many, substr($what, 0, -1))
                    ." in {$days} days; the year "
                    .'before has none on record to compare them with.',
                $alerts === [] => Words::count($many, substr($what, 0, -1))." in {$days} days; none comes more often "
                    .'than in the year before.',
                default => "{$alerts[0]->label}: ".Words::count($alerts[0]->events, substr($what, 0, -1))
                    ." in {$days} days where "
                    .Words::number((float) $alerts[0]->expected).' were to be expected'.(count($alerts) > 1
                        ? '; '.Words::count(count($alerts) - 1, 'other', 'others').' too' : '').'.',
            },
            $what,
            $by,
            $days,
            $rows,
            $many === 0 ? 'No event, no repeat.' : Words::count($again, 'of them is a repeat', 'of them are repeats')
                .', '
                .Words::number(100 * $again / $many).' %.',
            $this->costly($past, $to),
            $this->lives(),
        );
    }

    /** @return list<EventView> the rows behind a figure, the latest first */
    public function events(string $what, string $by, string $key, int $days): array
    {
        [$from, $to] = $this->span($days);
        $rows = DB::query()->fromSub(Events::of($what, $by, $from, $to), 'x')->where('grp', $key)->limit(self::ROWS)
            ->get();
        $ids = $rows->pluck('id');
        $said = match ($what) {
            'reports' => Report::findMany($ids)->mapWithKeys(
                static fn(Report $r): array => [$r->id => ["{$r->number}: {$r->text}", "/deferrals/reports/{$r->id}"]],
            ),
            'findings' => Finding::findMany($ids)->mapWithKeys(static fn(Finding $f): array => [
                $f->id => ["{$f->number}: {$f->place}, {$f->extent}", "/floor/findings/{$f->id}"],
            ]),
            'deferrals' => Deferral::with('finding', 'listedItem')->findMany($ids)->mapWithKeys(
                static fn(Deferral $d): array
                    => [$d->id => ["{$d->finding->number}: {$d->name()}", "/deferrals/{$d->id}"]],
            ),
            default => ComponentTenure::with('component')->findMany($ids)
                ->mapWithKeys(static fn(ComponentTenure $t): array => [
                    $t->id => ["{$t->component->name()} off {$t->position}", ''],
                ]),
        };

        $out = [];
        foreach ($rows as $row) {
            [$text, $link] = $said[$row->id] ?? ['', ''];
            $out[] = new EventView(
                (string) $row->day,
                (string) $row->mark,
                $text,
                $link === '' ? "/fleet/{$row->mark}" : $link,
            );
        }

        return $out;
    }

    /** @return array{Day, Day, Day} first and last day of the span, and the first of the year before it */
    private function span(int $days): array
    {
        $to = $this->clock->today();
        $from = $to->plusDays(1 - $days);

        return [$from, $to, $from->plusDays(-self::PAST)];
    }

    /** @return list<RateRow> what alarms first, then the most frequent */
    private function rows(string $what, string $by, Day $from, Day $to, Day $past): array
    {
        $now = Events::counts($what, $by, $from, $to);
        $before = Events::counts($what, $by, $past, $from->plusDays(-1));
        $flown = Events::hours($by, $from, $to);
        $flownBefore = Events::hours($by, $past, $from->plusDays(-1));
        $whole = ! in_array($by, ['type', 'tail'], true);
        $rows = [];
        foreach ($now as $key => [$events, $again]) {
            $hours = $flown[$whole ? '' : $key] ?? 0.0;
            $then = $flownBefore[$whole ? '' : $key] ?? 0.0;
            $rate = $hours <= 0 ? null : Rate::of(
                $events,
                $hours,
                baseline: $then <= 0 ? null : [$before[$key][0] ?? 0, $then],
            );
            $rows[] = new RateRow(
                (string) $key,
                self::label($by, (string) $key),
                $events,
                $hours,
                $rate?->rate,
                $rate?->low,
                $rate?->high,
                $rate?->expected,
                $rate?->more,
                $rate->alert ?? false,
                $again,
            );
        }
        usort($rows, static fn(RateRow $a, RateRow $b): int => [$b->alert, $b->rate ?? 0.0, $a->key]
            <=> [$a->alert, $a->rate ?? 0.0, $b->key]);

        return $rows;
    }

    private static function label(string $by, string $key): string
    {
        return match (true) {
            $key === '' => $by === 'part' ? 'No part number' : 'No chapter',
            $by === 'system' => "System {$key}",
            default => $key,
        };
    }

    /** @return list<CostRow> systems whose findings took most hours to put right */
    private function costly(Day $from, Day $to): array
    {
        return array_values(DB::table('cards')->join('findings', 'findings.id', '=', 'cards.finding_id')
            ->join('aircraft', 'aircraft.id', '=', 'findings.aircraft_id')
            ->join('aircraft_types', 'aircraft_types.id', '=', 'aircraft.type_id')
            ->whereNotNull('cards.spent')->whereBetween('cards.closed_at', [(string) $from, (string) $to->plusDays(1)])
            ->groupBy('aircraft_types.code', DB::raw('substr(findings.chapter, 1, 2)'))
            ->selectRaw('aircraft_types.code as type, substr(findings.chapter, 1, 2) as system, count(*) as many, '
                .'sum(cards.spent) as hours')
            ->orderByDesc('hours')->limit(self::COSTLY)->get()
            ->map(static fn(object $r): CostRow => new CostRow(
                "{$r->type}, system {$r->system}",
                (int) $r->many,
                round((float) $r->hours, 1),
            ))->all());
    }

    /** @return array<int, float> flight hours during each tenure that is over, by its id */
    private static function flownOn(): array
    {
        return DB::table('tenures')->join('flying_entries as f', static fn($j) => $j
            ->on('f.aircraft_id', '=', 'tenures.aircraft_id')->where('f.current', true)
            ->on('f.date', '>=', 'tenures.from_date')->on('f.date', '<=', 'tenures.to_date'))
            ->groupBy('tenures.id')
            ->selectRaw("tenures.id, sum(json_extract(f.flown, '$.fh')) as hours")
            ->pluck('hours', 'id')->map(static fn(mixed $h): float => (float) $h)->all();
    }

    /** @return list<LifeRow> */
    private function lives(): array
    {
        $items = ProgrammeItem::whereNotNull('component')->where('withdrawn', false)->get()->groupBy('component');
        $lives = [];
        $flown = self::flownOn();
        $ended = ComponentTenure::with('component')->whereNotNull('to_date')->get()->groupBy('component.kind');
        foreach ($ended as $kind => $of) {
            $days = $hours = 0.0;
            foreach ($of as $tenure) {
                $days += $tenure->from_date->daysUntil($tenure->to_date ?? $tenure->from_date);
                $hours += $flown[$tenure->id] ?? 0.0;
            }
            $lives[] = new LifeRow(
                (string) $kind,
                $of->count(),
                round($days / $of->count(), 1),
                round($hours / $of->count(), 1),
                // The longest of each type: how long it is meant to stay on.
                $items->get($kind)?->groupBy('type_id')
                    ->map(static fn(Collection $of): ProgrammeItem => $of->sortByDesc(
                        static fn(ProgrammeItem $i): float => (float) ($i->limits[0]['interval'] ?? 0),
                    )->firstOrFail())->map(static fn(ProgrammeItem $i): string => "{$i->code} {$i->limitWords()}")
                    ->implode('; ') ?? 'no interval',
            );
        }

        return $lives;
    }
}
