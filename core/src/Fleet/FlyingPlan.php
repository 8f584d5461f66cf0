<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

use function max;

/**
 * What an aircraft is going to fly, as periods for {@see Flying}.
 *
 * A day in a visit flies nothing. Otherwise a day with sectors flies just them; any other day flies its weekday in the
 * week's pattern, and, where there is no pattern, the mean. The pattern is laid out day by day for {@see self::DAYS}
 * days; after them its own mean serves.
 */
final readonly class FlyingPlan
{
    public const DAYS = 91;

    /**
     * @param array<string, float> $means use per calendar day, by counter
     * @param list<PlanPeriod> $periods in order, none overlapping
     */
    private function __construct(public array $means, public array $periods) {}

    /**
     * @param array<string, float> $means mean use per calendar day where there is no pattern
     * @param array<string, list<float>> $week by counter, Monday to Sunday; empty where there is no pattern
     * @param list<array{Day, array<string, float>}> $sectors single flights
     * @param list<array{Day, Day}> $visits first and last day
     *
     * @throws InputError at `week.<counter>` when it has not seven days, or is not one of the counters
     *
     * @pure
     */
    public static function of(Day $asOf, array $means, array $week = [], array $sectors = [], array $visits = []): self
    {
        $still = array_map(static fn(): float => 0.0, $means);
        foreach ($week as $counter => $days) {
            if (! isset($means[$counter])) {
                throw InputError::at("week.{$counter}", 'is not a counter of this aircraft');
            }
            if (count($days) !== 7 || min($days) < 0) {
                throw InputError::at("week.{$counter}", 'must be seven numbers of at least 0, Monday to Sunday');
            }
            $means[$counter] = array_sum($days) / 7;
        }
        $special = [];
        foreach ($sectors as [$day, $use]) {
            if ($day->number > $asOf->number) {
                $special[$day->number] ??= $still;
                foreach (array_intersect_key($use, $still) as $counter => $amount) {
                    $special[$day->number][$counter] += $amount;
                }
            }
        }
        if ($week !== []) {
            for ($n = $asOf->number + 1, $last = $asOf->number + self::DAYS; $n <= $last; $n++) {
                // Day 0 of the pattern is Monday.
                $weekday = Day::fromNumber($n)->weekday() - 1;
                $special[$n] ??= array_map(static fn(array $days): float => $days[$weekday], $week) + $means;
            }
        }
        $stands = self::merge($visits);
        foreach ($stands as [$from, $to]) {
            foreach (array_keys($special) as $n) {
                if ($from <= $n && $n <= $to) {
                    unset($special[$n]);
                }
            }
        }
        ksort($special);

        return new self($means, self::periods($special, $stands, $still));
    }

    /** @return array<string, float> what a day is to fly, by counter @pure */
    public function day(Day $day): array
    {
        foreach ($this->periods as $period) {
            if ($period->from->number <= $day->number && $day->number <= $period->to->number) {
                return $period->rates + $this->means;
            }
        }

        return $this->means;
    }

    /**
     * @param array<int, array<string, float>> $special by day, in order
     * @param list<array{int, int}> $stands
     * @param array<string, float> $still
     *
     * @return list<PlanPeriod>
     *
     * @pure
     */
    private static function periods(array $special, array $stands, array $still): array
    {
        $runs = [];
        $open = null;
        foreach ($special as $n => $use) {
            if ($open !== null && $open[1] === $n - 1 && $open[2] === $use) {
                $open[1] = $n;
            } else {
                $runs[] = $open;
                $open = [$n, $n, $use];
            }
        }
        $runs[] = $open;
        foreach ($stands as [$from, $to]) {
            $runs[] = [$from, $to, $still];
        }
        $runs = array_values(array_filter($runs));
        usort($runs, static fn(array $a, array $b): int => $a[0] <=> $b[0]);

        return array_map(
            static fn(array $r): PlanPeriod => PlanPeriod::of(Day::fromNumber($r[0]), Day::fromNumber($r[1]), $r[2]),
            $runs,
        );
    }

    /**
     * @param list<array{Day, Day}> $visits
     *
     * @return list<array{int, int}> in order, none overlapping
     *
     * @pure
     */
    private static function merge(array $visits): array
    {
        usort($visits, static fn(array $a, array $b): int => $a[0]->number <=> $b[0]->number);
        $out = [];
        $free = PHP_INT_MIN;
        foreach ($visits as [$from, $to]) {
            $start = max($from->number, $free);
            if ($start <= $to->number) {
                $out[] = [$start, $to->number];
                $free = $to->number + 1;
            }
        }

        return $out;
    }
}
