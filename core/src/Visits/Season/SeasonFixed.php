<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** A visit that stands already, with hours that are still free in it. */
final readonly class SeasonFixed
{
    private function __construct(
        public string $id,
        public string $aircraft,
        public ?string $bay,
        public Day $start,
        public Day $end,
        public float $free,
        public ?float $hours,
    ) {}

    /**
     * @param string|null $bay that it takes a place of
     * @param float $free hours for further items and their panels, at least 0
     * @param float|null $hours for which it is worked, at least 0; where null, all that its days have beside `free`
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(
        string $id,
        string $aircraft,
        ?string $bay,
        Day $start,
        Day $end,
        float $free,
        ?float $hours = null,
    ): self {
        if ($end->number < $start->number) {
            throw InputError::at('', "ends on {$end}, before it begins on {$start}");
        }

        if (! ($free >= 0)) {
            throw InputError::negative('free_hours');
        }

        return $hours === null || $hours >= 0
            ? new self($id, $aircraft, $bay, $start, $end, $free, $hours)
            : throw InputError::negative('hours');
    }

    /** @pure */
    public function overlaps(self $other): bool
    {
        return $this->start->number <= $other->end->number && $other->start->number <= $this->end->number;
    }

    /** @pure */
    public function holds(int $day): bool
    {
        return $this->start->number <= $day && $day <= $this->end->number;
    }
}
