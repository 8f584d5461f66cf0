<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use function count;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

use function max;
use function min;

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
     * @param array<string, list<array{int, float, int, float, float}>> $runs by counter: the run's last day and all
     *   that is used by its end, its first day's predecessor and what was used by then, rate per day; days from asOf
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
    public static function of(
        Day $asOf,
        array $counters,
        array $rates,
        array $plan = [],
        ?Day $entryDate = null,
        array $entryCounters = [],
    ): self {
        $plan = self::inOrder($plan);
        $runs = [];
        foreach ($rates as $counter => $rate) {
            $runs[$counter] = self::runs((string) $counter, $rate, $plan, $asOf->number);
        }

        return new self($asOf, $counters, $runs, $entryDate, $entryCounters);
    }

    /**
     * The last day at whose end a counter that now stands at `value` has not gone beyond `bound`, and the same with a
     * tolerance.
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
     * The periods by date.
     *
     * @param list<PlanPeriod> $plan
     *
     * @return list<PlanPeriod>
     *
     * @throws InputError at `plan.<i>` for one that overlaps another listed before it
     *
     * @pure
     */
    private static function inOrder(array $plan): array
    {
        $sorted = $plan;
        usort($sorted, static fn(PlanPeriod $a, PlanPeriod $b): int => $a->from->number <=> $b->from->number);
        $clash = false;
        for ($i = 1, $n = count($sorted); $i < $n; $i++) {
            $clash = $clash || $sorted[$i]->from->number <= $sorted[$i - 1]->to->number;
        }
        // Only a plan that is wrong is looked through pair by pair, to name the later one.
        for ($i = 1; $clash && $i < $n; $i++) {
            for ($j = 0; $j < $i; $j++) {
                if (
                    $plan[$i]->from->number <= $plan[$j]->to->number
                    && $plan[$j]->from->number <= $plan[$i]->to->number
                ) {
                    throw InputError::at("plan.{$i}", "overlaps the period from {$plan[$j]->from} to {$plan[$j]->to}");
                }
            }
        }

        return $sorted;
    }

    /**
     * How many days a counter's room lasts; -1 beyond the horizon, 0 where there is none.
     *
     * @param list<array{int, float, int, float, float}> $runs
     *
     * @pure
     */
    private static function daysWithin(array $runs, float $room): int
    {
        if ($room < 0) {
            return 0;
        }
        // The first run by whose end more is used than there is room for.
        $low = 0;
        $high = count($runs);
        while ($low < $high) {
            $middle = ($low + $high) >> 1;
            if ($runs[$middle][1] > $room) {
                $high = $middle;
            } else {
                $low = $middle + 1;
            }
        }
        if (! isset($runs[$low])) {
            return -1;
        }
        [, , $before, $used, $rate] = $runs[$low];

        return $before + (int) (($room - $used) / $rate);
    }

    /**
     * @param list<PlanPeriod> $plan in order
     *
     * @return list<array{int, float, int, float, float}>
     *
     * @pure
     */
    private static function runs(string $counter, float $mean, array $plan, int $asOf): array
    {
        $steps = [];
        $next = 1;
        foreach ($plan as $period) {
            $from = max($period->from->number - $asOf, $next);
            $to = min($period->to->number - $asOf, self::HORIZON);
            if (! isset($period->rates[$counter]) || $to < $from) {
                continue;
            }
            if ($from > $next) {
                $steps[] = [$from - 1, $mean];
            }
            $steps[] = [$to, $period->rates[$counter]];
            $next = $to + 1;
        }
        if ($next <= self::HORIZON) {
            $steps[] = [self::HORIZON, $mean];
        }
        $runs = [];
        $days = 0;
        $used = 0.0;
        foreach ($steps as [$to, $rate]) {
            $before = $used;
            $used += ($to - $days) * $rate;
            $runs[] = [$to, $used, $days, $before, $rate];
            $days = $to;
        }

        return $runs;
    }
}
