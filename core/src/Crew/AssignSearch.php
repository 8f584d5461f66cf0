<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use function count;

use Jorvel\Core\Shared\Deadline;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Searches for an assignment: slots filled along chains of people who make room for one another, then evened out by
 * moves and exchanges that are now and then allowed to make it worse, and, where the bounds leave doubt, every way
 * tried in order.
 */
final class AssignSearch
{
    /** Moves tried in one round, for each slot. */
    private const MOVES = 60;

    /**
     * The share of the time that goes to filling more slots, where the bound leaves room, and how often each slot is
     * taken out of its pool at most, on the mean.
     */
    private const POOL = 0.5;

    private const TRIES = 120;

    /** Ways looked at before the attempt to try them all is given up. */
    private const WAYS = 400_000;

    /** @var array<int, int|null> */
    private array $best;

    private int $bestFilled = -1;

    private int $bestSquares = PHP_INT_MAX;

    private readonly AssignSeats $seats;

    private readonly AssignChains $chains;

    private readonly int $most;

    private readonly Randomizer $chance;

    private int $ways = 0;

    public function __construct(private readonly AssignGround $on, private readonly ?Deadline $deadline)
    {
        $this->chance = new Randomizer(new Mt19937(1));
        $this->seats = new AssignSeats($on);
        $this->chains = new AssignChains($on, $this->seats, $deadline);
        $this->best = $this->seats->holder;
        $this->most = $on->most();
    }

    /** @return bool whether what was found is proven to be the best */
    public function run(int $rounds): bool
    {
        $this->fill();
        if ($this->seats->filled < $this->most) {
            // Chance of its own: where it gains nothing, the search goes on as if it had not been.
            $pool = new AssignPool(
                $this->on,
                $this->seats,
                new Randomizer(new Mt19937(2)),
                $this->deadline?->after(self::POOL),
            );
            $pool->fill($this->most, self::TRIES * count($this->on->hours));
        }
        $proven = $this->even();
        if (! $proven) {
            $this->round(1);
            $proven = $this->even() || $this->tryAll();
        }
        for ($n = 2; ! $proven && $n <= $rounds && ! $this->over(); $n++) {
            $this->seats->take($this->best);
            $this->round($n);
            $proven = $this->even();
        }
        $this->seats->take($this->best);

        return $proven;
    }

    public function holder(int $slot): ?int
    {
        return $this->seats->holder[$slot];
    }

    /** Why somebody who fits an open slot cannot take it as things stand. */
    public function unfree(int $slot, int $person): string
    {
        return $this->seats->tookPart($slot, $person) ? 'not_independent' : 'no_hours';
    }

    /** @return bool whether the best so far, once evened out, is proven to be the best there is */
    private function even(): bool
    {
        $this->keep();
        $this->seats->take($this->best);
        $even = $this->chains->even();
        $this->keep();

        return $this->atBound() || ($even && $this->bestFilled >= $this->most);
    }

    private function atBound(): bool
    {
        return $this->bestFilled >= $this->most && $this->bestSquares <= $this->on->least($this->bestFilled);
    }

    private function over(): bool
    {
        return $this->deadline !== null && $this->deadline->passed();
    }

    private function keep(): void
    {
        if (
            $this->seats->filled > $this->bestFilled
            || ($this->seats->filled === $this->bestFilled && $this->seats->squares < $this->bestSquares)
        ) {
            [$this->best, $this->bestFilled, $this->bestSquares] = [
                $this->seats->holder,
                $this->seats->filled,
                $this->seats->squares,
            ];
        }
    }

    private function fill(): void
    {
        $order = array_keys($this->seats->holder);
        usort(
            $order,
            fn(int $a, int $b): int => [
                count($this->on->fits[$a]),
                $this->on->hours[$a],
                $a,
            ] <=> [count($this->on->fits[$b]), $this->on->hours[$b], $b],
        );
        foreach ($order as $s) {
            if ($this->seats->holder[$s] === null && $this->on->fits[$s] !== []) {
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
        usort($fits, fn(int $a, int $b): int => [$this->seats->load[$a], $a] <=> [$this->seats->load[$b], $b]);
        foreach ($fits as $p) {
            if ($this->seats->free($s, $p)) {
                $this->seats->put($s, $p);

                return true;
            }
        }
        foreach ($fits as $p) {
            foreach ($this->seats->inTheWay($s, $p) as $t) {
                if (isset($tried[$t])) {
                    continue;
                }
                $tried[$t] = true;
                $this->seats->lift($t);
                if ($this->seats->free($s, $p)) {
                    $this->seats->put($s, $p);
                    if ($this->seat($t, $tried)) {
                        return true;
                    }
                    $this->seats->lift($s);
                }
                $this->seats->put($t, $p);
            }
        }

        return false;
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
            if ($this->seats->filled >= $this->bestFilled) {
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
        if ($this->seats->holder[$s] === null) {
            $this->trade($s, $q);

            return;
        }
        $before = $this->seats->squares;
        $p = $this->seats->lift($s);
        if ($q === $p) {
            $this->seats->put($s, $p);

            return;
        }
        $t = null;
        $free = $this->seats->free($s, $q);
        if (! $free || $this->chance->getInt(0, 1) === 0) {
            $others = $free ? $this->seats->of($q) : $this->seats->inTheWay($s, $q);
            $t = $others === [] ? null : $others[$this->chance->getInt(0, count($others) - 1)];
            if ($t !== null) {
                $this->seats->lift($t);
            }
        }
        $done = $this->seats->free($s, $q);
        if ($done) {
            $this->seats->put($s, $q);
            if ($t !== null && (! in_array($p, $this->on->fits[$t], true) || ! $this->seats->free($t, $p))) {
                $this->seats->lift($s);
                $done = false;
            } elseif ($t !== null) {
                $this->seats->put($t, $p);
            }
        }
        $worse = $this->seats->squares - $before;
        if ($done && $worse > 0 && ($heat <= 0 || $this->chance->getInt(0, 1_000_000) >= 1e6 * exp(-$worse / $heat))) {
            $this->seats->lift($s);
            if ($t !== null) {
                $this->seats->lift($t);
            }
            $done = false;
        }
        if (! $done) {
            $this->seats->put($s, $p);
            if ($t !== null) {
                $this->seats->put($t, $q);
            }
        }
    }

    /** An open slot against a filled one of the same person, where that leaves them with less to do; or just seated. */
    private function trade(int $s, int $q): void
    {
        if ($this->seats->free($s, $q)) {
            $this->seats->put($s, $q);

            return;
        }
        foreach ($this->seats->inTheWay($s, $q) as $t) {
            if ($this->on->hours[$t] >= $this->on->hours[$s]) {
                $this->seats->lift($t);
                if ($this->seats->free($s, $q)) {
                    $this->seats->put($s, $q);

                    return;
                }
                $this->seats->put($t, $q);
            }
        }
    }

    /** @return bool whether every way was looked at, or shown to be no better */
    private function tryAll(): bool
    {
        $this->seats->take(array_fill(0, count($this->seats->holder), null));
        $order = array_keys(array_filter($this->on->fits, static fn(array $f): bool => $f !== []));
        usort(
            $order,
            fn(int $a, int $b): int => [
                $this->on->date[$a],
                count($this->on->fits[$a]),
                -$this->on->hours[$a],
                $this->alike($a),
                $a,
            ] <=> [$this->on->date[$b], count($this->on->fits[$b]), -$this->on->hours[$b], $this->alike($b), $b],
        );
        $this->ways = 0;

        return $this->descend($order, 0, 0);
    }

    /** The same for slots that could be exchanged without anybody noticing. */
    private function alike(int $s): string
    {
        return implode(',', $this->on->apart[$s]).'/'.implode(',', $this->on->fits[$s]);
    }

    /**
     * @param list<int> $order
     * @param int $skipped how many stay open so far
     *
     * @return bool false once there are more ways than are looked at
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
        $before = $at > 0 && $this->on->date[$order[$at - 1]] === $this->on->date[$s]
            && $this->on->hours[$order[$at - 1]] === $this->on->hours[$s]
            && $this->alike($order[$at - 1]) === $this->alike($s)
            ? $order[$at - 1]
            : null;
        $from = $before === null ? -1 : ($this->seats->holder[$before] ?? PHP_INT_MAX);
        $fits = array_values(array_filter($this->on->fits[$s], static fn(int $p): bool => $p >= $from));
        usort($fits, fn(int $a, int $b): int => [$this->seats->load[$a], $a] <=> [$this->seats->load[$b], $b]);
        foreach ($fits as $p) {
            if ($this->seats->free($s, $p)) {
                $this->seats->put($s, $p);
                $whole = $this->descend($order, $at + 1, $skipped);
                $this->seats->lift($s);
                if (! $whole) {
                    return false;
                }
            }
        }

        return $this->descend($order, $at + 1, $skipped + 1);
    }

    /**
     * Whether nothing better can come of it: even with the longest ones left open that may still be, and hours shared
     * out freely.
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
        $loads = array_map(fn(int $p): int => $this->seats->load[$p], array_keys($who));
        sort($loads);

        return $this->seats->squares + self::poured($loads, $need) >= $this->bestSquares;
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
