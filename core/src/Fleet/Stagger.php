<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use function array_fill;
use function count;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

use function max;
use function min;

/**
 * Which aircraft should fly how much in the coming weeks, so that a phased fleet comes back onto its line.
 *
 * Each aircraft has one leg, or two with its phase between them. A leg wants hours: before a phase all that is left,
 * else what brings it to its place on the line at the end. As much of the weeks' task as can be is flown; within that,
 * the sum of squares of (flown − wanted) is the least there is. What legs can fly together in their weeks is a
 * polymatroid, so giving out one step at a time to the leg that gains most by it, wherever an augmenting path finds
 * room, is exact (Federgruen and Groenevelt, "The greedy procedure for resource allocation problems", 1986). Weeks are
 * then evened out by exchanges between two aircraft and two weeks. Contract: docs/core.md, core/schema/stagger.json.
 */
final class Stagger
{
    /** @var list<array{int, list<int>, float, float}> aircraft, weeks, wanted, most it may fly in all */
    private array $legs = [];

    /** @var array<int, array<int, int>> steps flown, by leg and week */
    private array $flown = [];

    /** @var array<int, array<int, int>> the least of them, by leg and week */
    private array $floor = [];

    /** @var array<int, int> steps of the task not yet given out, by week */
    private array $open;

    /** @var array<int, int> by leg: the week that it would leave to the one now looking for room */
    private array $via = [];

    /**
     * @param list<StaggerAircraft> $aircraft
     * @param list<float> $tasks hours to be flown in each week
     */
    private function __construct(
        private readonly array $aircraft,
        private readonly array $tasks,
        private readonly float $interval,
        private readonly float $margin,
        private readonly float $step,
    ) {
        $this->open = array_map(static fn(float $t): int => (int) round($t / $step), $tasks);
    }

    /**
     * @param list<StaggerAircraft> $aircraft
     * @param list<float> $tasks hours to be flown by the whole fleet in each coming week; whole steps
     * @param float $interval hours from one phase to the next, above 0
     * @param float $margin hours that are kept before a phase
     * @param float $step the portion in which hours are given out, above 0
     *
     * @throws InputError
     *
     * @pure
     */
    public static function propose(
        array $aircraft,
        array $tasks,
        float $interval,
        float $margin = 0.0,
        float $step = 0.5,
    ): StaggerResult {
        foreach ($tasks as $week => $task) {
            $steps = $task / $step;
            if (abs($steps - round($steps)) > 1e-6) {
                throw InputError::at("weeks.{$week}.task", "must be a whole number of steps of {$step} hours");
            }
            if ($steps > 100_000) {
                throw InputError::at("weeks.{$week}.task", 'is more than 100,000 steps');
            }
        }
        $stagger = new self($aircraft, $tasks, $interval, $margin, $step);
        $order = $stagger->places();
        $stagger->layLegs($order);
        $stagger->flyTheLeast();
        $stagger->giveOut();
        $stagger->evenOut();

        return $stagger->result($order);
    }

    /**
     * The aircraft's places on the line at the end, the head first: those back from a phase, the last one back at the
     * head; then the others in their present order.
     *
     * @return list<int>
     */
    private function places(): array
    {
        $order = array_keys($this->aircraft);
        $last = fn(int $a): int => $this->aircraft[$a]->phaseLast ?? -1;
        usort($order, fn(int $a, int $b): int => $last($b) <=> $last($a)
            ?: $this->aircraft[$b]->left <=> $this->aircraft[$a]->left
            ?: $a <=> $b);

        return $order;
    }

    /** @param list<int> $order */
    private function layLegs(array $order): void
    {
        $n = count($order);
        $rank = array_flip($order);
        $weeks = array_keys($this->tasks);
        foreach ($this->aircraft as $i => $craft) {
            $target = $this->interval * ($n - $rank[$i] - 0.5) / $n;
            $able = array_values(array_filter($weeks, $craft->flies(...)));
            $before = max(0.0, $craft->left - $this->margin);
            if ($craft->phaseFirst === null) {
                $this->legs[] = [$i, $able, $craft->left - $target, $before];
            } else {
                $this->legs[] = [
                    $i,
                    array_values(array_filter($able, static fn(int $w): bool => $w < $craft->phaseFirst)),
                    $before,
                    $before,
                ];
                $this->legs[] = [
                    $i,
                    array_values(array_filter($able, static fn(int $w): bool => $w > $craft->phaseLast)),
                    $this->interval - $target,
                    max(0.0, $this->interval - $this->margin),
                ];
            }
        }
        foreach ($this->legs as $j => $leg) {
            $this->flown[$j] = $this->floor[$j] = array_fill(0, count($this->tasks), 0);
        }
    }

    private function steps(float $hours): int
    {
        return Near::floor($hours / $this->step);
    }

    /** What each should fly at the least, as far as its phase allows. @throws InputError when a week's task is less */
    private function flyTheLeast(): void
    {
        foreach ($this->legs as $j => [$i, $weeks, , $cap]) {
            $room = $this->steps($cap);
            foreach ($weeks as $week) {
                $least = min($room, (int) ceil($this->aircraft[$i]->least / $this->step - 1e-9));
                $room -= $least;
                $this->open[$week] -= $least;
                $this->flown[$j][$week] = $this->floor[$j][$week] = $least;
                if ($this->open[$week] < 0) {
                    throw InputError::at(
                        "weeks.{$week}.task",
                        "is less than what the aircraft should fly at the least; lower {$this->aircraft[$i]->id}'s "
                            .'least or raise the task',
                    );
                }
            }
        }
    }

    /** One step at a time to the leg that gains most by it, until no leg can take another. */
    private function giveOut(): void
    {
        $able = array_keys($this->legs);
        $sum = array_map(array_sum(...), $this->flown);
        while ($able !== []) {
            $best = null;
            $least = INF;
            foreach ($able as $j) {
                // Marginal cost of one more step; the same factor everywhere is left out.
                $cost = $sum[$j] * $this->step - $this->legs[$j][2];
                if ($cost < $least - 1e-9) {
                    [$best, $least] = [$j, $cost];
                }
            }
            if (
                $best !== null
                && ($sum[$best] + 1) * $this->step <= $this->legs[$best][3] + Near::noise($this->legs[$best][3])
                && $this->augment($best)
            ) {
                $sum[$best]++;
            } else {
                // What cannot grow now cannot grow later either.
                $able = array_values(array_diff($able, [$best]));
            }
        }
    }

    /** Gives a leg one more step, moving others' steps between weeks where that makes room. */
    private function augment(int $leg): bool
    {
        $from = [];
        $queue = [$leg];
        $seen = [$leg => true];
        for ($q = 0; $q < count($queue); $q++) {
            $j = $queue[$q];
            $most = $this->steps($this->aircraft[$this->legs[$j][0]]->most);
            foreach ($this->legs[$j][1] as $week) {
                if (isset($from[$week]) || $this->flown[$j][$week] >= $most) {
                    continue;
                }
                $from[$week] = $j;
                if ($this->open[$week] > 0) {
                    $this->walkBack($leg, $week, $from);

                    return true;
                }
                foreach ($this->legs as $other => $_) {
                    if (! isset($seen[$other]) && $this->flown[$other][$week] > $this->floor[$other][$week]) {
                        $seen[$other] = true;
                        $this->via[$other] = $week;
                        $queue[] = $other;
                    }
                }
            }
        }

        return false;
    }

    /** @param array<int, int> $from the leg that would take each week */
    private function walkBack(int $leg, int $week, array $from): void
    {
        $this->open[$week]--;
        for ($j = $from[$week]; ; $j = $from[$week]) {
            $this->flown[$j][$week]++;
            if ($j === $leg) {
                return;
            }
            $week = $this->via[$j];
            $this->flown[$j][$week]--;
        }
    }

    /** Exchanges between two legs and two weeks, while the sum of squares of the weekly hours falls. */
    private function evenOut(): void
    {
        do {
            $better = false;
            foreach ($this->legs as $i => [$craft, $weeks]) {
                foreach ($this->legs as $j => [$other, $others]) {
                    $both = $i === $j ? [] : array_intersect($weeks, $others);
                    foreach ($both as $k) {
                        foreach ($both as $l) {
                            $better = ($k !== $l && $this->exchange($i, $j, $k, $l)) || $better;
                        }
                    }
                }
            }
        } while ($better);
    }

    /** One step of leg i from week k to l, and of leg j from l to k, if that is evener and allowed. */
    private function exchange(int $i, int $j, int $k, int $l): bool
    {
        $f = &$this->flown;
        $gain = $f[$i][$k] - $f[$i][$l] + $f[$j][$l] - $f[$j][$k];
        if ($gain <= 2 || $f[$i][$k] <= $this->floor[$i][$k] || $f[$j][$l] <= $this->floor[$j][$l]
            || $f[$i][$l] >= $this->steps($this->aircraft[$this->legs[$i][0]]->most)
            || $f[$j][$k] >= $this->steps($this->aircraft[$this->legs[$j][0]]->most)) {
            return false;
        }
        $f[$i][$k]--;
        $f[$i][$l]++;
        $f[$j][$l]--;
        $f[$j][$k]++;

        return true;
    }

    /** @param list<int> $order */
    private function result(array $order): StaggerResult
    {
        $hours = array_fill(0, count($this->aircraft), array_fill(0, count($this->tasks), 0.0));
        $end = [];
        foreach ($this->aircraft as $i => $craft) {
            $end[$i] = $craft->left;
        }
        foreach ($this->legs as $j => [$i]) {
            $end[$i] = isset($this->legs[$j - 1]) && $this->legs[$j - 1][0] === $i ? $this->interval : $end[$i];
            foreach ($this->flown[$j] as $week => $steps) {
                $hours[$i][$week] += $steps * $this->step;
                $end[$i] -= $steps * $this->step;
            }
        }
        $now = [];
        foreach ($this->aircraft as $craft) {
            $now[$craft->id] = $craft->left;
        }
        // Sorting is stable: between equals the one listed first stands first.
        arsort($now);
        $then = [];
        foreach ($order as $i) {
            $then[$this->aircraft[$i]->id] = $end[$i];
        }

        return new StaggerResult(
            StaggerLine::through($now, $this->interval),
            StaggerLine::through($then, $this->interval),
            array_combine(
                array_map(static fn(StaggerAircraft $a): string => $a->id, $this->aircraft),
                array_map(array_values(...), $hours),
            ),
            $this->tasks,
            array_values(array_map(fn(int $steps): float => $steps * $this->step, $this->open)),
        );
    }
}
