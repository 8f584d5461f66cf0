<?php

declare(strict_types=1);

namespace App\Now;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ComponentTenure;
use App\Fleet\Model\Sector;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Closure;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\FlyingPlan;
use Jorvel\Core\Fleet\PlanPeriod;
use Jorvel\Core\Fleet\VisitSpan;
use Jorvel\Core\Shared\Day;

/**
 * The one maker of what an aircraft has flown and is going to fly: its counters with the day to which they are counted,
 * its week, its sectors, and the visits in which it stands. Whoever forecasts anything asks this, so that two forecasts
 * of one limit agree.
 */
final readonly class LoadFlying
{
    public function __construct(private Clock $clock) {}

    /** @return array<array-key, string|Closure> the relations of an aircraft that it reads */
    public static function with(): array
    {
        return ['sectors', 'visits' => static fn($q) => $q->where('state', '!=', Visit::RELEASED)];
    }

    /** @param Aircraft $aircraft with {@see with()} */
    public function of(Aircraft $aircraft): Flying
    {
        $plan = $this->plan($aircraft);

        return Flying::of(
            $aircraft->counters_as_of,
            array_map(floatval(...), $aircraft->counters),
            $plan->means,
            $plan->periods,
            $aircraft->entry_date,
            array_map(floatval(...), $aircraft->entry_counters),
        );
    }

    /**
     * What is fitted to it flies as it does, in its own counters.
     *
     * @param Aircraft $aircraft with {@see with()}
     */
    public function component(Aircraft $aircraft, ComponentTenure $tenure, ?FlyingPlan $plan = null): Flying
    {
        $plan ??= $this->plan($aircraft);
        $share = $tenure->tenure();

        return Flying::of(
            $aircraft->counters_as_of,
            $share->counters(array_map(floatval(...), $aircraft->counters)),
            $share->share($plan->means),
            array_map(
                static fn(PlanPeriod $p): PlanPeriod => PlanPeriod::of($p->from, $p->to, $share->share($p->rates)),
                $plan->periods,
            ),
            $tenure->component->entry_date,
        );
    }

    /** @param Aircraft $aircraft with {@see with()} */
    public function plan(Aircraft $aircraft): FlyingPlan
    {
        return FlyingPlan::of(
            $aircraft->counters_as_of,
            array_map(floatval(...), $aircraft->rates),
            array_map(static fn(array $days): array => array_map(floatval(...), $days), $aircraft->week ?? []),
            array_values($aircraft->sectors->map(static fn(Sector $s): array => [
                $s->date,
                array_map(floatval(...), $s->use),
            ])->all()),
            array_values($aircraft->visits->map(fn(Visit $v): VisitSpan => $this->span($v))
                ->reject(static fn(VisitSpan $s): bool => $s->between)
                ->map(static fn(VisitSpan $s): array => [$s->from, $s->to])->all()),
        );
    }

    /**
     * The days on which an aircraft stands in a visit, with what it takes away; what has begun, if only a wash, keeps
     * it until it is released.
     *
     * @param list<string> $takes ids of stops
     */
    public function span(Visit $visit, array $takes = []): VisitSpan
    {
        [$from, $to] = [$visit->start, $visit->end];

        return $visit->state === Visit::IN_WORK
            ? VisitSpan::begun($from, $to, $this->clock->today(), $takes)
            : VisitSpan::of($from, $to, $takes, $visit->between);
    }
}
