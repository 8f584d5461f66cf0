<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

/** A card to be worked without a break, as the planner sees it. */
final readonly class PlanCard
{
    /**
     * @param int $hours whole slots, at least 1
     * @param array<string, int> $needs people of each skill
     * @param list<int> $after places of the cards it waits for
     * @param array<string, string> $state of the aircraft that it needs; indifferent to what it does not name
     * @param int $earliest slot, from 0
     * @param bool $first placed before all others, with what it waits for, at the first slot that takes it, and kept
     *   there
     */
    public function __construct(
        public string $id,
        public int $hours,
        public array $needs,
        public array $after,
        public ?string $zone,
        public int $peopleInZone,
        public array $state,
        public int $earliest,
        public bool $first = false,
    ) {}
}
