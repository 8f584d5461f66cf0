<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Model\Visit;
use App\Visits\Model\VisitDay;
use App\Visits\Show\View\ProgressDay;
use App\Visits\Show\View\ProgressView;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/** How a visit goes: cards and hours by day, findings, and how the forecast of its exit has moved. */
final readonly class ShowProgress
{
    public function __construct(private Clock $clock) {}

    public function one(int $id): ProgressView
    {
        $visit = Visit::with(['aircraft.type', 'cards.steps'])->findOrFail($id);
        $findings = Finding::whereIn('card_id', $visit->cards->modelKeys())->get();
        $closed = $visit->cards->whereNotNull('closed_at');
        $planned = (float) $closed->sum('hours');
        $spent = (float) $closed->sum('spent');
        $days = $this->days(
            $visit,
            $closed->groupBy(fn(Card $c): string => $this->day((string) $c->closed_at)),
            $findings,
        );
        $open = $findings->where('state', 'open')->count();
        $exit = $days === [] ? null : $days[count($days) - 1]->exit;
        $pace = $planned <= 0 ? null : $spent / $planned;
        $sentence = Words::count($closed->count(), 'card').' of '.$visit->cards->count().' worked'
            .($pace === null ? '' : ', at '.Words::number($pace, 2).' times the planned hours')
            .($open === 0 ? '' : '; '.Words::count($open, 'finding').' open')
                .($exit === null ? '.' : "; leaves {$exit}.");

        return new ProgressView(
            $visit->id,
            $visit->aircraft->mark,
            $visit->aircraft->type->code,
            $visit->title,
            $sentence,
            $pace !== null && $pace > 1.2 ? 'watch' : 'clear',
            $visit->cards->count(),
            $closed->count(),
            (float) $visit->cards->sum('hours'),
            $planned,
            $spent,
            $open,
            (float) (Day::parse($visit->start)->daysUntil(Day::parse($visit->end)) + 1),
            $this->clock->words(Day::parse($visit->end)),
            $days,
        );
    }

    /**
     * @param Collection<string, \Illuminate\Database\Eloquent\Collection<int, Card>> $closed by day
     * @param Collection<int, Finding> $findings
     *
     * @return list<ProgressDay> from the first day to today
     */
    private function days(Visit $visit, Collection $closed, Collection $findings): array
    {
        $forecasts = VisitDay::where('visit_id', $visit->id)->get()->keyBy('date');
        $days = [];
        $was = null;
        $start = Instant::firstAfter(Day::parse($visit->start)->plusDays(-1), $this->clock->zone())->epoch();
        $today = $this->clock->today()->number;
        for ($day = Day::parse($visit->start); $day->number <= $today && count($days) < 120; $day = $day->plusDays(1)) {
            $on = $closed->get((string) $day);
            $forecast = $forecasts->get((string) $day);
            $exit = $forecast?->exit === null ? $was : Instant::parse($forecast->exit);
            $moved = $was === null || $exit === null ? 0.0 : round(($exit->epoch() - $was->epoch()) / 3600, 1);
            $raised = $findings->filter(fn(Finding $f): bool => $this->day($f->raised_at) === (string) $day)->count();
            $open = $findings->filter(
                fn(Finding $f): bool => $this->day($f->raised_at) <= (string) $day && ($f->settled_at === null
                    ? $f->state !== Finding::FIXED
                    : $this->day($f->settled_at) > (string) $day),
            )
                ->count();
            $days[] = new ProgressDay(
                (string) $day,
                $this->clock->words($day),
                $on?->count() ?? 0,
                (float) ($on?->sum('hours') ?? 0),
                (float) ($on?->sum('spent') ?? 0),
                $raised,
                $open,
                $exit === null ? null : ($exit->epoch() - $start) / 86400,
                $exit === null ? null : $this->clock->local($exit),
                $moved === 0.0 ? null : Words::number(abs($moved)).' h '.($moved > 0 ? 'later' : 'sooner'),
                $forecast->why ?? '',
            );
            $was = $exit;
        }

        return $days;
    }

    private function day(string $at): string
    {
        return (string) Instant::parse($at)->dayIn($this->clock->zone());
    }
}
