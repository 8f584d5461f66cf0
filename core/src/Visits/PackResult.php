<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

/** Due items packed into visits. */
final readonly class PackResult
{
    /**
     * @param list<array{
     *   id: string, items: list<string>, item_hours: float, access_hours: float, free_hours: float,
     * }> $visits
     * @param list<array{id: string, reason: string}> $unplaced
     * @param float $cost life thrown away, and weighted hours of opening panels
     * @param bool $proven no packing places more value, or as much for less
     */
    public function __construct(
        public array $visits,
        public array $unplaced,
        public float $cost,
        public bool $proven,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'visits' => $this->visits,
            'unplaced' => $this->unplaced,
            'cost' => $this->cost,
            'proven' => $this->proven,
        ];
    }
}
