<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use function count;

use Jorvel\Core\Shared\Deadline;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Searches for an assignment: slots filled along chains of people who make room for one another, then evened out by moves and
 * exchanges that are now and then allowed to make it worse, and, where the bounds leave doubt, every way tried in order.
 */
final class AssignSearch
{
    /** Moves tried in one round, for each slot. */
    private const MOVES = 60;

    /** Ways looked at before the attempt to try them all is given up. */
    private const WAYS = 400_000;

    /** @var array<int, int|null> person by slot */
    private array $holder;

    /** @var array<int, array<int, int>> grains by person and date */
    private array $used = [];

    /** @var array<int, int> grains by person */
    private array $load;

    /** @var array<int, array<int, array<int, int>>> how many slots by person, card and side */
    private array $sides = [];

    /** @var array<int, array<int, true>> slots by person */
    private array $of = [];

    private int $filled = 0;

    private int $squares = 0;

    /** @var array<int, int|null> */
    private array $best;

    private int $bestFilled = -1;

    private int $bestSquares = PHP_INT_MAX;

    private readonly int $most;

    private readonly Randomizer $chance;

    private int $ways = 0;

    public function __construct(private readonly AssignGround $on, private readonly ?Deadline $deadline)
    {
        $this->chance = new Randomizer(new Mt19937(1));
        $this->holder = $this->best = array_fill(0, count($on->hours), null);
        $this->load = array_fill(0, $on->people, 0);
        $this->most = $on->most();
    }

    /** @return bool whether what was found is proven to be the best */
    public function run(int $rounds): bool
    {
        $this->fill();
        $this->keep();
        $this->round(1);
        $proven = $this->atBound() || $this->tryAll();
        for ($n = 2; ! $proven && $n <= $rounds && ! $this->over(); $n++) {
            $this->take($this->best);
            $this->round($n);
            $proven = $this->atBound();
        }
        $this->take($this->best);

        return $proven;
    }

    public function holder(int $slot): ?int
    {
        return $this->holder[$slot];
    }

    /** Why somebody who fits an open slot cannot take it as things stand. */
    public function unfree(int $slot, int $person): string
    {
        return $this->clashes($slot, $person) ? 'not_independent' : 'no_hours';
    }

    private function atBound(): bool
    {
        return $this->bestFilled >= $this->most && $this->bestSquares <= $this->on->least($this->bestFilled);
    }

    private function over(): bool
    {
        return $this->deadline !== null && $this->deadline->passed();
    }

    private function clashes(int $s, int $p): bool
    {
        return $this->on->side[$s] !== 0 && ($this->sides[$p][$this->on->card[$s]][3 - $this->on->side[$s]] ?? 0) > 0;
    }

    private function free(int $s, int $p): bool
    {
        return ($this->used[$p][$this->on->date[$s]] ?? 0) + $this->on->hours[$s] <= $this->on->has[$p] && ! $this->clashes($s, $p);
    }

    private function put(int $s, int $p): void
    {
        $hours = $this->on->hours[$s];
        $this->holder[$s] = $p;
        $this->of[$p][$s] = true;
        $this->used[$p][$this->on->date[$s]] = ($this->used[$p][$this->on->date[$s]] ?? 0) + $hours;
        $this->sides[$p][$this->on->card[$s]][$this->on->side[$s]] = ($this->sides[$p][$this->on->card[$s]][$this->on->side[$s]] ?? 0) + 1;
        $this->squares += $hours * (2 * $this->load[$p] + $hours);
        $this->load[$p] += $hours;
        $this->filled++;
    }

    /** @return int who had it */
    private function lift(int $s): int
    {
        $p = (int) $this->holder[$s];
        $hours = $this->on->hours[$s];
        $this->holder[$s] = null;
        unset($this->of[$p][$s]);
        $this->used[$p][$this->on->date[$s]] -= $hours;
        $this->sides[$p][$this->on->card[$s]][$this->on->side[$s]]--;
        $this->load[$p] -= $hours;
        $this->squares -= $hours * (2 * $this->load[$p] + $hours);
        $this->filled--;

        return $p;
    }

    /** @param array<int, int|null> $holders */
    private function take(array $holders): void
    {
        foreach ($this->holder as $s => $p) {
            if ($p !== null && $p !== $holders[$s]) {
                $this->lift($s);
            }
        }
        foreach ($holders as $s => $p) {
            if ($p !== null && $this->holder[$s] === null) {
                $this->put($s, $p);
            }
        }
    }

    private function keep(): void
    {
        if ($this->filled > $this->bestFilled || ($this->filled === $this->bestFilled && $this->squares < $this->bestSquares)) {
            [$this->best, $this->bestFilled, $this->bestSquares] = [$this->holder, $this->filled, $this->squares];
        }
    }

    private function fill(): void
    {
        $order = array_keys($this->holder);
        usort($order, fn(int $a, int $b): int => [count($this->on->fits[$a]), $this->on->hours[$a], $a] <=> [count($this->on->fits[$b]), $this->on->hours[$b], $b]);
        foreach ($order as $s) {
            if ($this->holder[$s] === null && $this->on->fits[$s] !== []) {
                $tried = [$s => true];
                $this->seat($s, $tried);
            }
        }
    }

    /**
     * Seats a slot, moving others on where that makes room; leaves all as it was when it cannot.
     *
     * @param array<int, true> $tried slots already on the way
     */
    private function seat(int $s, array &$tried): bool
    {
        $fits = $this->on->fits[$s];
        usort($fits, fn(int $a, int $b): int => [$this->load[$a], $a] <=> [$this->load[$b], $b]);
        foreach ($fits as $p) {
            if ($this->free($s, $p)) {
                $this->put($s, $p);

                return true;
            }
        }
        foreach ($fits as $p) {
            foreach ($this->inTheWay($s, $p) as $t) {
                if (isset($tried[$t])) {
                    continue;
                }
                $tried[$t] = true;
                $this->lift($t);
                if ($this->free($s, $p)) {
                    $this->put($s, $p);
                    if ($this->seat($t, $tried)) {
                        return true;
                    }
                    $this->lift($s);
                }
                $this->put($t, $p);
            }
        }

        return false;
    }

    /** @return list<int> slots that a person would have to give up one of, to take another */
    private function inTheWay(int $s, int $p): array
    {
        $clash = $this->clashes($s, $p);
        $slots = [];
        foreach (array_keys($this->of[$p] ?? []) as $t) {
            if ($clash ? $this->on->card[$t] === $this->on->card[$s] && $this->on->side[$t] === 3 - $this->on->side[$s] : $this->on->date[$t] === $this->on->date[$s]) {
                $slots[] = $t;
            }
        }

        return $slots;
    }

    /** Moves and exchanges at chance, worse ones ever more seldom; then everything open is tried once more. */
    private function round(int $n): void
    {
        $movable = array_keys(array_filter($this->on->fits, static fn(array $f): bool => count($f) > 1));
        $moves = min(60_000, self::MOVES * count($movable) * min($n, 8));
        $mean = count($this->on->hours) === 0 ? 1 : max(1, array_sum($this->on->hours) / count($this->on->hours));
        for ($i = 0; $i < $moves && $movable !== []; $i++) {
            if ($i % 256 === 0 && ($this->over() || ($n === 1 && $this->atBound()))) {
                break;
            }
            $heat = $mean * $mean * ($n === 1 ? 0.3 : 1.5) * (1 - $i / $moves) ** 2;
            $this->move($movable[$this->chance->getInt(0, count($movable) - 1)], $heat);
            if ($this->filled >= $this->bestFilled) {
                $this->keep();
            }
        }
        $this->fill();
        $this->keep();
    }

    private function move(int $s, float $heat): void
    {
        $fits = $this->on->fits[$s];
        $q = $fits[$this->chance->getInt(0, count($fits) - 1)];
        if ($this->holder[$s] === null) {
            $this->trade($s, $q);

            return;
        }
        $before = $this->squares;
        $p = $this->lift($s);
        if ($q === $p) {
            $this->put($s, $p);

            return;
        }
        $t = null;
        if (! $this->free($s, $q) || $this->chance->getInt(0, 2) === 0) {
            $others = $this->inTheWay($s, $q);
            $t = $others === [] ? null : $others[$this->chance->getInt(0, count($others) - 1)];
            if ($t !== null) {
                $this->lift($t);
            }
        }
        $done = $this->free($s, $q);
        if ($done) {
            $this->put($s, $q);
            if ($t !== null && (! in_array($p, $this->on->fits[$t], true) || ! $this->free($t, $p))) {
                $this->lift($s);
                $done = false;
            } elseif ($t !== null) {
                $this->put($t, $p);
            }
        }
        $worse = $this->squares - $before;
        if ($done && $worse > 0 && ($heat <= 0 || $this->chance->getInt(0, 1_000_000) >= 1e6 * exp(-$worse / $heat))) {
            $this->lift($s);
            if ($t !== null) {
                $this->lift($t);
            }
            $done = false;
        }
        if (! $done) {
            $this->put($s, $p);
            if ($t !== null) {
                $this->put($t, $q);
            }
        }
    }

    /** An open slot against a filled one of the same person, where that leaves them with less to do; or just seated. */
    private function trade(int $s, int $q): void
    {
        if ($this->free($s, $q)) {
            $this->put($s, $q);

            return;
        }
        foreach ($this->inTheWay($s, $q) as $t) {
            if ($this->on->hours[$t] >= $this->on->hours[$s]) {
                $this->lift($t);
                if ($this->free($s, $q)) {
                    $this->put($s, $q);

                    return;
                }
                $this->put($t, $q);
            }
        }
    }

    /** @return bool whether every way was looked at, or shown to be no better */
    private function tryAll(): bool
    {
        $this->take(array_fill(0, count($this->holder), null));
        $order = array_keys(array_filter($this->on->fits, static fn(array $f): bool => $f !== []));
        usort($order, fn(int $a, int $b): int => [$this->on->date[$a], count($this->on->fits[$a]), -$this->on->hours[$a], $this->alike($a), $a] <=> [$this->on->date[$b], count($this->on->fits[$b]), -$this->on->hours[$b], $this->alike($b), $b]);
        $this->ways = 0;

        return $this->descend($order, 0, 0);
    }

    /** The same for slots that could be exchanged without anybody noticing. */
    private function alike(int $s): string
    {
        return $this->on->card[$s].'/'.$this->on->side[$s].'/'.implode(',', $this->on->fits[$s]);
    }

    /**
     * @param list<int> $order
     * @param int $skipped how many stay open so far
     */
    private function descend(array $order, int $at, int $skipped): bool
    {
        $this->ways += $this->ways % 128 === 127 && $this->over() ? self::WAYS : 1;
        if ($this->ways > self::WAYS) {
            return false;
        }
        if ($at === count($order)) {
            $this->keep();

            return true;
        }
        $may = count($order) - max($this->bestFilled, 0) - $skipped;
        if ($may < 0 || $this->hopeless($order, $at, $skipped)) {
            return true;
        }
        $s = $order[$at];
        $before = $at > 0 && $this->on->date[$order[$at - 1]] === $this->on->date[$s] && $this->on->hours[$order[$at - 1]] === $this->on->hours[$s] && $this->alike($order[$at - 1]) === $this->alike($s) ? $order[$at - 1] : null;
        $from = $before === null ? -1 : ($this->holder[$before] ?? PHP_INT_MAX);
        $fits = array_values(array_filter($this->on->fits[$s], static fn(int $p): bool => $p >= $from));
        usort($fits, fn(int $a, int $b): int => [$this->load[$a], $a] <=> [$this->load[$b], $b]);
        $whole = true;
        foreach ($fits as $p) {
            if ($this->free($s, $p)) {
                $this->put($s, $p);
                $whole = $this->descend($order, $at + 1, $skipped) && $whole;
                $this->lift($s);
                if ($this->ways > self::WAYS) {
                    return false;
                }
            }
        }

        return $this->descend($order, $at + 1, $skipped + 1) && $whole;
    }

    /**
     * Whether nothing better can come of it: even with the longest ones left open that may still be, and hours shared out freely.
     *
     * @param list<int> $order
     */
    private function hopeless(array $order, int $at, int $skipped): bool
    {
        $can = count($order) - $skipped;
        if ($can < $this->bestFilled) {
            return true;
        }
        if ($can > $this->bestFilled && $this->bestFilled < $this->most) {
            return false;
        }
        $rest = array_slice($order, $at);
        $left = array_map(fn(int $s): int => $this->on->hours[$s], $rest);
        sort($left);
        $need = array_sum(array_slice($left, 0, count($left) - max(0, $can - $this->bestFilled)));
        $who = [];
        foreach ($rest as $s) {
            $who += array_fill_keys($this->on->fits[$s], true);
        }
        $loads = array_map(fn(int $p): int => $this->load[$p], array_keys($who));
        sort($loads);

        return $this->squares + self::poured($loads, $need) >= $this->bestSquares;
    }

    /**
     * By how much the sum of squares grows when hours are poured over loads, the lowest first.
     *
     * @param list<int> $loads ascending
     */
    private static function poured(array $loads, int $hours): int
    {
        if ($loads === []) {
            return 0;
        }
        $sum = 0;
        $many = 0;
        $squares = 0;
        foreach ($loads as $i => $load) {
            if ($i > 0 && $load * $i - $sum >= $hours) {
                break;
            }
            $sum += $load;
            $squares += $load * $load;
            $many++;
        }

        return AssignGround::even($many, $sum + $hours) - $squares;
    }
}
