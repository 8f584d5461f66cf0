<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use function array_slice;
use function count;

use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Deadline;

use function max;

/**
 * When is each card worked: always feasible, as short as the budget finds.
 *
 * Lists of cards are turned into plans by serial schedule generation (each card in turn at the first slot that takes
 * it) and justified to the right and to the left again (Valls, Ballestín and Quintanilla, 2005), which often shortens
 * them. A population of lists, begun by priority rules and blurred rules, is bred by two-point crossover (Hartmann,
 * 1998), children taking the place of the worst; it is begun anew when it has stood still. Contract: docs/core.md,
 * core/schema/plan.json.
 */
final class Plan
{
    /** @var list<array{int, array<int, int>, list<int>}> span, starts, and the cards in the order of their starts */
    private array $people = [];

    /** @var array<int, int> first slot of each card of the shortest plan so far */
    private array $best = [];

    private int $span = PHP_INT_MAX;

    /** @var list<int> cards that are placed before all others, in order */
    private readonly array $first;

    /** @var array<int, true> the same, by card */
    private readonly array $kept;

    private readonly PlanGround $ground;

    private function __construct(private readonly PlanProblem $problem, private readonly Chance $chance)
    {
        $this->ground = new PlanGround($problem);
        $kept = array_fill_keys(
            array_keys(array_filter($problem->cards, static fn(PlanCard $c): bool => $c->first)),
            true,
        );
        foreach (array_reverse($problem->order) as $c) {
            $kept += isset($kept[$c]) ? array_fill_keys($problem->after[$c], true) : [];
        }
        $this->kept = $kept;
        $this->first = array_values(array_filter($problem->order, static fn(int $c): bool => isset($kept[$c])));
    }

    /**
     * @param int $rounds most plans to be tried; the answer then does not depend on the machine
     * @param (callable(int $span, int $bound, int $tried): bool)|null $go told of the search now and then; false ends
     *   it
     * @param list<int> $close cards whose stretch, from the first one's beginning to the last one's end, is kept short
     *   where that lengthens nothing: what is worked on jacks
     */
    public static function of(
        PlanProblem $problem,
        Deadline $deadline,
        int $seed = 1,
        int $rounds = PHP_INT_MAX,
        ?callable $go = null,
        array $close = [],
    ): PlanResult {
        $bound = $problem->lowerBound();
        $plan = new self($problem, Chance::seeded($seed));
        $plan->search($bound, $deadline, $rounds, $go ?? static fn(): bool => true);
        $starts = $plan->closed(array_fill_keys($close, true));

        return new PlanResult($problem, $starts, $bound, $plan->latest($starts));
    }

    /**
     * Each card in turn, lowest key first where its waits allow, at the first slot that takes it: nothing is searched,
     * so that a plan of which little has changed stays as it was where it can.
     *
     * @param list<float> $keys by card
     */
    public static function inOrder(PlanProblem $problem, array $keys): PlanResult
    {
        $plan = new self($problem, Chance::seeded(1));
        $starts = $plan->generate($plan->list($keys));
        $plan->span = max([0, ...$plan->ground->ends]);

        return new PlanResult($problem, $starts, $problem->lowerBound(), $plan->latest($starts));
    }

    /**
     * As good a plan in which some cards lie closer together: the first of them as late as can be, the others up
     * against it.
     *
     * @param array<int, true> $close
     *
     * @return array<int, int>
     */
    private function closed(array $close): array
    {
        if (count($close) < 2) {
            return $this->best;
        }
        $this->lay($this->best);
        $starts = $this->late($this->best, $this->span);
        $first = array_keys($close)[0];
        foreach ($close as $c => $_) {
            $first = $starts[$c] < $starts[$first] ? $c : $first;
        }
        $group = array_diff_key($close, [$first => true]);
        $starts = $this->early($this->early($starts, $group), array_diff_key($starts, $close));

        return max([0, ...$this->ground->ends]) <= $this->span
            && $this->stretch($starts, $close) < $this->stretch($this->best, $close)
            ? $starts
            : $this->best;
    }

    /**
     * Slots from the beginning of the first to the end of the last.
     *
     * @param array<int, int> $starts
     * @param array<int, true> $close
     */
    private function stretch(array $starts, array $close): int
    {
        $in = array_intersect_key($starts, $close);

        return max([0, ...array_map($this->problem->end(...), array_keys($in), $in)]) - min([$this->span, ...$in]);
    }

    /**
     * How late each could begin with the others no later than they may and the plan no longer.
     *
     * @param array<int, int> $starts
     *
     * @return array<int, int>
     */
    private function latest(array $starts): array
    {
        $this->lay($starts);

        return $this->late($starts, $this->span);
    }

    /** @param array<int, int> $starts */
    private function lay(array $starts): void
    {
        $this->ground->clear();
        foreach ($starts as $c => $start) {
            $this->ground->first($c, $start);
        }
    }

    /** @param callable(int, int, int): bool $go */
    private function search(int $bound, Deadline $deadline, int $rounds, callable $go): void
    {
        $many = count($this->problem->cards);
        $size = max(8, min(40, intdiv(3000, max(1, $many))));
        $rules = $this->rules();
        $still = 0;
        for ($n = 0; $n < 3 || ($n < $rounds && ! $deadline->passed() && $this->span > $bound); $n++) {
            if ($n % 16 === 0 && $n > 0 && ! $go($this->span, $bound, $n)) {
                break;
            }
            if ($still > 40 * $size) {
                // Begun anew; the best so far is kept outside.
                [$this->people, $still] = [[], 0];
            }
            $list = match (true) {
                $n < count($rules) => $this->list($rules[$n]),
                count($this->people) < $size => $this->list($this->blurred($rules[$n % count($rules)])),
                default => $this->child(),
            };
            $before = $this->people[0][0] ?? PHP_INT_MAX;
            $starts = $this->justified($this->generate($list));
            $this->live($starts, max([0, ...$this->ground->ends]), $size);
            $still = $this->people[0][0] < $before ? 0 : $still + 1;
            if ($this->span <= $bound) {
                break;
            }
        }
    }

    /** @return non-empty-list<array<int, float>> keys by card: lowest first */
    private function rules(): array
    {
        $tail = $this->problem->tail;
        $cards = array_keys($this->problem->cards);
        $work = array_map(
            fn(int $c): int => $this->problem->cards[$c]->hours * max([1, ...$this->problem->takes[$c]]),
            $cards,
        );

        return [
            array_map(static fn(int $c): float => -$tail[$c], $cards),
            array_map(
                fn(int $c): float => -($tail[$c] + 0.01 * $work[$c]) * (1 + count($this->problem->before[$c]) / 10),
                $cards,
            ),
            array_map(static fn(int $c): float => -$work[$c], $cards),
        ];
    }

    /**
     * @param array<int, float> $keys
     *
     * @return array<int, float>
     */
    private function blurred(array $keys): array
    {
        return array_map(fn(float $key): float => $key * (0.4 + 1.2 * $this->chance->uniform()), $keys);
    }

    /**
     * Two parents, each the better of two: the mother's list with a stretch in the father's order, and some neighbours
     * swapped.
     *
     * @return list<int>
     */
    private function child(): array
    {
        $many = count($this->problem->cards);
        $mother = $this->parent();
        $father = $this->parent();
        $from = $this->chance->below($many);
        $to = min($many, $from + 1 + $this->chance->below(max(1, intdiv(2 * $many, 3))));
        $list = array_slice($mother, 0, $from);
        $taken = array_fill_keys($list, true);
        foreach ($father as $c) {
            if (count($list) >= $to) {
                break;
            }
            if (! isset($taken[$c])) {
                $list[] = $c;
                $taken[$c] = true;
            }
        }
        foreach ($mother as $c) {
            if (! isset($taken[$c])) {
                $list[] = $c;
            }
        }
        for ($swaps = $this->chance->below(2 + intdiv($many, 15)); $swaps > 0 && $many > 1; $swaps--) {
            $this->move($list, $this->chance->below($many));
        }

        return $list;
    }

    /**
     * Moves the card at a place to another that its waits allow.
     *
     * @param list<int> $list
     */
    private function move(array &$list, int $at): void
    {
        $c = $list[$at];
        $after = $this->problem->after[$c];
        $before = $this->problem->before[$c];
        for ($low = $at; $low > 0 && $at - $low < 20 && ! in_array($list[$low - 1], $after, true); $low--);
        for (
            $high = $at; $high < count($list) - 1
            && $high - $at < 20
            && ! in_array($list[$high + 1], $before, true); $high++
        );
        $to = $low + $this->chance->below($high - $low + 1);
        array_splice($list, $at, 1);
        array_splice($list, $to, 0, [$c]);
    }

    /** @return list<int> */
    private function parent(): array
    {
        $many = count($this->people);

        return $this->people[min($this->chance->below($many), $this->chance->below($many))][2];
    }

    /**
     * Takes a plan among the others, best first, the worst leaving; the first plan of the shortest length is the
     * answer.
     *
     * @param array<int, int> $starts
     */
    private function live(array $starts, int $span, int $size): void
    {
        if ($span < $this->span) {
            [$this->span, $this->best] = [$span, $starts];
        }
        if (count($this->people) >= $size && $span > $this->people[$size - 1][0]) {
            return;
        }
        for ($at = count($this->people); $at > 0 && $this->people[$at - 1][0] >= $span; $at--) {
            if ($this->people[$at - 1][1] === $starts) {
                return;
            }
        }
        asort($starts);
        array_splice($this->people, $at, 0, [[$span, $starts, array_keys($starts)]]);
        $this->people = array_slice($this->people, 0, $size);
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
        $waits = array_map(count(...), $this->problem->after);
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
            foreach ($this->problem->before[$c] as $next) {
                if (--$waits[$next] === 0) {
                    $free->insert($next, [-$keys[$next], -$next]);
                }
            }
        }

        return $list;
    }

    /**
     * Each card in turn at the first slot that takes it, those that come first before all others.
     *
     * @param list<int> $list
     *
     * @return array<int, int> the first slot of each card
     */
    private function generate(array $list): array
    {
        $this->ground->clear();
        $starts = array_fill(0, count($list), 0);
        foreach ($this->first as $c) {
            $starts[$c] = $this->ground->first($c, $this->sooner($c));
        }
        foreach ($list as $c) {
            if (! isset($this->kept[$c])) {
                $starts[$c] = $this->ground->first($c, $this->sooner($c));
            }
        }

        return $starts;
    }

    /** The first slot that a card's waits allow, as they lie. */
    private function sooner(int $c): int
    {
        $from = $this->problem->cards[$c]->earliest;
        foreach ($this->problem->after[$c] as $a) {
            if ($this->ground->ends[$a] > $from) {
                $from = $this->ground->ends[$a];
            }
        }

        return $from;
    }

    /**
     * Each card as late as the others allow, then each as early, while that shortens the plan; it must lie on the
     * ground.
     *
     * @param array<int, int> $starts
     *
     * @return array<int, int>
     */
    private function justified(array $starts): array
    {
        do {
            $span = max([0, ...$this->ground->ends]);
            $starts = $this->early($this->late($starts, $span));
        } while ($span > max([0, ...$this->ground->ends]));

        return $starts;
    }

    /**
     * @param array<int, int> $starts
     * @param array<int, mixed>|null $only these cards
     *
     * @return array<int, int>
     */
    private function late(array $starts, int $span, ?array $only = null): array
    {
        $ends = $this->ground->ends;
        arsort($ends);
        foreach ($ends as $c => $_) {
            if (isset($this->kept[$c]) || ($only !== null && ! array_key_exists($c, $only))) {
                continue;
            }
            $until = $span;
            foreach ($this->problem->before[$c] as $b) {
                if ($starts[$b] < $until) {
                    $until = $starts[$b];
                }
            }
            $this->ground->lift($c, $starts[$c]);
            $starts[$c] = $this->ground->last($c, $until);
        }

        return $starts;
    }

    /**
     * @param array<int, int> $starts
     * @param array<int, mixed>|null $only these cards
     *
     * @return array<int, int>
     */
    private function early(array $starts, ?array $only = null): array
    {
        $order = $starts;
        asort($order);
        foreach ($order as $c => $_) {
            if (isset($this->kept[$c]) || ($only !== null && ! array_key_exists($c, $only))) {
                continue;
            }
            $from = $this->sooner($c);
            $this->ground->lift($c, $starts[$c]);
            $starts[$c] = $this->ground->first($c, $from);
        }

        return $starts;
    }
}
