<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Near;
use Jorvel\Core\Shared\Normal;

/**
 * The search behind {@see RigNext}: every combination of positions while there are not too many, else the best that
 * ascent along one adjuster and along two finds from several starts, and then with one adjuster less and less.
 */
final class NextSearch
{
    /** Up to so many combinations every one is looked at. */
    private const EXACT = 100_000;

    /** Below this probability, doubt about a long turn is no reason for it. */
    private const HOPELESS = 1e-3;

    /** Starts of the bounded search. */
    private const STARTS = 6;

    private float $most = -INF;

    /** @var list<array{list<float>, float}> amounts and ln p of those that may be the best */
    private array $kept = [];

    /** @var list<list<float>> amounts that an adjuster may be moved by, none first, then by size */
    private array $free;

    private float $combinations = 1.0;

    /**
     * @param list<Adjuster> $adjusters
     * @param list<float> $past what each was moved so far
     */
    public function __construct(private Prospect $prospect, array $adjusters, array $past, private Deadline $deadline)
    {
        $this->free = [];
        foreach ($adjusters as $j => $adjuster) {
            $amounts = [0.0];
            $up = max(0, Near::floor(($adjuster->max - $past[$j]) / $adjuster->step));
            $down = max(0, Near::floor(($past[$j] - $adjuster->min) / $adjuster->step));
            for ($k = 1; $k <= max($up, $down); $k++) {
                if ($k <= $up) {
                    $amounts[] = $k * $adjuster->step;
                }
                if ($k <= $down) {
                    $amounts[] = -$k * $adjuster->step;
                }
            }
            $this->free[] = $amounts;
            $this->combinations *= count($amounts);
        }
    }

    /** Whether every combination is looked at. @pure */
    public function exact(): bool
    {
        return $this->combinations <= self::EXACT;
    }

    /** @return array{Choice, Prospect} the best, and as what it was looked at */
    public function best(): array
    {
        $best = $this->run();
        if (exp($this->most) < self::HOPELESS) {
            $this->prospect = $this->prospect->withoutDoubtOfTurns();
            $this->most = -INF;
            $this->kept = [];
            $best = $this->run();
        }

        return [$best, $this->prospect];
    }

    private function run(): Choice
    {
        if ($this->exact()) {
            $this->each();
        } else {
            $this->climb();
        }
        $least = $this->most + log(Choice::SHARE);
        $choices = [];
        foreach ($this->kept as [$amounts, $log]) {
            if ($log >= $least) {
                $choices[] = new Choice($amounts, $log, $this->prospect->off($this->prospect->readings($amounts)));
            }
        }
        assert($choices !== []);

        return Choice::best($choices);
    }

    /** @param list<float> $amounts */
    private function keep(array $amounts, float $log): void
    {
        if ($log > $this->most) {
            $this->most = $log;
        }
        if ($log >= $this->most + log(Choice::SHARE)) {
            $this->kept[] = [$amounts, $log];
        }
    }

    /** @param list<float> $amounts */
    private function log(array $amounts, float $least = -INF): float
    {
        return $this->prospect->all($this->prospect->readings($amounts), $least);
    }

    /** Every combination; the mean and the variance of each point go along. */
    private function each(): void
    {
        $mean = $variance = $with = [];
        foreach ($this->prospect->points as $i => $point) {
            $belief = $this->prospect->beliefs[$i];
            $mean[] = $belief->mean[0];
            $variance[] = $this->prospect->fixed[$i] ?? $belief->cov[0][0] + $point->noise ** 2;
            $with[] = array_slice($belief->cov[0], 1);
        }
        $this->climbFrom(array_fill(0, count($this->free), 0.0), array_keys($this->free));
        $this->kept = [];
        $this->go(0, [], $mean, $variance, $with);
    }

    /**
     * @param array<int, float> $amounts of the adjusters before
     * @param array<int, float> $mean by point
     * @param array<int, float> $variance by point
     * @param array<int, array<int, float>> $with by point: covariance of its value, as turned so far, with each effect
     */
    private function go(int $j, array $amounts, array $mean, array $variance, array $with): void
    {
        if ($j === count($this->free)) {
            $log = $this->at($mean, $variance);
            if ($log >= $this->most + log(Choice::SHARE)) {
                $this->keep(array_values($amounts), $log);
            }

            return;
        }
        $follows = $this->prospect->fixed === null;
        foreach ($this->free[$j] as $amount) {
            $amounts[$j] = $amount;
            if ($amount === 0.0) {
                $this->go($j + 1, $amounts, $mean, $variance, $with);

                continue;
            }
            $nextMean = $mean;
            $nextVariance = $variance;
            $nextWith = $with;
            foreach ($this->prospect->beliefs as $i => $belief) {
                $nextMean[$i] += $amount * $belief->mean[$j + 1];
                if ($follows) {
                    $row = $belief->cov[$j + 1];
                    $nextVariance[$i] += $amount * (2 * $with[$i][$j] + $amount * $row[$j + 1]);
                    for ($k = $j + 1, $n = count($this->free); $k < $n; $k++) {
                        $nextWith[$i][$k] += $amount * $row[$k + 1];
                    }
                }
            }
            $this->go($j + 1, $amounts, $nextMean, $nextVariance, $nextWith);
        }
    }

    /**
     * ln p, or something below what is of use.
     *
     * @param array<int, float> $mean
     * @param array<int, float> $variance
     */
    private function at(array $mean, array $variance): float
    {
        $least = $this->most + log(Choice::SHARE);
        $sum = 0.0;
        foreach ($this->prospect->points as $i => $point) {
            // Noise keeps a variance above nought; rounding of a long sum might not.
            $floor = $point->noise ** 2;
            $variance[$i] = $variance[$i] < $floor ? $floor : $variance[$i];
            $sum += Normal::logBetween($mean[$i], sqrt($variance[$i]), $point->min, $point->max);
            if ($sum < $least) {
                return -INF;
            }
        }
        foreach ($this->prospect->matches as [$a, $b, $within]) {
            $sum += Normal::logBetween(
                $mean[$a] - $mean[$b],
                sqrt($variance[$a] + $variance[$b]),
                -$within,
                $within,
            );
        }

        return $sum;
    }

    /** From several starts, and then with fewer adjusters. */
    private function climb(): void
    {
        $all = array_keys($this->free);
        $still = array_fill(0, count($all), 0.0);
        $best = $this->climbFrom($still, $all);
        for ($s = 1; $s < self::STARTS && ! $this->deadline->passed(); $s++) {
            $start = array_map(
                static fn(array $amounts, int $j): float => $amounts[(7 * $s + 3 * $j) % count($amounts)],
                $this->free,
                $all,
            );
            $other = $this->climbFrom($start, $all);
            $best = $other[1] > $best[1] ? $other : $best;
        }
        for ($used = array_keys(array_filter($best[0])); $used !== [] && ! $this->deadline->passed();) {
            $next = null;
            foreach ($used as $drop) {
                $left = array_values(array_diff($used, [$drop]));
                $found = $this->climbFrom(array_replace($best[0], [$drop => 0.0]), $left);
                $next = $next === null || $found[1] > $next[1] ? $found : $next;
            }
            if ($next[1] < $this->most + log(Choice::SHARE)) {
                return;
            }
            $best = $next;
            $used = array_keys(array_filter($best[0]));
        }
    }

    /**
     * The top that is reached by moving one adjuster at a time to its best position, then two by a step.
     *
     * @param array<int, float> $amounts
     * @param list<int> $free which may be moved
     *
     * @return array{list<float>, float}
     */
    private function climbFrom(array $amounts, array $free): array
    {
        $amounts = array_values($amounts);
        $log = $this->log($amounts);
        $this->keep($amounts, $log);
        do {
            $before = $log;
            foreach ($free as $j) {
                foreach ($this->deadline->passed() ? [] : $this->free[$j] as $amount) {
                    [$amounts, $log] = $this->better($amounts, $log, [$j => $amount]);
                }
            }
            foreach ($free as $j) {
                foreach ($free as $k) {
                    if ($k <= $j || $this->deadline->passed()) {
                        continue;
                    }
                    foreach ($this->near($j, $amounts[$j]) as $a) {
                        foreach ($this->near($k, $amounts[$k]) as $b) {
                            [$amounts, $log] = $this->better($amounts, $log, [$j => $a, $k => $b]);
                        }
                    }
                }
            }
        } while ($log > $before && ! $this->deadline->passed());

        return [$amounts, $log];
    }

    /**
     * @param list<float> $amounts
     * @param array<int, float> $change
     *
     * @return array{list<float>, float}
     */
    private function better(array $amounts, float $log, array $change): array
    {
        $next = array_values(array_replace($amounts, $change));
        $is = $this->log($next, min($log, $this->most + log(Choice::SHARE)));
        $this->keep($next, $is);

        return $is > $log ? [$next, $is] : [$amounts, $log];
    }

    /** @return list<float> the positions of an adjuster within two steps of one */
    private function near(int $j, float $amount): array
    {
        $all = $this->free[$j];
        sort($all);
        $at = (int) array_search($amount, $all, true);

        return array_slice($all, max(0, $at - 2), 5);
    }
}
