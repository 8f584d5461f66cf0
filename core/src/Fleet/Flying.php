<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/**
 * What an aircraft has flown and is going to fly: counters as at the end of a day, and the use of every day after it.
 *
 * The days ahead are cut once into runs of equal rate, so that a forecast is a walk over a few runs and not over days.
 */
final readonly class Flying
{
    /** How far a forecast looks, in days. */
    public const HORIZON = 7305;

    /**
     * @param array<string, float> $counters
     * @param array<string, list<array{int, float}>> $runs by counter: days in the run, rate per day
     * @param array<string, float> $entryCounters
     */
    private function __construct(
        public Day $asOf,
        public array $counters,
        private array $runs,
        public ?Day $entryDate,
        public array $entryCounters,
    ) {}

    /**
     * @param array<string, float> $counters as at the end of `asOf`
     * @param array<string, float> $rates mean use per calendar day, at least 0
     * @param list<PlanPeriod> $plan no two overlapping, in any order
     * @param Day|null $entryDate when the clock started, for items never done
     * @param array<string, float> $entryCounters as they stood then; 0 where absent
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(Day $asOf, array $counters, array $rates, array $plan = [], ?Day $entryDate = null, array $entryCounters = []): self
    {
        foreach ($plan as $i => $one) {
            for ($j = 0; $j < $i; $j++) {
                if ($one->from->number <= $plan[$j]->to->number && $plan[$j]->from->number <= $one->to->number) {
                    throw InputError::at("plan.{$i}", "overlaps the period from {$plan[$j]->from} to {$plan[$j]->to}");
                }
            }
        }
        usort($plan, static fn(PlanPeriod $a, PlanPeriod $b): int => $a->from->number <=> $b->from->number);
        $runs = [];
        foreach ($rates as $counter => $rate) {
            $runs[$counter] = self::runs((string) $counter, $rate, $plan, $asOf->number);
        }

        return new self($asOf, $counters, $runs, $entryDate, $entryCounters);
    }

    /**
     * The last day at whose end a counter that now stands at `value` has not gone beyond `bound`, and the same with a tolerance.
     *
     * @return array{Day|null, Day|null} `asOf` when it is beyond already; null when it is not by the end of the horizon
     *
     * @throws InputError at `rates.<counter>` when no rate is known
     *
     * @pure
     */
    public function lastDaysWithin(string $counter, float $value, float $bound, float $tolerance): array
    {
        $runs = $this->runs[$counter] ?? throw InputError::missing('rates.'.$counter);
        $days = self::daysWithin($runs, $bound - $value + ($bound > 1.0 ? 1e-9 * $bound : Near::noise($bound)));
        $first = $days < 0 ? null : Day::fromNumber($this->asOf->number + $days);
        if (! ($tolerance > 0)) {
            return [$first, $first];
        }
        $bound += $tolerance;
        $days = self::daysWithin($runs, $bound - $value + ($bound > 1.0 ? 1e-9 * $bound : Near::noise($bound)));

        return [$first, $days < 0 ? null : Day::fromNumber($this->asOf->number + $days)];
    }

    /**
     * How many days a counter's room lasts; -1 beyond the horizon, 0 where there is none.
     *
     * @param list<array{int, float}> $runs
     *
     * @pure
     */
    private static function daysWithin(array $runs, float $room): int
    {
        if ($room < 0) {
            return 0;
        }
        $past = 0;
        foreach ($runs as [$days, $rate]) {
            $used = $days * $rate;
            if ($used > $room) {
                return $past + (int) ($room / $rate);
            }
            $room -= $used;
            $past += $days;
        }

        return -1;
    }

    /**
     * @param list<PlanPeriod> $plan in order
     *
     * @return list<array{int, float}>
     *
     * @pure
     */
    private static function runs(string $counter, float $mean, array $plan, int $asOf): array
    {
        $runs = [];
        $next = $asOf + 1;
        $last = $asOf + self::HORIZON;
        foreach ($plan as $period) {
            $from = max($period->from->number, $next);
            $to = min($period->to->number, $last);
            if (! isset($period->rates[$counter]) || $to < $from) {
                continue;
            }
            if ($from > $next) {
                $runs[] = [$from - $next, $mean];
            }
            $runs[] = [$to - $from + 1, $period->rates[$counter]];
            $next = $to + 1;
        }
        if ($next <= $last) {
            $runs[] = [$last - $next + 1, $mean];
        }

        return $runs;
    }
}
