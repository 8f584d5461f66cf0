<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Deadline;

/**
 * Looks for the best season: a first plan that places what is due soonest first, then large neighbourhood search (Shaw,
 * 1998): visits that have to do with each other are taken out and put in again in another order, and what comes of it
 * is kept where it is better, or hardly worse, as in annealing.
 */
final class SeasonSearch
{
    /** How much worse a plan may be at first and still be gone on from, of what a visit costs. */
    private const WARM = 0.03;

    private const LOOSE = 0.06;

    /** A place is not seen in one of so many cases. */
    private const BLIND = 20;

    private SeasonPlan $best;

    private SeasonWorth $bestWorth;

    /** The item that room is made for. */
    private ?int $first = null;

    /**
     * @param list<int> $items that can be placed at all
     * @param list<int> $lost items that cannot: their aircraft stand whatever is planned
     */
    public function __construct(
        private readonly SeasonBoard $board,
        private readonly array $items,
        private readonly array $lost,
        private readonly Chance $chance,
    ) {
        $this->best = new SeasonPlan($board);
        $this->bestWorth = $this->worth($this->best);
    }

    /**
     * @param float $enough the cost at which nothing better is to be had, everything placed
     * @param callable(float): bool|null $tell hears now and then which share of the time is used; false ends the search
     * @param list<array{int, int, list<int>}> $from bay, day and items of visits to begin with, as far as they go
     */
    public function best(
        Deadline $deadline,
        int $milliseconds,
        float $enough,
        ?callable $tell = null,
        array $from = [],
    ): SeasonPlan {
        foreach ($from === [] ? [$this->bySoonest(), $this->byHours()] : [$this->bySoonest()] as $order) {
            $plan = new SeasonPlan($this->board);
            foreach ($from as [$bay, $start, $items]) {
                $there = array_values(array_filter($items, fn(int $i): bool => in_array($i, $this->items, true)
                    && $this->board->earliest[$i] <= $start && $start <= $this->board->latest[$i]));
                if ($there !== []) {
                    $plan->lay($bay, $start, $there);
                }
            }
            $this->fill($plan, array_values(array_filter($order, static fn(int $i): bool => ! $plan->placed($i))));
            $this->polish($plan);
            $this->keep($plan, $this->worth($plan));
        }
        $current = $this->best;
        $worth = $this->bestWorth;
        $begun = hrtime(true);
        $rounds = max(1, min(4, intdiv(240, count($this->items) + 1)));
        $warm = self::WARM * max(1.0, $this->bestWorth->cost / max(1, count($this->best->visits)));
        while (! $deadline->passed()) {
            if ($this->bestWorth->all && $this->bestWorth->cost <= $enough + 1e-9) {
                break;
            }
            // Warmed up anew some times where there is little to look at; every other time it is looked for ways
            // through plans with more that stand.
            $share = (hrtime(true) - $begun) / 1e6 / $milliseconds;
            if ($tell !== null && ! $tell(min(1.0, $share))) {
                break;
            }
            $round = $share * $rounds;
            $part = fmod($round, 1.0);
            $loose = (int) $round % 2 === 1 ? self::LOOSE : 1.0;
            $try = clone $current;
            $out = $this->ruin($try);
            $this->fill($try, $this->ordered($out), fn(): bool => $this->chance->below(self::BLIND) === 0);
            $this->polish($try, $out);
            $is = $this->worth($try);
            if ($is->beats($worth) || $is->nearly($worth, $warm * (1 - $part), $this->chance, $loose)) {
                $current = $try;
                $worth = $is;
                $this->keep($try, $is);
            } elseif ($this->chance->below(400) === 0) {
                $current = $this->best;
                $worth = $this->bestWorth;
            }
        }

        return $this->best;
    }

    private function keep(SeasonPlan $plan, SeasonWorth $worth): void
    {
        if ($worth->beats($this->bestWorth)) {
            $this->best = $plan;
            $this->bestWorth = $worth;
        }
    }

    private function worth(SeasonPlan $plan): SeasonWorth
    {
        $standing = [];
        $value = 0.0;
        foreach ($this->lost as $item) {
            $standing[$this->board->craft[$item]] = true;
        }
        $all = true;
        foreach ($this->items as $item) {
            if ($plan->placed($item)) {
                $value += $this->board->value[$item];
            } else {
                $standing[$this->board->craft[$item]] = true;
                $all = false;
            }
        }

        return new SeasonWorth(count($standing), $value, $plan->cost(), $all);
    }

    /**
     * @param list<int> $items in the order in which they are put in
     * @param callable(): bool|null $blind
     */
    private function fill(SeasonPlan $plan, array $items, ?callable $blind = null): void
    {
        $left = [];
        foreach ($items as $item) {
            if (! $plan->insert($item, $blind)) {
                $left[] = $item;
            }
        }
        // What found no place for want of looking finds one now, or none.
        foreach ($blind === null ? [] : $left as $item) {
            $plan->insert($item);
        }
    }

    /**
     * Every visit, or those of some items, on its best day.
     *
     * @param list<int>|null $items
     */
    private function polish(SeasonPlan $plan, ?array $items = null): void
    {
        $visits = $items === null
            ? array_keys($plan->visits)
            : array_unique(array_intersect_key($plan->in, array_flip($items)));
        foreach ($visits as $n) {
            if (isset($plan->visits[$n])) {
                $plan->settle($n);
            }
        }
    }

    /** @return list<int> what was taken out, and what has no place yet */
    private function ruin(SeasonPlan $plan): array
    {
        $left = array_values(array_filter($this->items, static fn(int $i): bool => ! $plan->placed($i)));
        $this->first = $left !== [] && $this->chance->below(2) === 0 ? $left[$this->chance->below(count($left))] : null;
        $out = match (true) {
            $this->first !== null => $this->roomFor($plan, $this->first),
            $plan->visits === [] => [],
            // Much of it, where little work is needed to see what comes of it.
            $this->chance->below(12) === 0 => $this->much($plan),
            default => match ($this->chance->below(4)) {
                0 => $this->aircraft($plan, 1 + $this->chance->below(2)),
                1 => $this->stretch($plan),
                2 => $this->some($plan),
                default => $this->neighbours($plan),
            },
        };

        return [...$out, ...$left];
    }

    /** @return list<int> of all visits of some aircraft */
    private function aircraft(SeasonPlan $plan, int $many): array
    {
        $crafts = $this->chance->shuffle(array_values(array_unique(array_map(
            static fn(SeasonVisit $v): int => $v->craft,
            $plan->visits,
        ))));
        $of = array_slice($crafts, 0, $many);
        $out = [];
        foreach ($plan->visits as $n => $visit) {
            if (in_array($visit->craft, $of, true)) {
                array_push($out, ...$plan->drop($n));
            }
        }
        foreach ($plan->inFixed as $item => $f) {
            if (in_array($this->board->craft[$item], $of, true)) {
                $plan->remove($item);
                $out[] = $item;
            }
        }

        return $out;
    }

    /** @return list<int> of a third of all visits or so, of no more than a few dozen */
    private function much(SeasonPlan $plan): array
    {
        $numbers = $this->chance->shuffle(array_keys($plan->visits));

        return $this->dropped($plan, $numbers, min(24, 1 + $this->chance->below(1 + intdiv(count($numbers), 2))));
    }

    /** @return list<int> of the visits of some weeks in one bay */
    private function stretch(SeasonPlan $plan): array
    {
        $from = $this->chance->below($this->board->days);
        $bay = $this->chance->below(count($this->board->work));

        return $this->dropped($plan, $plan->within($from, $from + 4 + $this->chance->below(12), $bay), 6);
    }

    /** @return list<int> some items, wherever they are */
    private function some(SeasonPlan $plan): array
    {
        $placed = $this->chance->shuffle([...array_keys($plan->in), ...array_keys($plan->inFixed)]);
        $out = array_slice(
            $placed,
            0,
            min(count($placed), 1 + $this->chance->below(max(1, intdiv(count($placed), 8) + 2))),
        );
        foreach ($out as $item) {
            $plan->remove($item);
        }

        return $out;
    }

    /** @return list<int> of one visit, and of those of its aircraft or its bay next to it */
    private function neighbours(SeasonPlan $plan): array
    {
        $numbers = array_keys($plan->visits);
        $n = $numbers[$this->chance->below(count($numbers))];
        $is = $plan->visits[$n];
        $near = [];
        foreach ($plan->visits as $k => $visit) {
            $apart = max($visit->start - $is->end, $is->start - $visit->end);
            if ($k !== $n && ($visit->craft === $is->craft ? $apart < 40 : $visit->bay === $is->bay && $apart < 3)) {
                $near[] = $k;
            }
        }

        return $this->dropped($plan, [$n, ...array_slice($this->chance->shuffle($near), 0, 3)], 4);
    }

    /** @return list<int> what is in the way of an item that has no place, itself first */
    private function roomFor(SeasonPlan $plan, int $item): array
    {
        $out = $this->aircraftOf($plan, $this->board->craft[$item]);
        $bays = $this->board->fits[$this->board->craft[$item]];
        if ($bays === []) {
            return $out;
        }
        $bay = $bays[$this->chance->below(count($bays))];
        [$from, $to] = [$this->board->earliest[$item], $this->board->latest[$item]];
        if ($from <= $to && $this->chance->below(2) === 0) {
            // One of its days is cleared: whatever stands there goes.
            $start = $from + $this->chance->below($to - $from + 1);
            $end = $this->board->end($bay, $start, SeasonVisit::with($this->board, [$item])->total()) ?? $start;

            return [...$out, ...$this->dropped($plan, $plan->within($start, $end, $bay), 12)];
        }
        $way = $this->chance->shuffle($plan->within(
            $this->board->earliest[$item],
            $this->board->latest[$item] + 3,
            $this->chance->below(3) === 0 ? null : $bay,
        ));

        return [...$out, ...$this->dropped($plan, $way, 2 + $this->chance->below(6))];
    }

    /** @return list<int> */
    private function aircraftOf(SeasonPlan $plan, int $craft): array
    {
        $out = [];
        foreach ($plan->visits as $n => $visit) {
            if ($visit->craft === $craft) {
                array_push($out, ...$plan->drop($n));
            }
        }

        return $out;
    }

    /**
     * @param list<int> $numbers
     *
     * @return list<int>
     */
    private function dropped(SeasonPlan $plan, array $numbers, int $most): array
    {
        $out = [];
        foreach (array_slice($numbers, 0, $most) as $n) {
            array_push($out, ...$plan->drop($n));
        }

        return $out;
    }

    /**
     * @param list<int> $items
     *
     * @return list<int> in an order by chance: by what is due, by hours, by windows, one aircraft after the other, any
     */
    private function ordered(array $items): array
    {
        $items = $this->chance->shuffle($items);
        $board = $this->board;
        $turn = array_flip($this->chance->shuffle(array_keys($board->aircraft)));
        $by = match ($this->chance->below(6)) {
            0, 1 => static fn(int $i): float => (float) $board->due[$i],
            2 => static fn(int $i): float => -$board->hours[$i],
            3 => static fn(int $i): float => (float) ($board->latest[$i] - $board->earliest[$i]),
            4 => static fn(int $i): float => 1000.0 * $turn[$board->craft[$i]] + $board->due[$i],
            default => null,
        };
        if ($by !== null) {
            usort($items, static fn(int $a, int $b): int => $by($a) <=> $by($b));
        }

        $first = $this->first;
        if ($first !== null && $this->chance->below(4) > 0) {
            // It, and what else its aircraft needs, before what was in their way.
            $craft = $board->craft[$first];
            $rank = static fn(int $i): int => $i === $first ? 0 : ($board->craft[$i] === $craft ? 1 : 2);
            usort($items, static fn(int $a, int $b): int => $rank($a) <=> $rank($b));
        }

        return $items;
    }

    /** @return list<int> */
    private function bySoonest(): array
    {
        $items = $this->items;
        usort($items, fn(int $a, int $b): int => [$this->board->due[$a], $a] <=> [$this->board->due[$b], $b]);

        return $items;
    }

    /** @return list<int> aircraft with the most work first, each by what is due */
    private function byHours(): array
    {
        $hours = [];
        foreach ($this->items as $i) {
            $hours[$this->board->craft[$i]] = ($hours[$this->board->craft[$i]] ?? 0.0) + $this->board->hours[$i];
        }
        $items = $this->items;
        usort($items, fn(int $a, int $b): int => [
            -$hours[$this->board->craft[$a]], $this->board->craft[$a], $this->board->due[$a], $a,
        ] <=> [-$hours[$this->board->craft[$b]], $this->board->craft[$b], $this->board->due[$b], $b]);

        return $items;
    }
}
