<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season\Laid;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Visits\Season\SeasonBay;
use Jorvel\Core\Visits\Season\SeasonFixed;

/** A visit as somebody has laid it: its days, its bay, the items of the season that are in it, what else it holds. */
final readonly class LaidVisit
{
    /**
     * @param list<string> $items
     * @param list<string> $open
     */
    private function __construct(
        public string $id,
        public string $aircraft,
        public string $bay,
        public Day $start,
        public Day $end,
        public array $items,
        public float $own,
        public array $open,
        public bool $roof,
        public bool $stands,
        private int $takes,
    ) {}

    /**
     * @param list<string> $items ids of the season's items, each once
     * @param float $own hours of what else is in it, at least 0
     * @param list<string> $open panels that are open for that anyway
     * @param bool $roof what else is in it is not worked outside
     * @param bool $stands it has begun, and stays where it is
     * @param int $takes days that its cards, as they are planned, are worked on; 0 where they are not planned
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(
        string $id,
        string $aircraft,
        string $bay,
        Day $start,
        Day $end,
        array $items,
        float $own = 0.0,
        array $open = [],
        bool $roof = false,
        bool $stands = false,
        int $takes = 0,
    ): self {
        if ($end->number < $start->number) {
            throw InputError::at('end', "is {$end}, before it begins on {$start}");
        }
        SeasonBay::once('items', $items);

        return $own >= 0
            ? new self($id, $aircraft, $bay, $start, $end, $items, $own, $open, $roof, $stands, max(0, $takes))
            : throw InputError::negative('own');
    }

    /** @pure */
    public function at(string $bay, Day $start, Day $end): self
    {
        return self::of(
            $this->id,
            $this->aircraft,
            $bay,
            $start,
            $end,
            $this->items,
            $this->own,
            $this->open,
            $this->roof,
            $this->stands,
            $this->takes,
        );
    }

    /**
     * With other items; how long its cards take is not known of them.
     *
     * @param list<string> $items
     *
     * @pure
     */
    public function holding(array $items): self
    {
        return self::of(
            $this->id,
            $this->aircraft,
            $this->bay,
            $this->start,
            $this->end,
            $items,
            $this->own,
            $this->open,
            $this->roof,
            $this->stands,
        );
    }

    /**
     * As a visit that stands, for a search beside it.
     *
     * @param LaidSeason $is in which it is judged; one that has begun takes nothing more
     *
     * @pure
     */
    public function standing(LaidSeason $is): SeasonFixed
    {
        return SeasonFixed::of(
            $this->id,
            $this->aircraft,
            $this->bay,
            $this->start,
            $this->end,
            $this->stands ? 0.0 : max(0.0, $is->free[$this->id]),
            $is->hours[$this->id],
        );
    }

    /** @pure */
    public function holds(int $day): bool
    {
        return $this->start->number <= $day && $day <= $this->end->number;
    }

    /** @pure */
    public function days(): int
    {
        return $this->start->daysUntil($this->end) + 1;
    }

    /** The day on which its cards, as they are planned, are all worked, where that is after its last day. @pure */
    public function overruns(): ?Day
    {
        return $this->takes > $this->days() ? $this->start->plusDays($this->takes - 1) : null;
    }

    /** Whether it is where another one is. @pure */
    public function same(self $other): bool
    {
        return [$this->bay, $this->start->number, $this->end->number]
            === [$other->bay, $other->start->number, $other->end->number];
    }
}
