<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/** How long a defect may still be carried. */
final readonly class ClockResult
{
    /**
     * @param Instant|null $expiresAt by the calendar alone; null where there is no calendar limit, as the next two
     * @param int|null $daysLeft negative after the end
     * @param array<string, float> $usageLeft by counter
     * @param Day|null $forecastLast the earlier of the calendar's last date and those forecast for usage
     * @param string|null $driver `days` or a counter's name
     * @param string $status `open`, `due_soon` or `expired`
     * @param array<string, Day|null> $lasts the last day by each driver; null where that never comes
     */
    public function __construct(
        public ?Instant $expiresAt,
        public ?Day $lastLocal,
        public ?int $daysLeft,
        public array $usageLeft,
        public ?Day $forecastLast,
        public ?string $driver,
        public string $status,
        public array $lasts = [],
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'expires_at' => $this->expiresAt === null ? null : (string) $this->expiresAt,
            'last_local_date' => $this->lastLocal === null ? null : (string) $this->lastLocal,
            'days_left' => $this->daysLeft,
            'usage_left' => (object) $this->usageLeft,
            'forecast_last_date' => $this->forecastLast === null ? null : (string) $this->forecastLast,
            'driver' => $this->driver,
            'status' => $this->status,
        ];
    }
}
