<?php

declare(strict_types=1);

namespace App\Visits\Do;

use Jorvel\Core\Shared\Day;

/** A visit that somebody wants made. */
final readonly class NewVisit
{
    /**
     * @param list<string> $keys of due rows: "12" for item 12, "12:7" for item 12 of component 7
     * @param Day|null $asked the day on which it is asked for; today where null
     */
    public function __construct(
        public string $mark,
        public string $title,
        public string $bay,
        public Day $start,
        public Day $end,
        public array $keys,
        public ?Day $asked = null,
    ) {}
}
