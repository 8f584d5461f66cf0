<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\VisitExit;
use Jorvel\Core\Visits\VisitProgress;
use Jorvel\Core\Visits\WorkHours;

/** A visit as it stands: its days, its cards with their plan, what was found in it, and the hours it has. */
final readonly class VisitNow
{
    /**
     * @param Instant $must by which the aircraft must have left
     * @param list<CardInVisit> $cards
     * @param list<FoundNow> $findings
     * @param WorkHours $hours from its first day on
     * @param string|null $problem why there is no plan
     */
    public function __construct(
        public string $id,
        public VisitProgress $state,
        public Day $start,
        public Day $end,
        public Instant $must,
        public array $cards,
        public array $findings,
        public WorkHours $hours,
        public ?string $problem,
    ) {}

    /** When its last card is worked, or planned to be; null while one is not planned. @pure */
    public function exit(): ?Instant
    {
        return VisitExit::of(array_map(static fn(CardInVisit $c): ?Instant => $c->to(), $this->cards));
    }
}
