<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\Near;

/**
 * The search behind {@see Rig}: depth first over the adjusters, bounded by what the ones still free can reach.
 *
 * Rounds move exactly 0, 1, 2 … adjusters, and stop as soon as a round has met everything that can be met at all; since
 * fewer moves come before a lower cost, no later round can be better. Limits and matches are rows of one table: a match
 * is the difference of two points between −within and +within.
 */
final class RigSearch
{
    /** How many nodes a search beyond {@see Rig::EXACT} may open. */
    private const NODES = 400_000;

    private int $nodesLeft = PHP_INT_MAX;

    private bool $cut = false;

    /** @var list<int> */
    private array $best;

    private int $bestUnmet = PHP_INT_MAX;

    private int $bestMoved = PHP_INT_MAX;

    private float $bestCost = INF;

    private float $bestAmount = INF;

    /**
     * @param array<int, float> $start by row
     * @param array<int, float> $low by row, noise taken off
     * @param array<int, float> $high by row, noise added
     * @param array<int, float> $aim by row
     * @param array<int, float> $weight by row; 0 for a match
     * @param array<int, float> $step by adjuster
     * @param array<int, array{int, int}> $reach by adjuster, in steps
     * @param array<int, array<int, float>> $effect by adjuster and row, per step
     * @param array<int, array<int, float>> $restLow by adjuster and row: the least that it and the later ones can add
     * @param array<int, array<int, float>> $restHigh the most
     */
    private function __construct(
        private readonly array $start,
        private readonly array $low,
        private readonly array $high,
        private readonly array $aim,
        private readonly array $weight,
        private readonly array $step,
        private readonly array $reach,
        private readonly array $effect,
        private readonly array $restLow,
        private readonly array $restHigh,
    ) {
        $this->best = array_fill(0, count($reach), 0);
    }

    /**
     * @param list<RigPoint> $points
     * @param list<Adjuster> $adjusters
     * @param array<string, array<string, float>> $effects
     * @param list<RigMatch> $matches
     */
    public static function of(array $points, array $adjusters, array $effects, array $matches): self
    {
        $start = $low = $high = $aim = $weight = $index = [];
        foreach ($points as $i => $point) {
            $index[$point->id] = $i;
            $start[] = $point->value;
            $low[] = $point->min - Near::noise($point->min);
            $high[] = $point->max + Near::noise($point->max);
            $aim[] = $point->aim;
            $weight[] = $point->weight;
        }
        foreach ($matches as $match) {
            $start[] = $start[$index[$match->a]] - $start[$index[$match->b]];
            $low[] = -$match->within - Near::noise($match->within);
            $high[] = $match->within + Near::noise($match->within);
            $aim[] = $weight[] = 0.0;
        }
        $rows = count($start);
        $effect = $reach = $step = [];
        foreach ($adjusters as $j => $adjuster) {
            $reach[$j] = $adjuster->reach();
            $step[$j] = $adjuster->step;
            foreach ($points as $i => $point) {
                $effect[$j][$i] = ($effects[$adjuster->id][$point->id] ?? 0.0) * $adjuster->step;
            }
            foreach ($matches as $match) {
                $effect[$j][] = $effect[$j][$index[$match->a]] - $effect[$j][$index[$match->b]];
            }
            $effect[$j] ??= [];
        }
        $n = count($adjusters);
        $restLow = $restHigh = array_fill(0, $n + 1, array_fill(0, $rows, 0.0));
        for ($j = $n - 1; $j >= 0; $j--) {
            for ($r = 0; $r < $rows; $r++) {
                $ends = [$effect[$j][$r] * $reach[$j][0], $effect[$j][$r] * $reach[$j][1]];
                $restLow[$j][$r] = $restLow[$j + 1][$r] + min($ends);
                $restHigh[$j][$r] = $restHigh[$j + 1][$r] + max($ends);
            }
        }

        return new self($start, $low, $high, $aim, $weight, $step, $reach, $effect, $restLow, $restHigh);
    }

    /** @return array{list<int>, bool} positions in steps, by adjuster; whether proven best */
    public function best(): array
    {
        $exact = $this->combinations() <= Rig::EXACT;
        $this->nodesLeft = $exact ? PHP_INT_MAX : self::NODES;
        $n = count($this->reach);
        $atLeast = $this->bound(0, $this->start)[0];
        for ($moves = 0; $moves <= $n && ! $this->cut; $moves++) {
            $this->go(0, $this->start, array_fill(0, $n, 0), 0, 0.0, $moves);
            if ($this->bestUnmet <= $atLeast) {
                break;
            }
        }
        if ($this->cut) {
            $this->improve();
        }

        return [$this->best, $exact];
    }

    private function combinations(): float
    {
        $product = 1.0;
        foreach ($this->reach as [$from, $to]) {
            $product *= $to - $from + 1;
        }

        return $product;
    }

    /**
     * What no completion can beat: rows left unmet, and cost.
     *
     * @param array<int, float> $at
     *
     * @return array{int, float}
     */
    private function bound(int $j, array $at): array
    {
        $unmet = 0;
        $cost = 0.0;
        $restLow = $this->restLow[$j];
        $restHigh = $this->restHigh[$j];
        foreach ($at as $r => $value) {
            $from = $value + $restLow[$r];
            $to = $value + $restHigh[$r];
            if ($to < $this->low[$r] || $from > $this->high[$r]) {
                $unmet++;
            }
            $off = $from > $this->aim[$r]
                ? $from - $this->aim[$r]
                : ($to < $this->aim[$r] ? $this->aim[$r] - $to : 0.0);
            $cost += $this->weight[$r] * $off * $off;
        }

        return [$unmet, $cost];
    }

    private function beats(int $unmet, int $moved, float $cost, float $amount): bool
    {
        if ($unmet !== $this->bestUnmet) {
            return $unmet < $this->bestUnmet;
        }
        if ($moved !== $this->bestMoved) {
            return $moved < $this->bestMoved;
        }
        $noise = 1e-12 * max($cost, $this->bestCost === INF ? 0.0 : $this->bestCost) + 1e-18;
        if (abs($cost - $this->bestCost) > $noise) {
            return $cost < $this->bestCost;
        }

        return $amount < $this->bestAmount - 1e-12 * $this->bestAmount;
    }

    /**
     * @param array<int, float> $at the rows as the adjusters before j leave them
     * @param array<int, int> $positions
     */
    private function go(int $j, array $at, array $positions, int $moved, float $amount, int $moves): void
    {
        if ($this->nodesLeft-- <= 0) {
            $this->cut = true;

            return;
        }
        [$unmet, $cost] = $this->bound($j, $at);
        if (! $this->beats($unmet, $moves, $cost, $amount)) {
            return;
        }
        $left = count($this->reach) - $j;
        if ($left === 0) {
            $this->keep($positions, $unmet, $moved, $cost, $amount);

            return;
        }
        // An adjuster is moved before it is left alone, so that between equal answers the earlier one moves.
        [$from, $to] = $moved === $moves ? [0, 0] : $this->reach[$j];
        for ($k = 1, $most = max($to, -$from); $k <= $most && ! $this->cut; $k++) {
            foreach ([$k, -$k] as $position) {
                if ($position < $from || $position > $to) {
                    continue;
                }
                $next = $at;
                foreach ($this->effect[$j] as $r => $effect) {
                    $next[$r] += $effect * $position;
                }
                $positions[$j] = $position;
                $this->go($j + 1, $next, $positions, $moved + 1, $amount + $k * $this->step[$j], $moves);
            }
        }
        if ($moved + $left > $moves) {
            $this->go($j + 1, $at, array_replace($positions, [$j => 0]), $moved, $amount, $moves);
        }
    }

    /** @param array<int, int> $positions */
    private function keep(array $positions, int $unmet, int $moved, float $cost, float $amount): void
    {
        $this->best = array_values($positions);
        $this->bestUnmet = $unmet;
        $this->bestMoved = $moved;
        $this->bestCost = $cost;
        $this->bestAmount = $amount;
    }

    /** Coordinate descent from the best so far, for a search that was cut short. */
    private function improve(): void
    {
        $n = count($this->reach);
        for ($round = 0; $round < 50; $round++) {
            $before = $this->best;
            for ($j = 0; $j < $n; $j++) {
                [$from, $to] = $this->reach[$j];
                $stride = max(1, intdiv($to - $from, 2000));
                for ($k = $from; $k <= $to; $k += $stride) {
                    $this->tryOut(array_replace($this->best, [$j => $k]));
                }
            }
            if ($this->best === $before) {
                return;
            }
        }
    }

    /** @param array<int, int> $positions */
    private function tryOut(array $positions): void
    {
        $at = $this->start;
        $moved = 0;
        $amount = 0.0;
        foreach ($positions as $j => $position) {
            $moved += $position === 0 ? 0 : 1;
            $amount += abs($position) * $this->step[$j];
            foreach ($this->effect[$j] as $r => $effect) {
                $at[$r] += $effect * $position;
            }
        }
        [$unmet, $cost] = $this->bound(count($this->reach), $at);
        if ($this->beats($unmet, $moved, $cost, $amount)) {
            $this->keep($positions, $unmet, $moved, $cost, $amount);
        }
    }
}
