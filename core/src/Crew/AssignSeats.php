<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use function count;

/** Who has which slot as a search goes on, with what follows from it: hours by person and date, loads. */
final class AssignSeats
{
    /** @var array<int, int|null> person by slot */
    public array $holder;

    /** @var array<int, int> grains by person */
    public array $load;

    /** How many slots somebody has. */
    public int $filled = 0;

    /** Sum of the squares of all loads, in grains. */
    public int $squares = 0;

    /** @var array<int, array<int, int>> grains by person and date */
    private array $used = [];

    /** @var array<int, array<int, true>> slots by person */
    private array $of = [];

    public function __construct(private readonly AssignGround $on)
    {
        $this->holder = array_fill(0, count($on->hours), null);
        $this->load = array_fill(0, $on->people, 0);
    }

    /** Whether a person has a slot that shuts them out of this one. */
    public function clashes(int $s, int $p): bool
    {
        foreach ($this->on->apart[$s] as $t) {
            if ($this->holder[$t] === $p) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a person is on the other side of a slot's card: would inspect what they worked, or the other way round.
     */
    public function tookPart(int $s, int $p): bool
    {
        return array_filter($this->on->others[$s], fn(int $t): bool => $this->holder[$t] === $p) !== [];
    }

    /** Whether a person has the hours for a slot on its date. */
    public function room(int $s, int $p): bool
    {
        return $this->lacks($s, $p) <= 0;
    }

    /** Grains that a person lacks for a slot on its date; 0 or less where they have the hours. */
    public function lacks(int $s, int $p): int
    {
        return ($this->used[$p][$this->on->date[$s]] ?? 0) + $this->on->hours[$s] - $this->on->has[$p];
    }

    /** Whether a person who fits a slot can take it as things stand. */
    public function free(int $s, int $p): bool
    {
        return $this->room($s, $p) && ! $this->clashes($s, $p);
    }

    public function put(int $s, int $p): void
    {
        $hours = $this->on->hours[$s];
        $this->holder[$s] = $p;
        $this->of[$p][$s] = true;
        $this->used[$p][$this->on->date[$s]] = ($this->used[$p][$this->on->date[$s]] ?? 0) + $hours;
        $this->squares += $hours * (2 * $this->load[$p] + $hours);
        $this->load[$p] += $hours;
        $this->filled++;
    }

    /** @return int who had it */
    public function lift(int $s): int
    {
        $p = (int) $this->holder[$s];
        $hours = $this->on->hours[$s];
        $this->holder[$s] = null;
        unset($this->of[$p][$s]);
        $this->used[$p][$this->on->date[$s]] -= $hours;
        $this->load[$p] -= $hours;
        $this->squares -= $hours * (2 * $this->load[$p] + $hours);
        $this->filled--;

        return $p;
    }

    /** @param array<int, int|null> $holders by slot, all of them */
    public function take(array $holders): void
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

    /** @return list<int> a person's slots */
    public function of(int $p): array
    {
        return array_keys($this->of[$p] ?? []);
    }

    /** @return list<int> slots that a person would have to give up one of, to take another */
    public function inTheWay(int $s, int $p): array
    {
        $clash = $this->clashes($s, $p);

        return array_values(array_filter(
            $this->of($p),
            fn(int $t): bool => $clash
                ? in_array($t, $this->on->apart[$s], true)
                : $this->on->date[$t] === $this->on->date[$s],
        ));
    }
}
