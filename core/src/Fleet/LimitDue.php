<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/** How one limit of an item stands. Counter limits carry numbers, calendar limits days. */
final readonly class LimitDue
{
    /**
     * @param float|Day $base where the interval started
     * @param float|Day $next the limit itself
     * @param float $remaining to the limit, in its unit (calendar: days); negative beyond it
     * @param float $tolerance in its unit (calendar: days)
     * @param Day|null $forecast the last day within the limit; null beyond the horizon
     * @param Day|null $latest the same with the tolerance added
     */
    public function __construct(
        public string $unit,
        public float|Day $base,
        public float|Day $next,
        public float $remaining,
        public float $tolerance,
        public ?Day $forecast,
        public ?Day $latest,
        public DueStatus $status,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'unit' => $this->unit,
            'base' => $this->base instanceof Day ? (string) $this->base : $this->base,
            'next' => $this->next instanceof Day ? (string) $this->next : $this->next,
            'remaining' => $this->remaining,
            'tolerance' => $this->tolerance,
            'forecast_date' => $this->forecast === null ? null : (string) $this->forecast,
            'latest_date' => $this->latest === null ? null : (string) $this->latest,
            'status' => $this->status->value,
        ];
    }
}
