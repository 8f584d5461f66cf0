<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

/** A check cut into phases. */
final readonly class PhaseResult
{
    /**
     * @param list<array{items: list<string>, hours: float, access_hours: float}> $phases
     * @param float $lowerBound no cut has a shorter longest phase
     * @param bool $proven no cut is better, in the longest phase or in the total
     */
    public function __construct(public array $phases, public float $lowerBound, public bool $proven) {}

    /** @return list<float> */
    public function totals(): array
    {
        return array_map(static fn(array $p): float => $p['hours'] + $p['access_hours'], $this->phases);
    }

    public function longest(): float
    {
        return max([0.0, ...$this->totals()]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'phases' => array_map(
                static fn(array $p): array => [...$p, 'total' => $p['hours'] + $p['access_hours']],
                $this->phases,
            ),
            'longest' => $this->longest(),
            'total' => (float) array_sum($this->totals()),
            'lower_bound' => $this->lowerBound,
            'proven' => $this->proven,
        ];
    }
}
