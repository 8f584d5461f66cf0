<?php

declare(strict_types=1);

namespace App\Visits\Show\Season;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Fleet;
use App\Fleet\Show\DuePage;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\Season\Laid\LaidVisit;
use Jorvel\Core\Visits\Season\SeasonGiven;

/** What a season is laid on: what the fleet needs, where it can be done, and the visits that are kept already. */
final readonly class SeasonGround
{
    /**
     * @param Collection<string, DuePage> $pages by mark
     * @param array<string, SeasonLine> $lines by id
     * @param SeasonGiven $given with no visits that stand: those are laid
     * @param array<string, Visit> $kept visits that are kept, by `visit-<id>`
     * @param array<string, list<string>> $holds lines that a kept visit has cards for, likewise
     * @param list<LaidVisit> $laid every visit as it is laid, the kept ones too
     * @param list<LaidVisit> $gone kept visits of which nothing is left as it is laid: they are given up
     * @param array<string, array{title: string, pinned: bool}> $says by visit
     * @param list<array{fleet: Fleet, aircraft: list<string>, needs: int|null}> $fleets how many of each must be left
     *   for its flying; null where it has no task
     */
    public function __construct(
        public Day $today,
        public int $days,
        public Collection $pages,
        public array $lines,
        public SeasonPlaces $places,
        public SeasonGiven $given,
        public array $kept,
        public array $holds,
        public array $laid,
        public array $gone,
        public array $says,
        public array $fleets,
    ) {}

    public function aircraft(string $mark): Aircraft
    {
        return $this->pages[$mark]->aircraft;
    }

    /** @return list<string> ids of the visits that stay where they are */
    public function pinned(): array
    {
        return array_map(strval(...), array_keys(array_filter(
            $this->says,
            static fn(array $s): bool => $s['pinned'],
        )));
    }
}
