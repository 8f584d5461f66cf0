<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use function count;

use Jorvel\Core\Shared\Day;

/** When an item falls due, and which of its limits says so. */
final readonly class DueResult
{
    /**
     * @param list<LimitDue> $limits
     * @param LimitDue|null $driver null only for an item without limits
     */
    private function __construct(
        public array $limits,
        public ?LimitDue $driver,
        public ?Day $forecast,
        public ?Day $latest,
        public DueStatus $status,
    ) {}

    /**
     * @param list<LimitDue> $limits
     *
     * @pure
     */
    public static function combine(Rule $rule, array $limits): self
    {
        if (! isset($limits[1]) && isset($limits[0])) {
            return new self($limits, $limits[0], $limits[0]->forecast, $limits[0]->latest, $limits[0]->status);
        }
        if ($limits === []) {
            return new self([], null, null, null, DueStatus::Ok);
        }
        $sign = $rule === Rule::First ? 1 : -1;
        $driver = $limits[0];
        $first = $driver->forecast->number ?? PHP_INT_MAX;
        $latest = $limits[0]->latest->number ?? PHP_INT_MAX;
        $status = $limits[0]->status;
        for ($i = 1, $n = count($limits); $i < $n; $i++) {
            $limit = $limits[$i];
            $number = $limit->forecast->number ?? PHP_INT_MAX;
            if ($sign * ($number <=> $first) < 0) {
                [$driver, $first] = [$limit, $number];
            }
            $number = $limit->latest->number ?? PHP_INT_MAX;
            if ($sign * ($number <=> $latest) < 0) {
                $latest = $number;
            }
            if ($sign * ($limit->status->rank() - $status->rank()) > 0) {
                $status = $limit->status;
            }
        }

        return new self(
            $limits,
            $driver,
            $driver->forecast,
            $latest === PHP_INT_MAX ? null : Day::fromNumber($latest),
            $status,
        );
    }

    /**
     * Whether work that begins on this day would come too late. What is overdue already is not: any day is as late.
     *
     * @pure
     */
    public function missedBy(Day $start): bool
    {
        return $this->status !== DueStatus::Overdue && ! InTime::begins($start, $this->latest);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'limits' => array_map(static fn(LimitDue $l): array => $l->toArray(), $this->limits),
            'driver' => $this->driver?->unit,
            'forecast_date' => $this->forecast === null ? null : (string) $this->forecast,
            'latest_date' => $this->latest === null ? null : (string) $this->latest,
            'status' => $this->status->value,
        ];
    }
}
