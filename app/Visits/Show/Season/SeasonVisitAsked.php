<?php

declare(strict_types=1);

namespace App\Visits\Show\Season;

use App\Shared\Refused;
use App\Visits\Show\View\SeasonLaidView;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Visits\Season\Laid\LaidVisit;

/** A visit of a season as somebody has laid it. */
final readonly class SeasonVisitAsked
{
    /**
     * @param string $id `visit-<id>` of one that is kept; anything else of a new one
     * @param string $bay id of a {@see SeasonPlace}
     * @param list<string> $items ids of {@see SeasonLine}
     * @param float $hours of work that no item of the programme is, of a new one
     */
    public function __construct(
        public string $id,
        public string $mark,
        public string $bay,
        public Day $start,
        public Day $end,
        public array $items,
        public bool $pinned,
        public string $title,
        public float $hours,
    ) {}

    /** @throws Refused where it ends before it begins, or names an item twice */
    public function laid(float $own, bool $stands): LaidVisit
    {
        try {
            return LaidVisit::of(
                $this->id,
                $this->mark,
                $this->bay,
                $this->start,
                $this->end,
                $this->items,
                $own,
                stands: $stands,
            );
        } catch (InputError $e) {
            throw Refused::because("The visit of {$this->mark} from {$this->start}: {$e->getMessage()}. Nothing was "
                .'saved.');
        }
    }

    public static function from(LaidVisit $visit, string $title, bool $pinned): self
    {
        return new self(
            $visit->id,
            $visit->aircraft,
            $visit->bay,
            $visit->start,
            $visit->end,
            $visit->items,
            $pinned,
            $title,
            $visit->own,
        );
    }

    /**
     * @param array{
     *   id: string, mark: string, bay: string, start: string, end: string, items: list<string>, pinned: bool,
     *   title: string, hours: int|float,
     * } $sent as it is sent
     */
    public static function read(array $sent): self
    {
        return new self(
            $sent['id'],
            $sent['mark'],
            $sent['bay'],
            Day::parse($sent['start']),
            Day::parse($sent['end']),
            array_map(strval(...), $sent['items']),
            (bool) $sent['pinned'],
            $sent['title'],
            (float) $sent['hours'],
        );
    }

    /** As it is sent. */
    public function sent(): SeasonLaidView
    {
        return new SeasonLaidView(
            $this->id,
            $this->mark,
            $this->bay,
            (string) $this->start,
            (string) $this->end,
            $this->items,
            $this->pinned,
            $this->title,
            $this->hours,
        );
    }
}
