<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/** Two points that must read alike: |a − b| ≤ within. */
final readonly class RigMatch
{
    private function __construct(public string $a, public string $b, public float $within) {}

    /**
     * @throws InputError
     *
     * @pure
     */
    public static function of(string $a, string $b, float $within): self
    {
        if ($a === $b) {
            throw InputError::at('points', 'must be two different points');
        }
        if (! ($within >= 0)) {
            throw InputError::negative('within');
        }

        return new self($a, $b, $within);
    }

    /** @pure */
    public function holds(float $a, float $b): bool
    {
        return Near::atMost(abs($a - $b), $this->within);
    }

    public function name(): string
    {
        return $this->a.'='.$this->b;
    }
}
