<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Shared\Day;

/** One thing that a card will lack. */
final readonly class Shortage
{
    /**
     * @param string $code `part_missing`, `part_late`, `tool_out`, `nobody`, `too_few`
     * @param string $what part number, kind of tool, or skill
     * @param Day|null $day when the part comes; until when the last tool of the kind was good; when the people lack
     * @param int $lacking how many
     */
    public function __construct(
        public string $card,
        public string $code,
        public string $what,
        public ?Day $day,
        public int $lacking,
    ) {}
}
