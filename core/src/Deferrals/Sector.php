<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;

/** A flight from one place to the next, and what it will meet. */
final readonly class Sector
{
    /** @param array<string, bool> $conditions by name, as `icing` */
    private function __construct(
        public string $id,
        public Instant $departs,
        public Instant $arrives,
        public array $conditions,
        public float $hours,
        public float $landings,
    ) {}

    /**
     * @param array<string, bool> $conditions by name: whether it is met on the way
     * @param float $hours flight hours, at least 0
     * @param float $landings at least 0
     *
     * @throws InputError where it arrives before it departs
     *
     * @pure
     */
    public static function of(
        string $id,
        Instant $departs,
        Instant $arrives,
        array $conditions,
        float $hours = 0.0,
        float $landings = 0.0,
    ): self {
        return $arrives->isBefore($departs)
            ? throw InputError::at('', "arrives at {$arrives}, before it departs at {$departs}")
            : new self($id, $departs, $arrives, $conditions, $hours, $landings);
    }

    /** @throws InputError at the condition's name where it is not stated @pure */
    public function meets(string $condition): bool
    {
        return $this->conditions[$condition] ?? throw InputError::missing($condition);
    }
}
