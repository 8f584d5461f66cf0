<?php

declare(strict_types=1);

namespace App\Visits\Show\Season;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\Season\SeasonItem;

/** What an aircraft needs in a season, with its words. */
final readonly class SeasonLine
{
    /**
     * @param string $key due row, or `deferral:<id>`
     * @param int $n how often it came before in the season
     * @param array<string, int> $needs people at once on its card, by skill
     * @param string|null $waits part that is not there
     * @param Day|null $comes when that is expected: nothing is proposed before
     */
    public function __construct(
        public SeasonItem $item,
        public string $key,
        public int $n,
        public string $code,
        public string $title,
        public array $needs = [],
        public ?string $waits = null,
        public ?Day $comes = null,
    ) {}

    public function id(): string
    {
        return $this->item->is->id;
    }

    public function deferral(): ?int
    {
        return str_starts_with($this->key, 'deferral:') ? (int) substr($this->key, 9) : null;
    }
}
