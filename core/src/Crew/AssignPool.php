<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use function count;

use Jorvel\Core\Shared\Deadline;
use Random\Randomizer;

/**
 * Fills slots that chains of one for one cannot: with unequal hours, two short ones may have to go elsewhere for a long
 * one.
 *
 * Whatever is open waits in a pool. The last one in is seated where there is room, or in the place of up to three
 * others, which go into the pool; each slot weighs the more, the oftener it could not be seated, and the lightest give
 * way (an ejection chain, as in Nagata and Bräysy 2009, "A powerful route minimization heuristic"). Between, seats
 * change hands at chance.
 */
final class AssignPool
{
    /** At most so many give way to one. */
    private const GIVE = 3;

    /** Changes of seats at chance after each ejection. */
    private const STIRS = 12;

    /** @var array<int, int> by slot: how often it could not be seated, and one */
    private array $weight;

    /** @var array<int, int|null> the fullest assignment so far */
    private array $best;

    private int $bestFilled;

    public function __construct(
        private readonly AssignGround $on,
        private readonly AssignSeats $seats,
        private readonly Randomizer $chance,
        private readonly ?Deadline $deadline,
    ) {
        $this->weight = array_fill(0, count($on->hours), 1);
        $this->best = $seats->holder;
        $this->bestFilled = $seats->filled;
    }

    /**
     * Leaves the seats as full as they could be made.
     *
     * @param int $most slots that can be filled at all
     * @param int $tries slots taken out of the pool before it is given up
     */
    public function fill(int $most, int $tries): void
    {
        $pool = array_keys(array_filter(
            $this->seats->holder,
            fn(?int $p, int $s): bool => $p === null && $this->on->fits[$s] !== [],
            ARRAY_FILTER_USE_BOTH,
        ));
        for ($n = 0; $n < $tries && $pool !== [] && $this->bestFilled < $most; $n++) {
            if ($n % 16 === 15 && $this->deadline !== null && $this->deadline->passed()) {
                break;
            }
            $s = array_pop($pool);
            if (! $this->seatFree($s)) {
                $this->weight[$s]++;
                [$p, $gives] = $this->lightest($s);
                if ($p === null) {
                    array_unshift($pool, $s);

                    continue;
                }
                foreach ($gives as $t) {
                    $this->seats->lift($t);
                    $pool[] = $t;
                }
                $this->seats->put($s, $p);
                $this->stir();
            }
            if ($this->seats->filled > $this->bestFilled) {
                [$this->best, $this->bestFilled] = [$this->seats->holder, $this->seats->filled];
            }
        }
        $this->seats->take($this->best);
    }

    private function seatFree(int $s): bool
    {
        $free = array_values(array_filter($this->on->fits[$s], fn(int $p): bool => $this->seats->free($s, $p)));
        if ($free === []) {
            return false;
        }
        $this->seats->put($s, $free[$this->chance->getInt(0, count($free) - 1)]);

        return true;
    }

    /**
     * @return array{int|null, list<int>} who could take a slot if the lightest few of theirs gave way, and which; null
     *   where nobody could
     */
    private function lightest(int $s): array
    {
        $best = [null, []];
        $least = PHP_INT_MAX;
        $alike = 0;
        foreach ($this->on->fits[$s] as $p) {
            foreach ($this->ways($s, $p) as $gives) {
                $weight = array_sum(array_map(fn(int $t): int => $this->weight[$t], $gives));
                if ($weight < $least || ($weight === $least && $this->chance->getInt(0, ++$alike) === 0)) {
                    $alike = $weight < $least ? 0 : $alike;
                    [$best, $least] = [[$p, $gives], $weight];
                }
            }
        }

        return $best;
    }

    /**
     * @return iterable<list<int>> sets of a person's slots, none larger than need be, without which they could take
     *   another
     */
    private function ways(int $s, int $p): iterable
    {
        $must = array_values(array_filter($this->on->apart[$s], fn(int $t): bool => $this->seats->holder[$t] === $p));
        if (count($must) > self::GIVE) {
            return;
        }
        $day = array_values(array_filter(
            $this->seats->of($p),
            fn(int $t): bool => $this->on->date[$t] === $this->on->date[$s] && ! in_array($t, $must, true),
        ));
        $lacks = $this->seats->lacks($s, $p);
        foreach ($must as $t) {
            $lacks -= $this->on->date[$t] === $this->on->date[$s] ? $this->on->hours[$t] : 0;
        }
        yield from $this->subsets($day, $lacks, $must, 0);
    }

    /**
     * @param list<int> $of
     * @param list<int> $chosen
     *
     * @return iterable<list<int>>
     */
    private function subsets(array $of, int $lacks, array $chosen, int $from): iterable
    {
        if ($lacks <= 0) {
            yield $chosen;

            return;
        }
        if (count($chosen) >= self::GIVE) {
            return;
        }
        for ($i = $from; $i < count($of); $i++) {
            yield from $this->subsets($of, $lacks - $this->on->hours[$of[$i]], [...$chosen, $of[$i]], $i + 1);
        }
    }

    /** Seats change hands at chance; as many are filled as before. */
    private function stir(): void
    {
        for ($i = 0; $i < self::STIRS; $i++) {
            $s = $this->chance->getInt(0, count($this->seats->holder) - 1);
            if ($this->seats->holder[$s] === null || count($this->on->fits[$s]) < 2) {
                continue;
            }
            $q = $this->on->fits[$s][$this->chance->getInt(0, count($this->on->fits[$s]) - 1)];
            $p = $this->seats->lift($s);
            if ($q === $p || $this->seats->free($s, $q)) {
                $this->seats->put($s, $q);

                continue;
            }
            $this->seats->put($s, $p);
            $this->exchange($s, $p, $q);
        }
    }

    private function exchange(int $s, int $p, int $q): void
    {
        $theirs = $this->seats->inTheWay($s, $q);
        if ($theirs === []) {
            return;
        }
        $t = $theirs[$this->chance->getInt(0, count($theirs) - 1)];
        if (! in_array($p, $this->on->fits[$t], true)) {
            return;
        }
        $this->seats->lift($s);
        $this->seats->lift($t);
        if ($this->seats->free($s, $q)) {
            $this->seats->put($s, $q);
            if ($this->seats->free($t, $p)) {
                $this->seats->put($t, $p);

                return;
            }
            $this->seats->lift($s);
        }
        $this->seats->put($s, $p);
        $this->seats->put($t, $q);
    }
}
