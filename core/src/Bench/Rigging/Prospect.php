<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\Normal;

/**
 * How the next readings look for any choice of turns: each point's own probability of lying within its limits, each
 * match's of holding, and that of all of them, taken as independent.
 */
final readonly class Prospect
{
    /**
     * @param list<ReadPoint> $points
     * @param list<Belief> $beliefs by point
     * @param list<array{int, int, float}> $matches numbers of two points, and how near they must be
     * @param list<float>|null $fixed variances of the next readings whatever is turned; null where they follow it
     */
    public function __construct(
        public array $points,
        public array $beliefs,
        public array $matches,
        public ?array $fixed = null,
    ) {}

    /** The same, with the doubt about a long turn left out. @pure */
    public function withoutDoubtOfTurns(): self
    {
        $still = [];
        foreach ($this->points as $i => $point) {
            $still[] = $this->beliefs[$i]->cov[0][0] + $point->noise ** 2;
        }

        return new self($this->points, $this->beliefs, $this->matches, $still);
    }

    /**
     * The next readings: mean and variance of each, noise included.
     *
     * @param list<float> $amounts by adjuster
     *
     * @return list<array{float, float}>
     *
     * @pure
     */
    public function readings(array $amounts): array
    {
        $out = [];
        foreach ($this->points as $i => $point) {
            $belief = $this->beliefs[$i];
            $out[] = [
                $belief->foretold($amounts),
                $this->fixed[$i] ?? $belief->variance($amounts) + $point->noise ** 2,
            ];
        }

        return $out;
    }

    /** ln of the probability that one point lies within its limits. @pure */
    public function point(int $i, float $mean, float $variance): float
    {
        return Normal::logBetween($mean, sqrt($variance), $this->points[$i]->min, $this->points[$i]->max);
    }

    /**
     * ln of the probability that a match holds.
     *
     * @param list<array{float, float}> $readings
     *
     * @pure
     */
    public function match(int $m, array $readings): float
    {
        [$a, $b, $within] = $this->matches[$m];

        return Normal::logBetween(
            $readings[$a][0] - $readings[$b][0],
            sqrt($readings[$a][1] + $readings[$b][1]),
            -$within,
            $within,
        );
    }

    /**
     * ln of the probability that everything is within; cut short, and then only an upper bound, once it is below what
     * is of use.
     *
     * @param list<array{float, float}> $readings
     *
     * @pure
     */
    public function all(array $readings, float $least = -INF): float
    {
        $sum = 0.0;
        foreach ($readings as $i => [$mean, $variance]) {
            $sum += $this->point($i, $mean, $variance);
            if ($sum < $least) {
                return $sum;
            }
        }
        foreach (array_keys($this->matches) as $m) {
            $sum += $this->match($m, $readings);
            if ($sum < $least) {
                return $sum;
            }
        }

        return $sum;
    }

    /**
     * Σ over points ((mean − middle) ÷ half band)².
     *
     * @param list<array{float, float}> $readings
     *
     * @pure
     */
    public function off(array $readings): float
    {
        $sum = 0.0;
        foreach ($this->points as $i => $point) {
            $sum += (($readings[$i][0] - $point->middle()) / (($point->max - $point->min) / 2)) ** 2;
        }

        return $sum;
    }
}
