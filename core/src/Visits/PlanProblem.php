<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use function ceil;
use function count;

use Jorvel\Core\Shared\InputError;

use function max;

/** Cards with what they need of skills, zones and states, ready to be scheduled; it knows its order and its bounds. */
final class PlanProblem
{
    /** @var list<array<int, int>> by card: how much it takes of each resource */
    public array $takes = [];

    /** @var list<int> capacity by resource: skills first, then zones */
    public array $capacity = [];

    /** @var array<int, list<int>> cards that wait for each */
    public array $before = [];

    /** @var array<int, int> slots from a card's beginning to the end of the longest chain that hangs on it */
    public array $tail = [];

    /** @var list<int> cards in an order that their waits allow */
    public array $order = [];

    /**
     * @param list<PlanCard> $cards
     * @param array<array-key, int> $skills people of each
     * @param array<array-key, int> $zones most people in each
     */
    private function __construct(public readonly array $cards, public readonly array $skills, array $zones)
    {
        $index = [];
        foreach ($skills as $skill => $people) {
            $index["s{$skill}"] = count($this->capacity);
            $this->capacity[] = $people;
        }
        foreach ($zones as $zone => $people) {
            $index["z{$zone}"] = count($this->capacity);
            $this->capacity[] = $people;
        }
        foreach ($cards as $c => $card) {
            $takes = [];
            foreach ($card->needs as $skill => $many) {
                $takes[$index["s{$skill}"]] = $many;
            }
            if ($card->zone !== null && $card->peopleInZone > 0) {
                $takes[$index["z{$card->zone}"]] = $card->peopleInZone;
            }
            $this->takes[$c] = $takes;
            $this->before[$c] ??= [];
            foreach ($card->after as $a) {
                $this->before[$a][] = $c;
            }
        }
    }

    /**
     * @param list<PlanCard> $cards their needs within what there is
     * @param array<array-key, int> $skills
     * @param array<array-key, int> $zones
     *
     * @throws InputError at `cards` for a cycle, naming the cards on it
     */
    public static function of(array $cards, array $skills, array $zones): self
    {
        $problem = new self($cards, $skills, $zones);
        $waits = array_map(static fn(PlanCard $c): int => count(array_unique($c->after)), $cards);
        $free = array_keys(array_filter($waits, static fn(int $n): bool => $n === 0));
        for ($i = 0; $i < count($free); $i++) {
            foreach (array_unique($problem->before[$free[$i]]) as $next) {
                if (--$waits[$next] === 0) {
                    $free[] = $next;
                }
            }
        }
        if (count($free) < count($cards)) {
            $left = array_map(static fn(int $c): string => $cards[$c]->id, array_keys(array_filter($waits, static fn(int $n): bool => $n > 0)));

            throw InputError::at('cards', 'wait for each other in a circle: '.implode(', ', $left));
        }
        $problem->order = $free;
        $tail = array_fill(0, count($cards), 0);
        foreach (array_reverse($free) as $c) {
            $tail[$c] = $cards[$c]->hours + max([0, ...array_map(static fn(int $n): int => $tail[$n], $problem->before[$c])]);
        }
        $problem->tail = $tail;

        return $problem;
    }

    /** Slots in which everything could be worked one after another. */
    public function horizon(): int
    {
        return array_sum(array_map(static fn(PlanCard $c): int => $c->hours, $this->cards)) + max([0, ...array_map(static fn(PlanCard $c): int => $c->earliest, $this->cards)]);
    }

    /**
     * No plan can be shorter: the longest chain; each resource's work over its capacity; and cards of which no two can be worked
     * at once, one after another, with what must come before the first and after the last of them: those that need more than
     * half of a resource, and for each state the longest card of each of its values.
     */
    public function lowerBound(): int
    {
        $head = array_fill(0, count($this->cards), 0);
        $bound = 0;
        foreach ($this->order as $c) {
            $head[$c] = max([$this->cards[$c]->earliest, ...array_map(fn(int $a): int => $head[$a] + $this->cards[$a]->hours, $this->cards[$c]->after)]);
            $bound = max($bound, $head[$c] + $this->tail[$c]);
        }
        foreach ($this->capacity as $r => $capacity) {
            $work = 0;
            $alone = [];
            foreach ($this->cards as $c => $card) {
                $many = $this->takes[$c][$r] ?? 0;
                $work += $many * $card->hours;
                if (2 * $many > $capacity) {
                    $alone[] = $c;
                }
            }
            $bound = max($bound, $work === 0 ? 0 : (int) ceil($work / $capacity - 1e-9), $this->oneAfterAnother($alone, $head));
        }
        $longest = [];
        foreach ($this->cards as $c => $card) {
            foreach ($card->state as $key => $value) {
                $other = $longest[$key][$value] ?? null;
                $longest[$key][$value] = $other === null || $card->hours > $this->cards[$other]->hours ? $c : $other;
            }
        }

        return max([$bound, ...array_map(fn(array $cards): int => $this->oneAfterAnother(array_values($cards), $head), array_values($longest))]);
    }

    /**
     * Cards of which no two can be worked at once: what comes before any of them, all of them, what comes after any.
     *
     * @param list<int> $cards
     * @param array<int, int> $head first slot that a card's waits allow
     */
    private function oneAfterAnother(array $cards, array $head): int
    {
        if ($cards === []) {
            return 0;
        }
        $hours = array_map(fn(int $c): int => $this->cards[$c]->hours, $cards);

        return min(array_map(static fn(int $c): int => $head[$c], $cards)) + array_sum($hours) + min(array_map(fn(int $c): int => $this->tail[$c] - $this->cards[$c]->hours, $cards));
    }
}
