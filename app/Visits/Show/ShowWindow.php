<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Deferrals\Model\ListedItem;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Shared\Clock;
use App\Shared\Kept;
use App\Shared\Words;
use App\Visits\Do\HangarHours;
use App\Visits\Model\PastVisit;
use App\Visits\Model\Visit;
use App\Visits\Model\VisitPlan;
use App\Visits\Show\View\LeverView;
use App\Visits\Show\View\PastLookView;
use App\Visits\Show\View\WindowDay;
use App\Visits\Show\View\WindowView;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\Findings;
use Jorvel\Core\Visits\FixWindow;
use Jorvel\Core\Visits\LookHistory;
use Jorvel\Core\Visits\PastLook;
use Jorvel\Core\Visits\WorkHours;

/**
 * How much more the look window will turn up, and whether the fix window holds, day by day and with what could be done.
 */
final readonly class ShowWindow
{
    /** Draws for a day that is past; today gets the contract's twenty thousand. */
    private const DRAWS = 4000;

    /** Hours of closed cards from which on their pace tells something. */
    private const ENOUGH = 20.0;

    /** Seconds for which a forecast stands while nothing of what it rests on changes: hours go by, too. */
    private const STANDS = 900;

    public function __construct(private Clock $clock, private HangarHours $hangar, private Kept $kept) {}

    public function one(int $id): WindowView
    {
        $visit = Visit::with(['aircraft.type', 'cards.steps:id,card_id,no,state'])->findOrFail($id);
        $plan = VisitPlan::find($id);
        $past = PastVisit::where('type_id', $visit->aircraft->type_id)->orderByDesc('ended')->get();
        $findings = Finding::whereIn('card_id', $visit->cards->modelKeys())->orderBy('raised_at')->get();
        $hours = $this->hangar->of(
            $visit,
            Instant::firstAfter(Day::parse($visit->start)->plusDays(-1), $this->clock->zone()),
        );
        $rests = [
            intdiv($this->clock->now()->epoch(), self::STANDS),
            $visit->attributesToArray(),
            $visit->aircraft->mark,
            $visit->cards->toArray(),
            $plan?->attributesToArray(),
            $past->toArray(),
            $findings->toArray(),
            $hours->print(),
            $this->listed($visit)->all(),
        ];

        return $this->kept->of(
            'window 1',
            $rests,
            fn(): WindowView => $this->forecast($visit, $plan, $past, $findings, $hours),
        );
    }

    /**
     * @param Collection<int, PastVisit> $past of the type
     * @param Collection<int, Finding> $findings of the visit
     */
    private function forecast(
        Visit $visit,
        ?VisitPlan $plan,
        Collection $past,
        Collection $findings,
        WorkHours $hours,
    ): WindowView {
        $history = LookHistory::of(array_values($past->map(static fn(PastVisit $p): PastLook => $p->look())->all()));
        [$shape, $rate] = $plan?->prior === null ? [$history->shape, $history->rate] : [
            (float) $plan->prior['shape'],
            (float) $plan->prior['rate'],
        ];
        $window = fn(Instant $at): FixWindow => $this->at($at, $visit, $findings, $hours, $history, $shape, $rate);
        $now = $this->clock->now();
        $today = $window($now);
        $chance = $today->chance();
        $days = $this->days($visit, $findings, $window, $chance, $today);
        [$sentence, $verdict] = $this->words($visit, $today, $chance);
        $lookUntil = $plan->look_until ?? $this->lookAsPlanned($visit);

        return new WindowView(
            $visit->id,
            $visit->aircraft->mark,
            $visit->aircraft->type->code,
            $visit->title,
            $sentence,
            $verdict,
            $lookUntil,
            $plan?->look_until !== null,
            $visit->end,
            $this->looked($visit->cards, $now),
            $this->lookHours($visit->cards) - $this->looked($visit->cards, $now),
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
            $this->levers($visit, $today, $findings, $chance, $hours),
            array_values($past->map(static fn(PastVisit $p): PastLookView => new PastLookView(
                $p->mark,
                $p->title,
                $p->ended,
                $p->hours,
                $p->findings,
                100 * $p->findings / $p->hours,
                array_sum($p->fix_hours),
            ))->all()),
        );
    }

    /** @return \Illuminate\Support\Collection<int, string> chapters in which something may be deferred */
    private function listed(Visit $visit): \Illuminate\Support\Collection
    {
        return ListedItem::where('type_id', $visit->aircraft->type_id)->orderBy('id')
            ->pluck('chapter')
            ->unique()
            ->values();
    }

    /** @param Collection<int, Finding> $findings */
    private function at(
        Instant $at,
        Visit $visit,
        Collection $findings,
        WorkHours $hours,
        LookHistory $history,
        float $shape,
        float $rate,
    ): FixWindow {
        $look = $this->looked($visit->cards, $at);
        $raised = $findings->filter(static fn(Finding $f): bool => ! $at->isBefore(Instant::parse($f->raised_at)));
        $open = $raised->filter(
            static fn(Finding $f): bool
                => ! ($f->state === 'deferred' && $f->settled_at === null)
                    && ($f->settled_at === null || $at->isBefore(Instant::parse($f->settled_at))),
        );
        $byFinding = $visit->cards->whereNotNull('finding_id')->keyBy('finding_id');
        $openFix = $open->sum(
            fn(Finding $f): float => $this->left($byFinding->get($f->id), $at) ?? $f->fix_hours ?? $history->median,
        );
        $other = $this->pace($visit->cards, $at) * $visit->cards
            ->whereNull('finding_id')
            ->sum(fn(Card $c): float => (float) $this->left($c, $at));
        $until = $hours->at(Instant::firstAfter(Day::parse($visit->end), $this->clock->zone()));

        return new FixWindow(
            Findings::after($shape, $rate, $look, $raised->count(), max(0.0, $this->lookHours($visit->cards) - $look)),
            $history->median,
            $history->sigma,
            (float) $openFix,
            $hours->personHours($hours->at($at), $until),
            (float) $other,
        );
    }

    /**
     * How many times their planned hours the cards took that were closed by an instant; as planned until enough are.
     *
     * @param Collection<int, Card> $cards
     */
    private function pace(Collection $cards, Instant $at): float
    {
        $closed = $cards->filter(
            static fn(Card $c): bool
                => $c->closed_at !== null && $c->spent !== null && ! $at->isBefore(Instant::parse($c->closed_at)),
        );
        $planned = (float) $closed->sum('hours');

        return $planned < self::ENOUGH ? 1.0 : (float) $closed->sum('spent') / $planned;
    }

    /** Hours of a card that were left at an instant, its time spread evenly from its beginning to its end. */
    private function left(?Card $card, Instant $at): ?float
    {
        return $card === null ? null : $card->hours - $this->done($card, $at);
    }

    private function done(Card $card, Instant $at): float
    {
        if ($card->begun_at === null || $at->isBefore(Instant::parse($card->begun_at))) {
            return 0.0;
        }
        if ($card->closed_at !== null && ! $at->isBefore(Instant::parse($card->closed_at))) {
            return $card->hours;
        }
        // Until it was closed, or until now, what is done of it was done evenly.
        $done = $card->closed_at === null ? $card->hours - $card->hoursLeft() : $card->hours;
        $from = Instant::parse($card->begun_at)->epoch();
        $to = $card->closed_at === null ? $this->clock->now()->epoch() : Instant::parse($card->closed_at)->epoch();

        return $done * min(1.0, ($at->epoch() - $from) / max(1, $to - $from));
    }

    /** @param Collection<int, Card> $cards */
    private function looked(Collection $cards, Instant $at): float
    {
        return (float) $cards->where('phase', 'look')->sum(fn(Card $c): float => $this->done($c, $at));
    }

    /** @param Collection<int, Card> $cards */
    private function lookHours(Collection $cards): float
    {
        return (float) $cards->where('phase', 'look')->sum('hours');
    }

    private function lookAsPlanned(Visit $visit): string
    {
        $last = $visit->cards->where('phase', 'look')
            ->map(static fn(Card $c): ?string => $c->closed_at ?? $c->planned_end)
            ->filter()
            ->max();

        return $last === null ? $visit->end : (string) Instant::parse($last)->dayIn($this->clock->zone());
    }

    /**
     * @param Collection<int, Finding> $findings
     * @param callable(Instant): FixWindow $window
     *
     * @return list<WindowDay> from the first day of the visit to today, at the most sixty
     */
    private function days(Visit $visit, Collection $findings, callable $window, float $chance, FixWindow $today): array
    {
        $days = [];
        $last = $this->clock->today();
        $first = Day::fromNumber(max(Day::parse($visit->start)->number, $last->number - 60));
        for ($day = $first; $day->number <= $last->number; $day = $day->plusDays(1)) {
            $end = Instant::firstAfter($day, $this->clock->zone());
            $now = $day->number === $last->number;
            $w = $now ? $today : $window($end);
            $found = $now ? $findings->count() : $w->findings->found;
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
        $add = function (string $what, FixWindow $with) use (&$levers, $chance): void {
            $new = $with->chance();
            $levers[] = new LeverView($what, $new, 'from '.self::percent($chance).' to '.self::percent($new));
        };
        $days = max(0, $this->clock->today()->daysUntil(Day::parse($visit->end)));
        $shift = 8.0;
        $workdays = count(array_filter(
            range(0, $days),
            fn(int $n): bool => $this->clock->today()->plusDays($n)->weekday() <= 5,
        ));
        $add('One more person on each shift', $window->with(2 * $shift * $workdays));
        $add('Two more people on each shift', $window->with(4 * $shift * $workdays));
        $heads = $hours->at($this->clock->now()) < $hours->count() ? max(
            1.0,
            $window->personHours / max(1.0, 2 * $shift * $workdays),
        ) : 1.0;
        $weekend = count(array_filter(
            range(0, $days),
            fn(int $n): bool => $this->clock->today()->plusDays($n)->weekday() === 7,
        ));
        if ($weekend > 0) {
            $add('An early shift on '.Words::count($weekend, 'Sunday'), $window->with($heads * $shift * $weekend));
        }
        $listed = $this->listed($visit);
        $may = $findings->filter(static fn(Finding $f): bool => $f->state === 'open' && $listed->contains($f->chapter));
        if ($may->isNotEmpty()) {
            $hours = (float) $may->sum('fix_hours');
            $add(
                'Defer what the list allows: '.$may->pluck('number')->implode(', ').', '.Words::number($hours).' h',
                $window->with(0.0, $hours),
            );
        }
        $add('Leave a day later', $window->with($heads * 2 * $shift));

        return $levers;
    }

    /** @return array{string, string} */
    private function words(Visit $visit, FixWindow $window, float $chance): array
    {
        $look = $this->lookHours($visit->cards);
        if ($look <= 0) {
            return ['Nothing is looked for in this visit.', 'clear'];
        }
        $found = $window->findings->found;
        $more = $window->findings->expectedMore;
        $holds = 'The fix window holds with a chance of '.self::percent($chance);
        $findings = Words::count($found, 'finding').' so far'
            .($more < 0.5
                ? ', no more to expect.'
                : ', about '.Words::count((int) round($more), 'more', 'more').' to come.');

        $state = FixWindow::state($chance);

        return [match ($state) {
            'clear' => "{$holds}. {$findings}",
            'watch' => "{$holds}: act while there is time. {$findings}",
            default => "{$holds} only: it will not do as it stands. {$findings}",
        }, $state];
    }

    private static function percent(float $chance): string
    {
        return match (true) {
            $chance > 0.99 => 'over 99 %',
            $chance < 0.01 => 'under 1 %',
            default => round(100 * $chance).' %',
        };
    }
}
