<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Visits\PackItem;

/** A due item, and the aircraft whose visit it wants. */
final readonly class SeasonItem
{
    private function __construct(
        public string $aircraft,
        public PackItem $is,
        public bool $roof,
        public ?Day $wish,
        public float $pull,
        public ?string $after,
        public int $grace,
        public ?Day $holds = null,
        public bool $wash = false,
    ) {}

    /**
     * @param PackItem $is with an interval and a value above 0, and hours of at least 0
     * @param bool $roof it is not worked outside
     * @param Day|null $wish on which its visit had best begin: its aircraft's place on the line of a phased fleet
     * @param float $pull hours that each day away from there costs, at least 0
     * @param string|null $after the time before, of an item that comes again: due an interval after that begins
     * @param int $grace days after its last one that a tolerance allows: nothing is planned into them, by hand it may
     * @param bool $wash it may be worked at a wash place
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(
        string $aircraft,
        PackItem $is,
        bool $roof = false,
        ?Day $wish = null,
        float $pull = 0.0,
        ?string $after = null,
        int $grace = 0,
        bool $wash = false,
    ): self {
        if (! ($pull >= 0)) {
            throw InputError::negative('wish.hours');
        }
        foreach (['interval_days' => $is->interval, 'value' => $is->value] as $field => $value) {
            if (! ($value > 0)) {
                throw InputError::notPositive($field);
            }
        }

        return $is->hours >= 0
            ? new self($aircraft, $is, $roof, $wish, $pull, $after, $grace, wash: $wash)
            : throw InputError::negative('hours');
    }

    /**
     * The same with another window.
     *
     * @param Day|null $holds before which it may not be done, or a time after it that stays would be overdue; what
     *   brings it forward does not bring it before that
     *
     * @throws InputError where it has no day
     *
     * @pure
     */
    public function between(Day $earliest, Day $latest, ?Day $holds = null): self
    {
        return new self($this->aircraft, PackItem::of(
            $this->is->id,
            $earliest,
            $latest,
            $this->is->interval,
            $this->is->hours,
            $this->is->panels,
            $this->is->value,
        ), $this->roof, $this->wish, $this->pull, $this->after, $this->grace, $holds ?? $this->holds, $this->wash);
    }

    /**
     * Hours of its work that are thrown away where a visit begins on a day.
     *
     * @param Day|null $latest its last day, where the time before brings it forward
     *
     * @pure
     */
    public function early(Day $start, ?Day $latest = null): float
    {
        return $this->is->hours * max(0, $start->daysUntil($latest ?? $this->is->latest)) / $this->is->interval;
    }

    /** Hours that it costs to begin on another day than is wished. @pure */
    public function away(Day $start): float
    {
        return $this->wish === null ? 0.0 : $this->pull * abs($start->daysUntil($this->wish));
    }
}
