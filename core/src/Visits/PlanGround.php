<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use function count;

/**
 * What is free in every slot, and the placing of cards on it.
 *
 * Each resource, and each value of a state, is a field of a machine word with a guard bit above it: a card fits a slot
 * when taking its need from the word leaves all guard bits set, one subtraction for many resources at once. A value of
 * a state has room for all its cards; a card asks for the whole of its rivals' fields, and takes one of its own.
 */
final class PlanGround
{
    private const BITS = 62;

    /**
     * @var array<int, list<array{int, int, int, int}>> by card: word, what must be free in it, what is taken of it, the
     *   guard bits
     */
    private array $parts = [];

    /** How many bits of the last word are taken. */
    private int $used = 0;

    /** @var array<int, int> guard bits of each word */
    private array $guards = [];

    /** @var array<int, array<int, int>> by word and slot: what is free when nothing is placed */
    private array $empty = [];

    /** @var array<int, array<int, int>> by word and slot: what is free */
    private array $free = [];

    /** @var array<int, int> the slot after the last of each card that was placed */
    public array $ends = [];

    /** @var array<int, int> hours by card */
    private readonly array $hours;

    public function __construct(private readonly PlanProblem $problem)
    {
        $this->hours = array_map(static fn(PlanCard $c): int => $c->hours, $problem->cards);
        $tests = $takes = array_fill(0, count($problem->cards), []);
        foreach ($problem->capacity as $r => $capacity) {
            [$word, $unit] = $this->field($capacity, $problem->away[$r]);
            foreach ($problem->takes as $c => $needs) {
                if (isset($needs[$r])) {
                    $tests[$c][$word] = ($tests[$c][$word] ?? 0) + $needs[$r] * $unit;
                    $takes[$c][$word] = ($takes[$c][$word] ?? 0) + $needs[$r] * $unit;
                }
            }
        }
        foreach ($this->rivals() as $byValue) {
            $fields = array_map(
                fn(array $cards): array => [...$this->field(count($cards), []), count($cards)],
                $byValue,
            );
            foreach ($byValue as $value => $cards) {
                foreach ($cards as $c) {
                    foreach ($fields as $other => [$word, $unit, $all]) {
                        $tests[$c][$word] = ($tests[$c][$word] ?? 0) + ($other === $value ? $unit : $all * $unit);
                        $takes[$c][$word] = ($takes[$c][$word] ?? 0) + ($other === $value ? $unit : 0);
                    }
                }
            }
        }
        foreach ($tests as $c => $words) {
            $this->parts[$c] = array_map(
                fn(int $w): array => [$w, $words[$w], $takes[$c][$w], $this->guards[$w]],
                array_keys($words),
            );
        }
        $this->clear();
    }

    /** Nothing is placed. */
    public function clear(): void
    {
        $this->free = $this->empty;
    }

    /** Places a card at the first slot from this one on that takes it. */
    public function first(int $c, int $from): int
    {
        $slots = $this->problem->slots[$c];
        $hours = $this->hours[$c];
        $t = $k = $this->problem->reached[$c][$from];
        if (count($this->parts[$c]) === 1) {
            // The common case, in as few operations as can be.
            [[$w, $test, , $guard]] = $this->parts[$c];
            $free = $this->free[$w];
            for (; $k < $t + $hours; $k++) {
                if ((($free[$slots[$k]] - $test) & $guard) !== $guard) {
                    // Nothing that covers this slot can do.
                    $t = $k + 1;
                }
            }
            unset($free);
        } else {
            for (; $k < $t + $hours; $k++) {
                foreach ($this->parts[$c] as [$w, $test, , $guard]) {
                    if ((($this->free[$w][$slots[$k]] - $test) & $guard) !== $guard) {
                        $t = $k + 1;
                        break;
                    }
                }
            }
        }
        $this->take($c, $t, 1);

        return $slots[$t];
    }

    /** Places a card at the last slots before this one that take it; there must be some. */
    public function last(int $c, int $until): int
    {
        $slots = $this->problem->slots[$c];
        $hours = $this->hours[$c];
        $e = $k = $this->problem->reached[$c][$until] - 1;
        if (count($this->parts[$c]) === 1) {
            [[$w, $test, , $guard]] = $this->parts[$c];
            $free = $this->free[$w];
            for (; $k > $e - $hours; $k--) {
                if ((($free[$slots[$k]] - $test) & $guard) !== $guard) {
                    $e = $k - 1;
                }
            }
            unset($free);
        } else {
            for (; $k > $e - $hours; $k--) {
                foreach ($this->parts[$c] as [$w, $test, , $guard]) {
                    if ((($this->free[$w][$slots[$k]] - $test) & $guard) !== $guard) {
                        $e = $k - 1;
                        break;
                    }
                }
            }
        }
        $this->take($c, $e - $hours + 1, 1);

        return $slots[$e - $hours + 1];
    }

    /** Takes a card up again. */
    public function lift(int $c, int $start): void
    {
        $this->take($c, $this->problem->reached[$c][$start], -1);
    }

    private function take(int $c, int $k, int $sign): void
    {
        $slots = $this->problem->slots[$c];
        $end = $k + $this->hours[$c];
        $this->ends[$c] = $slots[$end - 1] + 1;
        foreach ($this->parts[$c] as [$w, , $take]) {
            $take *= $sign;
            for ($n = $k; $n < $end; $n++) {
                $this->free[$w][$slots[$n]] -= $take;
            }
        }
    }

    /**
     * Another field of a word, filled.
     *
     * @param array<int, int> $away by slot: how much less than the capacity
     *
     * @return array{int, int} word, and one unit of the field
     */
    private function field(int $capacity, array $away): array
    {
        $bits = 1;
        while ($capacity >> $bits > 0) {
            $bits++;
        }
        $used = $this->used;
        if ($this->guards === [] || $used + $bits + 1 > self::BITS) {
            $this->guards[] = 0;
            $this->empty[] = array_fill(0, $this->problem->horizon(), 0);
            $used = 0;
        }
        $word = count($this->guards) - 1;
        $this->used = $used + $bits + 1;
        $guard = 1 << ($used + $bits);
        $unit = 1 << $used;
        $this->guards[$word] |= $guard;
        foreach ($this->empty[$word] as $slot => $free) {
            $this->empty[$word][$slot] = $free + $guard + ($capacity - ($away[$slot] ?? 0)) * $unit;
        }

        return [$word, $unit];
    }

    /**
     * @return array<string, array<string, list<int>>> cards by state and value, of states that have more than one value
     */
    private function rivals(): array
    {
        $rivals = [];
        foreach ($this->problem->cards as $c => $card) {
            foreach ($card->state as $key => $value) {
                $rivals["k{$key}"]["v{$value}"][] = $c;
            }
        }

        return array_filter($rivals, static fn(array $byValue): bool => count($byValue) > 1);
    }
}
