<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use function count;

/**
 * A phased fleet against its straight line: sorted by hours left, the r-th of n (from 0) should have interval × (n − r
 * − ½) / n, so that the line runs from full to nought and phases come one after another.
 */
final readonly class StaggerLine
{
    /**
     * @param list<array{string, float, float}> $places id, hours left, where the line is; from the head down
     */
    private function __construct(public array $places, private float $interval) {}

    /**
     * @param array<array-key, float> $left by id, in the order of the places, the head first
     * @param float $interval hours from one phase to the next
     *
     * @pure
     */
    public static function through(array $left, float $interval): self
    {
        $places = [];
        $n = count($left);
        $rank = 0;
        foreach ($left as $id => $hours) {
            $places[] = [(string) $id, $hours, $interval * ($n - $rank++ - 0.5) / $n];
        }

        return new self($places, $interval);
    }

    /**
     * Whether an aircraft so far from the line still keeps its own place: it is nearer to it than to a neighbour's.
     *
     * @pure
     */
    public function keepsPlace(float $distance): bool
    {
        return abs($distance) <= $this->interval / max(1, count($this->places)) / 2;
    }

    /**
     * How far the fleet is from its line: the root of the mean square of the distances, in hours.
     *
     * @pure
     */
    public function spread(): float
    {
        return $this->places === [] ? 0.0 : sqrt(array_sum(array_map(
            static fn(array $p): float => ($p[1] - $p[2]) ** 2,
            $this->places,
        )) / count($this->places));
    }
}
