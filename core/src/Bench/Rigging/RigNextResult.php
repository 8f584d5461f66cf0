<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

/** What to turn next, what should then be read, and what was learned on the way. */
final readonly class RigNextResult
{
    /**
     * @param list<Adjuster> $adjusters
     * @param list<float> $amounts signed, by adjuster
     * @param list<ReadPoint> $points
     * @param list<Belief> $beliefs by point
     * @param list<array{float, float}> $readings mean and variance of the next one, by point
     * @param list<float> $chance that the next reading of a point is within its limits
     * @param float $pWithin that all are
     * @param list<string> $unmet points, then matches as `a=b`, that will more likely not hold
     * @param list<string> $recheck points on which a moved adjuster has an effect
     * @param list<array{run: int, point: string, z: float}> $doubt readings that do not fit what was foretold
     * @param list<string> $atStop adjusters whose stop is in the way
     * @param array<string, array<string, Effect>> $given effects, as they were given
     * @param bool $proven whether nothing better exists
     */
    public function __construct(
        public RigVerdict $verdict,
        private array $adjusters,
        public array $amounts,
        private array $points,
        private array $beliefs,
        private array $readings,
        public array $chance,
        public float $pWithin,
        public array $unmet,
        public array $recheck,
        public array $doubt,
        public array $atStop,
        private array $given,
        public bool $proven,
    ) {}

    /** @return list<array{adjuster: string, amount: float, direction: Turn}> amounts above 0 @pure */
    public function moves(): array
    {
        $moves = [];
        foreach ($this->adjusters as $j => $adjuster) {
            if ($this->amounts[$j] !== 0.0) {
                $moves[] = [
                    'adjuster' => $adjuster->id, 'amount' => abs($this->amounts[$j]),
                    'direction' => $adjuster->direction($this->amounts[$j]),
                ];
            }
        }

        return $moves;
    }

    /** @return array<string, array{mean: float, sd: float}> the next reading of each point @pure */
    public function predicted(): array
    {
        $out = [];
        foreach ($this->points as $i => $point) {
            $out[$point->id] = ['mean' => $this->readings[$i][0], 'sd' => sqrt($this->readings[$i][1])];
        }

        return $out;
    }

    /** @return array<string, array{mean: float, sd: float}> the true value of each point as things stand @pure */
    public function now(): array
    {
        $out = [];
        foreach ($this->points as $i => $point) {
            $out[$point->id] = ['mean' => $this->beliefs[$i]->mean[0], 'sd' => $this->beliefs[$i]->sd(0)];
        }

        return $out;
    }

    /** @return array<string, array<string, array{mean: float, sd: float}>> every effect that was given @pure */
    public function learned(): array
    {
        $adjusters = array_flip(array_map(static fn(Adjuster $a): string => $a->id, $this->adjusters));
        $points = array_flip(array_map(static fn(ReadPoint $p): string => $p->id, $this->points));
        $out = [];
        foreach ($this->given as $adjuster => $row) {
            $out[$adjuster] = [];
            foreach (array_keys($row) as $point) {
                $belief = $this->beliefs[$points[$point]];
                $j = $adjusters[$adjuster] + 1;
                $out[$adjuster][$point] = ['mean' => $belief->mean[$j], 'sd' => $belief->sd($j)];
            }
        }

        return $out;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'verdict' => $this->verdict->value,
            'moves' => array_map(
                static fn(array $m): array => [...$m, 'direction' => $m['direction']->value],
                $this->moves(),
            ),
            'predicted' => (object) $this->predicted(),
            'chance' => (object) array_combine(
                array_map(static fn(ReadPoint $p): string => $p->id, $this->points),
                $this->chance,
            ),
            'p_within' => $this->pWithin,
            'unmet' => $this->unmet,
            'recheck' => $this->recheck,
            'doubt' => $this->doubt,
            'at_stop' => $this->atStop,
            'now' => (object) $this->now(),
            'learned' => (object) array_map(static fn(array $row): object => (object) $row, $this->learned()),
            'proven' => $this->proven,
        ];
    }
}
