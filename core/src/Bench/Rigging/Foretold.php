<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

/** What the next readings will probably be once something was turned. */
final readonly class Foretold
{
    /**
     * @param array<string, array{mean: float, sd: float}> $readings by point
     * @param array<string, float> $chance that each is within its limits, by point
     * @param float $pWithin that everything is
     * @param list<string> $unmet points, then matches as `a=b`, that will more likely not hold
     */
    public function __construct(
        public array $readings,
        public array $chance,
        public float $pWithin,
        public array $unmet,
    ) {}
}
