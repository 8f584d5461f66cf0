<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Shared\Day;

/** A line of the due list that a trend gives, with a card that reads the point again. */
final readonly class DueTrend
{
    /**
     * @param string $read what its latest reading was; '' without one
     * @param Day|null $last the last day within its limit; null where it heads for none
     * @param array{string, Day}|null $visit title and first day of the first open one that reads it again
     */
    public function __construct(
        public int $aircraftId,
        public string $key,
        public string $code,
        public string $title,
        public string $chapter,
        public float $hours,
        public string $read,
        public ?int $readingId,
        public ?Day $last,
        public FleetState $state,
        public ?array $visit,
    ) {}
}
