<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Bench\Model\FollowedPoint;
use App\Bench\Show\View\TrendRow;
use App\Fleet\Show\DueTrend;
use App\Fleet\Show\DueTrends;
use App\Floor\Model\Card;
use App\Now\LoadFlying;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Fleet\VisitPlans;
use Jorvel\Core\Fleet\VisitSpan;
use Jorvel\Core\Shared\Day;

/** The points whose trends stand in the due list; a card of their template in a visit looks at them again. */
final readonly class FollowedTrends implements DueTrends
{
    public function __construct(private Trends $trends, private LoadFlying $flying, private Clock $clock) {}

    public function all(?int $aircraft = null): array
    {
        $points = FollowedPoint::standing()->with('template')
            ->when($aircraft !== null, static fn($q) => $q->where('aircraft_id', $aircraft))->orderBy('id')->get();
        if ($points->isEmpty()) {
            return [];
        }
        $rows = $this->trends->followed($aircraft);
        $cards = Card::with('visit')->whereIn('aircraft_id', $points->pluck('aircraft_id'))
            ->whereIn('template_id', $points->pluck('template_id'))->whereNull('closed_at')
            ->whereHas('visit', static fn($q) => $q->where('state', '!=', Visit::RELEASED))->get()
            ->groupBy(static fn(Card $c): string => "{$c->aircraft_id}|{$c->template_id}");

        return array_values($points->map(fn(FollowedPoint $p): DueTrend => $this->line(
            $p,
            $rows[$p->key()] ?? null,
            $cards->get("{$p->aircraft_id}|{$p->template_id}", collect())->map(static fn(Card $c): Visit => $c->visit)
                ->sortBy(static fn(Visit $v): int => $v->start->number),
        ))->all());
    }

    /**
     * @param TrendRow|null $row null where its readings say nothing
     * @param Collection<int, Visit> $visits with a card of its template, the first first
     */
    private function line(FollowedPoint $point, ?TrendRow $row, Collection $visits): DueTrend
    {
        $last = $row?->date === null ? null : Day::parse($row->date);
        $visit = $visits->first();

        return new DueTrend(
            $point->aircraft_id,
            FollowedPoint::STOP.$point->id,
            $point->template->code,
            ($row->title ?? $point->point).': '.($row->said ?? 'no reading says where it heads'),
            $point->template->chapter,
            $point->template->hours,
            $row->last ?? '',
            $row?->readingId,
            $last,
            $this->state($last, $visits),
            $visit === null ? null : [$visit->title, $visit->start],
        );
    }

    /** @param Collection<int, Visit> $visits that look at it again */
    private function state(?Day $last, Collection $visits): FleetState
    {
        $today = $this->clock->today();
        $spans = $visits->map(fn(Visit $v): VisitSpan => $this->flying->span($v, [FollowedPoint::STOP]));
        $away = VisitPlans::of($today, array_values($spans->all()))->away(FollowedPoint::STOP, $last);

        return FleetState::of($today, $last, $away, (int) config('jorvel.warn_days'));
    }
}
