<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use function array_keys;
use function count;

use Jorvel\Core\Shared\Deadline;

use function usort;

/**
 * Evens an assignment out along chains: somebody with much gives a slot to the next, who gives one of the same length
 * to another, until it reaches somebody with little. Nobody in between has more or less to do than before.
 *
 * Where all slots are equally long and none shuts another out, an assignment that fills as many as can be filled and
 * has no such chain left is the most even there is: the cycles of negative cost in its network are just these chains.
 */
final readonly class AssignChains
{
    public function __construct(
        private AssignGround $on,
        private AssignSeats $seats,
        private ?Deadline $deadline = null,
    ) {}

    /**
     * Shortens loads until no chain makes the sum of squares less, or the time is over.
     *
     * @return bool whether that proves it to be the most even
     */
    public function even(): bool
    {
        $lengths = array_unique($this->on->hours);
        do {
            $better = false;
            foreach ($lengths as $hours) {
                $better = $this->once($hours) || $better;
            }
        } while ($better && ! $this->over());

        return ! $this->over() && count($lengths) <= 1 && ! $this->on->divided();
    }

    /** One chain of slots of a length, from whoever has the most that can be relieved of one. */
    private function once(int $hours): bool
    {
        $people = array_keys($this->seats->load);
        usort($people, fn(int $a, int $b): int => [$this->seats->load[$b], $a] <=> [$this->seats->load[$a], $b]);
        $least = min([PHP_INT_MAX, ...$this->seats->load]);
        foreach ($people as $p) {
            // Whoever comes from here on has too little for anybody to have less.
            if ($this->seats->load[$p] - $hours <= $least || $this->over()) {
                return false;
            }
            if ($this->relieve($p, $hours)) {
                return true;
            }
        }

        return false;
    }

    private function over(): bool
    {
        return $this->deadline !== null && $this->deadline->passed();
    }

    /**
     * Breadth first from somebody, by whom a slot of theirs may go to next.
     *
     * A place on the way is somebody's day: they have taken a slot there and give up another of that day, or, where the
     * day has room, one of any day; or the chain ends with them. An open slot may take the place of one that is left
     * open instead.
     */
    private function relieve(int $from, int $hours): bool
    {
        $open = array_keys(array_filter(
            $this->seats->holder,
            fn(?int $p, int $s): bool => $p === null && $this->on->hours[$s] === $hours,
            ARRAY_FILTER_USE_BOTH,
        ));
        $seen = [];
        $opened = false;
        $queue = [];
        foreach ($this->seats->of($from) as $s) {
            if ($this->on->hours[$s] === $hours) {
                $queue[] = [$s, null];
            }
        }
        // Each entry is a slot that its holder gives up, with the entry and the slot taken before it.
        for ($i = 0; $i < count($queue); $i++) {
            $taken = [$queue[$i][0]];
            if (! $opened && $open !== []) {
                $opened = true;
                array_push($taken, ...$open);
            }
            foreach ($taken as $s) {
                foreach ($this->on->fits[$s] as $q) {
                    $place = "{$q}/{$this->on->date[$s]}";
                    if ($q === $from || isset($seen[$place]) || $this->seats->clashes($s, $q)) {
                        continue;
                    }
                    $seen[$place] = true;
                    $room = $this->seats->room($s, $q);
                    if (
                        $room
                        && $this->seats->load[$q] + $hours < $this->seats->load[$from]
                        && $this->pass($queue, $i, $s, $q)
                    ) {
                        return true;
                    }
                    foreach ($this->seats->of($q) as $t) {
                        if ($this->on->hours[$t] === $hours && ($room || $this->on->date[$t] === $this->on->date[$s])) {
                            $queue[] = [$t, [$i, $s]];
                        }
                    }
                }
            }
        }

        return false;
    }

    /**
     * Passes the slots of a chain on; all stays as it was where two links of it do not go together.
     *
     * @param list<array{int, array{int, int}|null}> $queue
     */
    private function pass(array $queue, int $at, int $slot, int $to): bool
    {
        $moves = [[$slot, $to]];
        $given = [$queue[$at][0]];
        while ($queue[$at][1] !== null) {
            [$before, $taken] = $queue[$at][1];
            $moves[] = [$taken, (int) $this->seats->holder[$queue[$at][0]]];
            $at = $before;
            $given[] = $queue[$at][0];
        }
        $was = $this->seats->holder;
        array_walk($given, fn(int $s): int => $this->seats->lift($s));
        foreach ($moves as [$s, $p]) {
            if ($this->seats->holder[$s] !== null || ! $this->seats->free($s, $p)) {
                $this->seats->take($was);

                return false;
            }
            $this->seats->put($s, $p);
        }

        return true;
    }
}
