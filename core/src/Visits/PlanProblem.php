<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use function ceil;
use function count;

use Jorvel\Core\Shared\InputError;

use function max;

/**
 * Cards with what they need of skills, zones and states, ready to be scheduled; it knows its order, its hours and its
 * bounds.
 *
 * Where people are not always there in the same number, a card's own slots are those in which its people are there at
 * all: it is worked through them without a break, handed over where a shift ends, and rests while nobody of the skill
 * is in.
 */
final class PlanProblem
{
    /** @var list<array<int, int>> by card: how much it takes of each resource */
    public array $takes = [];

    /** @var list<int> most there is by resource: skills first, then zones */
    public array $capacity = [];

    /** @var list<array<int, int>> by resource and slot: how much less there is than the most */
    public array $away = [];

    /** @var array<int, list<int>> cards that wait for each, each once */
    public array $before = [];

    /** @var array<int, list<int>> cards that each waits for, each once */
    public array $after = [];

    /** @var array<int, int> slots from a card's beginning to the end of the longest chain that hangs on it */
    public array $tail = [];

    /** @var list<int> cards in an order that their waits allow */
    public array $order = [];

    /** @var array<int, list<int>> by card: the slots in which its people are there */
    public array $slots = [];

    /** @var array<int, list<int>> by card and slot: how many of its slots come before that one */
    public array $reached = [];

    /**
     * @param list<PlanCard> $cards
     * @param array<array-key, int> $skills most people of each
     * @param array<array-key, int> $zones most people in each
     * @param array<array-key, list<int>> $there
     */
    private function __construct(
        public readonly array $cards,
        public readonly array $skills,
        array $zones,
        array $there,
    ) {
        $index = [];
        foreach ($skills as $skill => $people) {
            $index["s{$skill}"] = count($this->capacity);
            $this->away[] = array_filter(array_map(static fn(int $now): int => $people - $now, $there[$skill] ?? []));
            $this->capacity[] = $people;
        }
        foreach ($zones as $zone => $people) {
            $index["z{$zone}"] = count($this->capacity);
            $this->away[] = [];
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
            $this->after[$c] = array_values(array_unique($card->after));
            foreach ($this->after[$c] as $a) {
                $this->before[$a][] = $c;
            }
        }
    }

    /**
     * @param list<PlanCard> $cards their needs within the most there is
     * @param array<array-key, int> $skills most people of each
     * @param array<array-key, int> $zones
     * @param array<array-key, list<int>> $there people of a skill by slot, each at most the most; beyond its end, and
     *   for a skill that is not named, the most
     *
     * @throws InputError at `cards` for a cycle, naming the cards on it
     */
    public static function of(array $cards, array $skills, array $zones, array $there = []): self
    {
        $problem = new self($cards, $skills, $zones, $there);
        $waits = array_map(count(...), $problem->after);
        $free = array_keys(array_filter($waits, static fn(int $n): bool => $n === 0));
        for ($i = 0; $i < count($free); $i++) {
            foreach ($problem->before[$free[$i]] as $next) {
                if (--$waits[$next] === 0) {
                    $free[] = $next;
                }
            }
        }
        if (count($free) < count($cards)) {
            $left = array_map(
                static fn(int $c): string => $cards[$c]->id,
                array_keys(array_filter($waits, static fn(int $n): bool => $n > 0)),
            );

            throw InputError::at('cards', 'wait for each other in a circle: '.implode(', ', $left));
        }
        $problem->order = $free;
        $tail = array_fill(0, count($cards), 0);
        foreach (array_reverse($free) as $c) {
            $tail[$c] = $cards[$c]->hours + max([
                0,
                ...array_map(static fn(int $n): int => $tail[$n], $problem->before[$c]),
            ]);
        }
        $problem->tail = $tail;
        $problem->hours();

        return $problem;
    }

    /** Each card's own slots; cards with the same needs share them. */
    private function hours(): void
    {
        $horizon = $this->horizon();
        $shared = [];
        foreach ($this->cards as $c => $card) {
            $least = array_filter(
                array_map(fn(int $r): array => [$r, $this->takes[$c][$r]], array_keys($this->takes[$c])),
                fn(array $need): bool => $this->away[$need[0]] !== [],
            );
            $key = json_encode(array_values($least), JSON_THROW_ON_ERROR);
            if (! isset($shared[$key])) {
                $slots = $reached = [];
                for ($slot = 0; $slot < $horizon; $slot++) {
                    $reached[] = count($slots);
                    foreach ($least as [$r, $many]) {
                        if ($this->capacity[$r] - ($this->away[$r][$slot] ?? 0) < $many) {
                            continue 2;
                        }
                    }
                    $slots[] = $slot;
                }
                $shared[$key] = [$slots, [...$reached, count($slots)]];
            }
            [$this->slots[$c], $this->reached[$c]] = $shared[$key];
        }
    }

    /** Slots in which everything could be worked one after another. */
    public function horizon(): int
    {
        $named = array_map(static fn(array $away): int => $away === [] ? 0 : array_key_last($away) + 1, $this->away);

        return array_sum(array_map(static fn(PlanCard $c): int => $c->hours, $this->cards)) + max([
            0,
            ...$named,
            ...array_map(static fn(PlanCard $c): int => $c->earliest, $this->cards),
        ]);
    }

    /** The slot after a card's last, where it begins at a slot of its own. */
    public function end(int $c, int $start): int
    {
        return $this->slots[$c][$this->reached[$c][$start] + $this->cards[$c]->hours - 1] + 1;
    }

    /** The first slot of its own that a card finds at or after a slot. */
    public function from(int $c, int $slot): int
    {
        return $this->slots[$c][$this->reached[$c][$slot]];
    }

    /** How much of a resource there is in a slot. */
    public function there(int $resource, int $slot): int
    {
        return $this->capacity[$resource] - ($this->away[$resource][$slot] ?? 0);
    }

    /**
     * No plan can be shorter: the longest chain; each resource's work over what there is of it; and cards of which no
     * two can be worked at once, one after another, with what must come before the first and after the last of them:
     * those that need more than half of a resource, and for each state the longest card of each of its values.
     */
    public function lowerBound(): int
    {
        $head = array_fill(0, count($this->cards), 0);
        $bound = 0;
        foreach ($this->order as $c) {
            $head[$c] = $this->from(
                $c,
                max([
                    $this->cards[$c]->earliest,
                    ...array_map(fn(int $a): int => $this->end($a, $head[$a]), $this->after[$c]),
                ]),
            );
            $bound = max($bound, $this->end($c, $head[$c]), $head[$c] + $this->tail[$c]);
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
            $bound = max($bound, $this->worked($r, $work), $this->oneAfterAnother($alone, $head));
        }
        $longest = [];
        foreach ($this->cards as $c => $card) {
            foreach ($card->state as $key => $value) {
                $other = $longest[$key][$value] ?? null;
                $longest[$key][$value] = $other === null || $card->hours > $this->cards[$other]->hours ? $c : $other;
            }
        }

        return max([
            $bound,
            ...array_map(
                fn(array $cards): int => $this->oneAfterAnother(array_values($cards), $head),
                array_values($longest),
            ),
        ]);
    }

    /** The slot by which a resource can have done so much work. */
    private function worked(int $resource, int $work): int
    {
        foreach ($this->away[$resource] === [] ? [] : range(0, array_key_last($this->away[$resource])) as $slot) {
            if ($work <= 0) {
                return $slot;
            }
            $work -= $this->there($resource, $slot);
        }

        return (
            $this->away[$resource] === [] ? 0 : array_key_last($this->away[$resource]) + 1
        ) + ($work <= 0 ? 0 : (int) ceil($work / $this->capacity[$resource] - 1e-9));
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

        return min(array_map(static fn(int $c): int => $head[$c], $cards)) + array_sum($hours) + min(array_map(
            fn(int $c): int => $this->tail[$c] - $this->cards[$c]->hours,
            $cards,
        ));
    }
}
