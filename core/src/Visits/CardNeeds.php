<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Shared\Day;

/** What a card needs on the day on which it begins. */
final readonly class CardNeeds
{
    /**
     * @param array<array-key, int> $parts how many, by part number
     * @param list<string> $tools kinds
     * @param array<array-key, int> $people by skill
     */
    public function __construct(
        public string $id,
        public Day $on,
        public array $parts,
        public array $tools,
        public array $people,
    ) {}
}
