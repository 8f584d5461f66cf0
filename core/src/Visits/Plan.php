<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use function array_fill;
use function count;

use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Deadline;

use function max;

/**
 * When is each card worked: always feasible, as short as the budget finds.
 *
 * Lists of cards are turned into plans by serial schedule generation (each card in turn at the first slot that takes it);
 * the first lists come from priority rules, later ones from the best so far with some cards moved. Every plan is justified
 * backward and forward again (Valls, Ballestín and Quintanilla, 2005), which often shortens it. Contract: docs/core.md,
 * core/schema/plan.json.
 */
final class Plan
{
    /** @var array<int, array<int, int>> people of a resource at work, by resource and slot */
    private array $use = [];

    /** @var array<string, array<int, string>> value that a state has, by state and slot, where a card needs one */
    private array $held = [];

    private function __construct(private readonly PlanProblem $problem, private readonly int $horizon) {}

    public static function of(PlanProblem $problem, Deadline $deadline, int $seed = 1): PlanResult
    {
        $bound = $problem->lowerBound();
        $best = (new self($problem, $problem->horizon()))->search($bound, $deadline, Chance::seeded($seed));

        return new PlanResult($problem, $best, $bound);
    }

    /** @return array<int, int> the first slot of each card */
    private function search(int $bound, Deadline $deadline, Chance $chance): array
    {
        // The first plan of the shortest length found is the answer; the search itself may walk on among its equals.
        $best = $walk = [];
        $span = PHP_INT_MAX;
        $tail = $this->problem->tail;
        $work = array_map(fn(int $c): int => $this->problem->cards[$c]->hours * max([1, ...$this->problem->takes[$c]]), array_keys($this->problem->cards));
        $rules = [
            static fn(int $c): float => -$tail[$c],
            fn(int $c): float => -($tail[$c] + 0.01 * $work[$c]) * (1 + count($this->problem->before[$c]) / 10),
            static fn(int $c): float => -$work[$c],
        ];
        for ($n = 0; $n < 3 || (! $deadline->passed() && $span > $bound); $n++) {
            if ($n < count($rules)) {
                $keys = array_map($rules[$n], array_keys($this->problem->cards));
            } elseif ($n % 4 === 3) {
                // Another beginning: by the longest tail, blurred.
                $keys = array_map(static fn(int $t): float => -$t * (0.6 + 0.8 * $chance->uniform()), $tail);
            } else {
                $keys = $this->nearby($walk, $chance);
            }
            $starts = $this->justified($this->generate($this->list($keys)));
            $now = $this->span($starts);
            if ($now < $span) {
                [$best, $walk, $span] = [$starts, $starts, $now];
            } elseif ($now === $span && $n % 2 === 0) {
                $walk = $starts;
            }
            if ($span <= $bound) {
                break;
            }
        }

        return $best;
    }

    /**
     * The best plan's order with some cards moved.
     *
     * @param array<int, int> $starts
     *
     * @return array<int, float>
     */
    private function nearby(array $starts, Chance $chance): array
    {
        $many = count($starts);
        $keys = array_map(floatval(...), $starts);
        $reach = max(2.0, $this->span($starts) / 3);
        for ($moves = 1 + $chance->below(max(1, intdiv($many, 12) + 2)); $moves > 0; $moves--) {
            $keys[$chance->below($many)] += ($chance->uniform() * 2 - 1) * $reach;
        }

        return $keys;
    }

    /**
     * Cards in an order that their waits allow, each time the free one with the lowest key.
     *
     * @param array<int, float> $keys
     *
     * @return list<int>
     */
    private function list(array $keys): array
    {
        $waits = array_map(static fn(PlanCard $c): int => count(array_unique($c->after)), $this->problem->cards);
        $free = new \SplPriorityQueue;
        foreach ($waits as $c => $n) {
            if ($n === 0) {
                $free->insert($c, [-$keys[$c], -$c]);
            }
        }
        $list = [];
        while (! $free->isEmpty()) {
            $c = $free->extract();
            $list[] = $c;
            foreach (array_unique($this->problem->before[$c]) as $next) {
                if (--$waits[$next] === 0) {
                    $free->insert($next, [-$keys[$next], -$next]);
                }
            }
        }

        return $list;
    }

    /**
     * Each card in turn at the first slot that takes it.
     *
     * @param list<int> $list
     * @param bool $backward against the waits, from the end; earliest slots then play no part
     *
     * @return array<int, int> the first slot of each card
     */
    private function generate(array $list, bool $backward = false): array
    {
        $this->use = array_fill(0, count($this->problem->capacity), array_fill(0, $this->horizon, 0));
        $this->held = [];
        $starts = array_fill(0, count($list), 0);
        foreach ($list as $c) {
            $card = $this->problem->cards[$c];
            $from = $backward ? 0 : $card->earliest;
            foreach ($backward ? $this->problem->before[$c] : $card->after as $other) {
                $from = max($from, $starts[$other] + $this->problem->cards[$other]->hours);
            }
            $starts[$c] = $this->place($c, $card, $from);
        }

        return $starts;
    }

    private function place(int $c, PlanCard $card, int $from): int
    {
        $takes = $this->problem->takes[$c];
        for ($t = $from, $slot = $from; $slot < $t + $card->hours; $slot++) {
            if (! $this->takesAt($takes, $card->state, $slot)) {
                // Nothing that covers this slot can do.
                $t = $slot + 1;
            }
        }
        for ($slot = $t, $end = $t + $card->hours; $slot < $end; $slot++) {
            foreach ($takes as $r => $many) {
                $this->use[$r][$slot] += $many;
            }
            foreach ($card->state as $key => $value) {
                $this->held[$key][$slot] = $value;
            }
        }

        return $t;
    }

    /**
     * @param array<int, int> $takes
     * @param array<string, string> $state
     */
    private function takesAt(array $takes, array $state, int $slot): bool
    {
        foreach ($takes as $r => $many) {
            if ($this->use[$r][$slot] + $many > $this->problem->capacity[$r]) {
                return false;
            }
        }
        foreach ($state as $key => $value) {
            if (($this->held[$key][$slot] ?? $value) !== $value) {
                return false;
            }
        }

        return true;
    }

    /**
     * Pushed against its end and back against its beginning, while that shortens it.
     *
     * @param array<int, int> $starts
     *
     * @return array<int, int>
     */
    private function justified(array $starts): array
    {
        $cards = $this->problem->cards;
        do {
            $span = $this->span($starts);
            $last = array_keys($cards);
            usort($last, static fn(int $a, int $b): int => $starts[$b] + $cards[$b]->hours <=> $starts[$a] + $cards[$a]->hours ?: $b <=> $a);
            $mirror = $this->generate($this->waiting($last, true), true);
            $first = array_keys($cards);
            usort($first, static fn(int $a, int $b): int => $mirror[$b] + $cards[$b]->hours <=> $mirror[$a] + $cards[$a]->hours ?: $a <=> $b);
            $again = $this->generate($this->waiting($first, false));
            $better = $this->span($again) < $span;
            $starts = $this->span($again) <= $span ? $again : $starts;
        } while ($better);

        return $starts;
    }

    /**
     * The same order as near as the waits allow.
     *
     * @param list<int> $order
     *
     * @return list<int>
     */
    private function waiting(array $order, bool $backward): array
    {
        if (! $backward) {
            $keys = array_fill(0, count($order), 0.0);
            foreach ($order as $n => $c) {
                $keys[$c] = (float) $n;
            }

            return $this->list($keys);
        }
        // Later finish first never sets a card before one that waits for it: that one ends later.
        return $order;
    }

    /** @param array<int, int> $starts */
    private function span(array $starts): int
    {
        $span = 0;
        foreach ($starts as $c => $start) {
            $span = max($span, $start + $this->problem->cards[$c]->hours);
        }

        return $span;
    }
}
