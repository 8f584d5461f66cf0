<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Floor\FindingProgress;
use Jorvel\Core\Shared\Instant;

/** A finding of a visit, from the moment it was raised. */
final readonly class FoundNow
{
    /**
     * @param float|null $fixHours reckoned with; null where nobody has said
     * @param Instant|null $settled when it was fixed or deferred
     */
    public function __construct(
        public string $id,
        public FindingProgress $state,
        public ?float $fixHours,
        public Instant $raised,
        public ?Instant $settled,
    ) {}

    /** Whether it had been raised by an instant. @pure */
    public function raisedBy(Instant $at): bool
    {
        return ! $at->isBefore($this->raised);
    }

    /** Whether it was raised by an instant and not settled by then. @pure */
    public function openAt(Instant $at): bool
    {
        return $this->raisedBy($at) && match (true) {
            $this->settled !== null => $at->isBefore($this->settled),
            default => $this->state === FindingProgress::Open,
        };
    }
}
