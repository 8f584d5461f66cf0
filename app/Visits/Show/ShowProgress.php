<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Floor\Model\Finding;
use App\Now\LoadVisit;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use App\Visits\Model\VisitDay;
use App\Visits\Show\View\ProgressDay;
use App\Visits\Show\View\ProgressView;
use App\Visits\VisitWords;
use Illuminate\Support\Collection;
use Jorvel\Core\Floor\FindingProgress;
use Jorvel\Core\Now\CardInVisit;
use Jorvel\Core\Now\FoundNow;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\CourseDay;
use Jorvel\Core\Visits\ExitForecast;
use Jorvel\Core\Visits\Pace;

/** How a visit goes: cards and hours by day, findings, and how the forecast of its exit has moved. */
final readonly class ShowProgress
{
    public function __construct(private Clock $clock, private LoadVisit $load) {}

    public function one(int $id): ProgressView
    {
        $visit = Visit::with(LoadVisit::WITH)->findOrFail($id);
        $v = $this->load->of($visit, Finding::whereIn('card_id', $visit->cards->modelKeys())->get());
        $closed = array_filter($v->cards, static fn(CardInVisit $c): bool => $c->closed !== null);
        $planned = (float) array_sum(array_column($closed, 'hours'));
        $spent = (float) array_sum(array_column($closed, 'spent'));
        $forecasts = VisitDay::where('visit_id', $id)->get()->keyBy('date');
        $days = CourseDay::all(
            $v,
            $forecasts->map(static fn(VisitDay $d): ExitForecast => new ExitForecast($d->made_at, $d->exit))->all(),
            $this->clock->now(),
            $this->clock->zone(),
        );
        $open = count(array_filter(
            $v->findings,
            static fn(FoundNow $f): bool => $f->state === FindingProgress::Open,
        ));
        $exit = $days === [] ? null : $days[count($days) - 1]->exit;
        $pace = Pace::of($v->cards, $this->clock->now());

        return new ProgressView(
            $visit->id,
            $visit->aircraft->mark,
            $visit->aircraft->type->code,
            $visit->title,
            VisitWords::goes(
                count($closed),
                count($v->cards),
                $pace,
                $open,
                $exit === null ? null : $this->clock->local($exit),
            ),
            $pace !== null && $pace > 1.2 ? 'watch' : 'clear',
            count($v->cards),
            count($closed),
            (float) array_sum(array_column($v->cards, 'hours')),
            $planned,
            $spent,
            $open,
            (float) ($v->start->daysUntil($v->end) + 1),
            $this->clock->words($v->end),
            $this->days($days, Instant::firstAfter($v->start->plusDays(-1), $this->clock->zone()), $forecasts),
        );
    }

    /**
     * @param list<CourseDay> $days
     * @param Instant $start of the visit's first day
     * @param Collection<array-key, VisitDay> $forecasts by date
     *
     * @return list<ProgressDay>
     */
    private function days(array $days, Instant $start, Collection $forecasts): array
    {
        return array_map(fn(CourseDay $d): ProgressDay => new ProgressDay(
            (string) $d->day,
            $this->clock->words($d->day),
            $d->work->closed,
            $d->work->planned,
            $d->work->spent,
            $d->work->raised,
            $d->open,
            $d->exit === null ? null : ($d->exit->epoch() - $start->epoch()) / 86400,
            $d->exit === null ? null : $this->clock->local($d->exit),
            VisitWords::moved($d->moved),
            $d->later() ? 'watch' : 'clear',
            VisitWords::why($d, $forecasts->get((string) $d->day)->why ?? ''),
        ), $days);
    }
}
