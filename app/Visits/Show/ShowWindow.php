<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Deferrals\Model\ListedItem;
use App\Floor\Model\Finding;
use App\Now\HangarHours;
use App\Now\LoadListed;
use App\Now\LoadVisit;
use App\Shared\Clock;
use App\Shared\Kept;
use App\Shared\Words;
use App\Visits\Model\PastVisit;
use App\Visits\Model\Visit;
use App\Visits\Show\View\LeverLink;
use App\Visits\Show\View\LeverView;
use App\Visits\Show\View\PastLookView;
use App\Visits\Show\View\WindowDay;
use App\Visits\Show\View\WindowView;
use App\Visits\VisitWords;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Now\VisitNow;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\Findings;
use Jorvel\Core\Visits\FixWindow;
use Jorvel\Core\Visits\LookHistory;
use Jorvel\Core\Visits\LookWork;
use Jorvel\Core\Visits\PastLook;
use Jorvel\Core\Visits\VisitStage;
use Jorvel\Core\Visits\WorkHours;

/**
 * How much more the look window will turn up, and whether the fix window holds, day by day and with what could be done.
 */
final readonly class ShowWindow
{
    /** Draws for a day that is past; today gets the contract's twenty thousand. */
    private const DRAWS = 4000;

    /** Seconds for which a forecast stands while nothing of what it rests on changes: hours go by, too. */
    private const STANDS = 900;

    public function __construct(
        private Clock $clock,
        private LoadVisit $load,
        private Kept $kept,
        private LoadListed $listed,
        private HangarHours $hangar,
    ) {}

    public function one(int $id): WindowView
    {
        $visit = Visit::with(LoadVisit::WITH)->findOrFail($id);
        $plan = $visit->plan;
        $past = PastVisit::where('type_id', $visit->aircraft->type_id)->orderByDesc('ended')->get();
        $findings = Finding::whereIn('card_id', $visit->cards->modelKeys())->orderBy('raised_at')->get();
        $visit->aircraft->loadMissing('deferrals.listedItem');
        $findings->each(static fn(Finding $f) => $f->setRelation('aircraft', $visit->aircraft));
        $v = $this->load->of($visit, $findings);
        $rests = [
            intdiv($this->clock->now()->epoch(), self::STANDS),
            $visit->attributesToArray(),
            $visit->aircraft->mark,
            $visit->cards->toArray(),
            $plan?->attributesToArray(),
            $past->toArray(),
            $findings->toArray(),
            $v->hours->print(),
            array_map(static fn(ListedItem $i): int => $i->id, $this->listed->of($visit->aircraft->type_id)),
            $visit->aircraft->deferrals->modelKeys(),
        ];

        return $this->kept->of(
            'window 3',
            $rests,
            fn(): WindowView => $this->forecast($visit, $v, $past, $findings),
        );
    }

    /**
     * @param Collection<int, PastVisit> $past of the type
     * @param Collection<int, Finding> $findings of the visit
     */
    private function forecast(Visit $visit, VisitNow $v, Collection $past, Collection $findings): WindowView
    {
        $plan = $visit->plan;
        $history = LookHistory::of(array_values($past->map(static fn(PastVisit $p): PastLook => $p->look())->all()));
        [$shape, $rate] = $plan?->prior === null ? [$history->shape, $history->rate] : [
            (float) $plan->prior['shape'],
            (float) $plan->prior['rate'],
        ];
        $now = $this->clock->now();
        $window = fn(Instant $at): FixWindow => $this->at($at, $v, $history, $shape, $rate);
        $work = LookWork::at($v, $now, $now, $history->median);
        $today = $window($now);
        $chance = $today->chance();
        $days = $this->days($v, $window, $chance, $today);
        $lookUntil = $plan->look_until ?? $this->lookAsPlanned($v);

        return new WindowView(
            $visit->id,
            $visit->aircraft->mark,
            $visit->aircraft->type->code,
            $visit->title,
            VisitWords::window($today, $work->look, $chance),
            $work->look <= 0 ? 'clear' : FixWindow::state($chance),
            (string) $lookUntil,
            $plan?->look_until !== null,
            (string) $visit->end,
            $work->looked,
            $work->look - $work->looked,
            $findings->count(),
            $today->findings->expectedMore,
            $today->findings->quantile(0.1),
            $today->findings->quantile(0.9),
            $today->openFix,
            $today->expectedFix(),
            $today->capacity(),
            $today->otherWork,
            $today->personHours,
            $chance,
            100 * $shape / $rate,
            $rate,
            $history->median,
            $plan?->prior === null ? null : "Set by {$plan->prior['by']}: {$plan->prior['reason']}",
            $days,
            $this->levers($visit, $today, $findings, $chance, $v->hours),
            array_values($past->map(static fn(PastVisit $p): PastLookView => new PastLookView(
                $p->mark,
                $p->title,
                (string) $p->ended,
                $p->hours,
                $p->findings,
                100 * $p->findings / $p->hours,
                array_sum($p->fix_hours),
            ))->all()),
        );
    }

    private function at(Instant $at, VisitNow $v, LookHistory $history, float $shape, float $rate): FixWindow
    {
        $work = LookWork::at($v, $at, $this->clock->now(), $history->median);
        $until = $v->hours->at(Instant::firstAfter($v->end, $this->clock->zone()));

        return new FixWindow(
            Findings::after($shape, $rate, $work->looked, $work->found, max(0.0, $work->look - $work->looked)),
            $history->median,
            $history->sigma,
            $work->openFix,
            $v->hours->personHours($v->hours->at($at), $until),
            $work->otherWork,
            (float) config('jorvel.usable_share'),
        );
    }

    private function lookAsPlanned(VisitNow $v): Day
    {
        $last = null;
        foreach ($v->cards as $card) {
            $to = $card->stage === VisitStage::Look ? $card->to() : null;
            $last = $to !== null && ($last === null || $last->isBefore($to)) ? $to : $last;
        }

        return $last === null ? $v->end : $last->dayIn($this->clock->zone());
    }

    /**
     * @param callable(Instant): FixWindow $window
     *
     * @return list<WindowDay> from the first day of the visit to today, at the most sixty
     */
    private function days(VisitNow $v, callable $window, float $chance, FixWindow $today): array
    {
        $days = [];
        $last = $this->clock->today();
        $first = Day::fromNumber(max($v->start->number, $last->number - 60));
        for ($day = $first; $day->number <= $last->number; $day = $day->plusDays(1)) {
            $end = Instant::firstAfter($day, $this->clock->zone());
            $now = $day->number === $last->number;
            $w = $now ? $today : $window($end);
            $found = $w->findings->found;
            $days[] = new WindowDay(
                (string) $day,
                $this->clock->words($day),
                $found,
                $found + $w->findings->expectedMore,
                (float) ($found + $w->findings->quantile(0.1)),
                (float) ($found + $w->findings->quantile(0.9)),
                $now ? $chance : $w->chance(1, self::DRAWS),
            );
        }

        return $days;
    }

    /**
     * @param Collection<int, Finding> $findings
     *
     * @return list<LeverView>
     */
    private function levers(
        Visit $visit,
        FixWindow $window,
        Collection $findings,
        float $chance,
        WorkHours $hours,
    ): array {
        $levers = [];
        $add = function (
            string $what,
            FixWindow $with,
            array $links,
            ?Day $until = null,
        ) use (&$levers, $chance): void {
            $new = $with->chance();
            $levers[] = new LeverView(
                $what,
                $new,
                'from '.VisitWords::percent($chance).' to '.VisitWords::percent($new),
                $links,
                $until === null ? null : (string) $until,
            );
        };
        $today = $this->clock->today();
        $ahead = array_map($today->plusDays(...), range(0, max(0, $today->daysUntil($visit->end))));
        $shift = 8.0;
        $workdays = count(array_filter($ahead, static fn(Day $d): bool => $d->weekday() <= 5));
        $base = $this->hangar->base($visit);
        $on = static fn(Day $day, string $words): LeverLink => new LeverLink(
            '/crew/shift?'.http_build_query(['base' => $base, 'date' => (string) $day]),
            $words,
        );
        $tomorrow = $ahead[1] ?? $today;
        $add('One more person on each shift', $window->with(2 * $shift * $workdays), [$on($tomorrow, 'A shift')]);
        $add('Two more people on each shift', $window->with(4 * $shift * $workdays), [$on($tomorrow, 'A shift')]);
        $heads = $hours->at($this->clock->now()) < $hours->count() ? max(
            1.0,
            $window->personHours / max(1.0, 2 * $shift * $workdays),
        ) : 1.0;
        $sundays = array_values(array_filter($ahead, static fn(Day $d): bool => $d->weekday() === 7));
        if ($sundays !== []) {
            $add(
                'An early shift on '.Words::count(count($sundays), 'Sunday'),
                $window->with($heads * $shift * count($sundays)),
                array_map(fn(Day $d): LeverLink => $on($d, $this->clock->words($d)), $sundays),
            );
        }
        $may = $findings->filter(
            fn(Finding $f): bool => $f->state === Finding::OPEN && $this->listed->fitting($f) !== [],
        );
        if ($may->isNotEmpty()) {
            $hours = (float) $may->sum('fix_hours');
            $add(
                'Defer what the list allows, '.Words::number($hours).' h of fixes',
                $window->with(0.0, $hours),
                array_values($may->map(static fn(Finding $f): LeverLink => new LeverLink(
                    "/deferrals/decide/{$f->id}",
                    $f->number,
                ))->all()),
            );
        }
        $add('Leave a day later', $window->with($heads * 2 * $shift), [], $visit->end->plusDays(1));

        return $levers;
    }
}
