<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\Unit;

/** The verdict on a reading, with the reading and its distance to the nearest limit in the limit's unit. */
final readonly class LimitResult
{
    /**
     * @param float|null $margin negative outside
     * @param list<string> $reasons of `cal_expired`, `out_of_instrument_range`, `coarse_instrument`, in this order
     */
    public function __construct(
        public Verdict $verdict,
        public float $value,
        public Unit $unit,
        public ?float $margin,
        public array $reasons,
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'verdict' => $this->verdict->value,
            'value' => $this->value,
            'margin' => $this->margin,
            'reasons' => $this->reasons,
        ];
    }
}
