<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use function array_fill;
use function count;
use function max;

/** When each card begins, and what follows from it. */
final readonly class PlanResult
{
    /**
     * @param array<int, int> $starts first slot of each card
     * @param int $lowerBound no plan is shorter
     * @param array<int, int> $latest how late each card could begin, with the plan no longer, if those behind it gave
     *   way
     */
    public function __construct(
        private PlanProblem $problem,
        public array $starts,
        public int $lowerBound,
        public array $latest,
    ) {}

    public function makespan(): int
    {
        return max([0, ...array_map($this->end(...), array_keys($this->starts))]);
    }

    /**
     * The cards on a chain that ends at the makespan, in which each begins where the one before it ends and waited for
     * it.
     *
     * @return list<int> in the order of the cards
     */
    public function critical(): array
    {
        $span = $this->makespan();
        $use = $this->use();
        $seen = [];
        $look = array_keys(array_filter(
            $this->starts,
            fn(int $s, int $c): bool => $this->end($c) === $span,
            ARRAY_FILTER_USE_BOTH,
        ));
        while ($look !== []) {
            $c = array_pop($look);
            if (isset($seen[$c])) {
                continue;
            }
            $seen[$c] = true;
            foreach ($this->starts as $b => $_) {
                if (
                    ! isset($seen[$b])
                    && $this->starts[$b] < $this->starts[$c]
                    && $this->problem->from($c, $this->end($b)) === $this->starts[$c]
                    && $this->waitedFor($c, $b, $use)
                ) {
                    $look[] = $b;
                }
            }
        }
        ksort($seen);

        return array_keys($seen);
    }

    /** @return array<int, list<int>> people at work by resource and slot */
    public function use(): array
    {
        $use = array_fill(0, count($this->problem->capacity), array_fill(0, $this->makespan(), 0));
        foreach ($this->starts as $c => $start) {
            foreach ($this->problem->takes[$c] as $r => $many) {
                foreach ($this->slots($c, $start) as $slot) {
                    $use[$r][$slot] += $many;
                }
            }
        }

        return array_map(array_values(...), $use);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $starts = new \stdClass;
        $use = new \stdClass;
        foreach ($this->problem->cards as $c => $card) {
            $starts->{$card->id} = $this->starts[$c];
        }
        $slots = $this->use();
        foreach (array_keys($this->problem->skills) as $r => $skill) {
            $use->{$skill} = $slots[$r];
        }

        return [
            'starts' => $starts,
            'makespan' => $this->makespan(),
            'lower_bound' => $this->lowerBound,
            'critical' => array_map(fn(int $c): string => $this->problem->cards[$c]->id, $this->critical()),
            'use' => $use,
        ];
    }

    /** The slot after a card's last. */
    public function end(int $c): int
    {
        return $this->problem->end($c, $this->starts[$c]);
    }

    /** @return list<int> in which a card is worked */
    private function slots(int $c, int $start): array
    {
        return array_slice(
            $this->problem->slots[$c],
            $this->problem->reached[$c][$start],
            $this->problem->cards[$c]->hours,
        );
    }

    /**
     * Whether card c, which begins where b ends, could not have begun a slot sooner because of b.
     *
     * @param array<int, list<int>> $use
     */
    private function waitedFor(int $c, int $b, array $use): bool
    {
        [$card, $other] = [$this->problem->cards[$c], $this->problem->cards[$b]];
        if (in_array($b, $this->problem->after[$c], true)) {
            return true;
        }
        foreach ($card->state as $key => $value) {
            if (($other->state[$key] ?? $value) !== $value) {
                return true;
            }
        }
        $sooner = $this->problem->slots[$c][$this->problem->reached[$c][$this->starts[$c]] - 1] ?? null;
        if ($sooner === null) {
            // Its people were not there any sooner.
            return false;
        }
        foreach ($this->problem->takes[$c] as $r => $many) {
            if (
                isset($this->problem->takes[$b][$r])
                && $use[$r][$sooner] + $many > $this->problem->there($r, $sooner)
            ) {
                return true;
            }
        }

        return false;
    }
}
