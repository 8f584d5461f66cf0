<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

/** A visit with its items, on days of a bay. */
final readonly class SeasonVisit
{
    /**
     * @param list<int> $items at least one
     * @param array<int, true> $panels that are opened
     * @param float $rate Σ of what a day earlier throws away, hours
     * @param float $due Σ rate × last day
     * @param int $opens the first day on which all of them may begin
     * @param int $closes the last; before `opens` where there is none
     * @param bool $roof it is not worked outside
     * @param bool $wash all of it may be worked at a wash place
     * @param bool $wishes one of its items wishes a day
     */
    private function __construct(
        public int $craft,
        public array $items,
        public array $panels,
        public float $hours,
        public float $access,
        public float $rate,
        public float $due,
        public int $opens,
        public int $closes,
        public bool $roof,
        public bool $wash,
        public bool $wishes,
        public int $bay = -1,
        public int $start = -1,
        public int $end = -1,
    ) {}

    /**
     * Not on any day yet.
     *
     * @param non-empty-list<int> $items of one aircraft
     */
    public static function with(SeasonBoard $board, array $items): self
    {
        $panels = [];
        $hours = $access = $rate = $due = 0.0;
        $opens = 0;
        $roof = $wishes = false;
        $wash = true;
        $closes = $board->days - 1;
        foreach ($items as $i) {
            $hours += $board->hours[$i];
            $rate += $board->rate[$i];
            $due += $board->rate[$i] * $board->due[$i];
            $opens = max($opens, $board->earliest[$i]);
            $closes = min($closes, $board->latest[$i]);
            $roof = $roof || $board->roof[$i];
            $wash = $wash && $board->wash[$i];
            $wishes = $wishes || $board->wishes[$i] !== null;
            foreach ($board->panels[$i] as $p) {
                if (! isset($panels[$p])) {
                    $panels[$p] = true;
                    $access += $board->access[$p];
                }
            }
        }

        return new self(
            $board->craft[$items[0]],
            $items,
            $panels,
            $hours,
            $access,
            $rate,
            $due,
            $opens,
            $closes,
            $roof,
            $wash,
            $wishes,
        );
    }

    public function at(int $bay, int $start, int $end): self
    {
        return new self(
            $this->craft,
            $this->items,
            $this->panels,
            $this->hours,
            $this->access,
            $this->rate,
            $this->due,
            $this->opens,
            $this->closes,
            $this->roof,
            $this->wash,
            $this->wishes,
            $bay,
            $start,
            $end,
        );
    }

    /** Hours of its items and panels. */
    public function total(): float
    {
        return $this->hours + $this->access;
    }

    /** Hours that it costs where it stands. */
    public function cost(SeasonBoard $board): float
    {
        return $this->access + $board->visitWeight + $this->costFrom($board, $this->bay, $this->start, $this->end);
    }

    /** Hours that it costs to stand in a bay from a day to another: what changes where it is moved. */
    public function costFrom(SeasonBoard $board, int $bay, int $start, int $end): float
    {
        $away = 0.0;
        foreach ($this->wishes ? $this->items : [] as $i) {
            $away += $board->away($i, $start);
        }

        return $board->standing($this->craft, $bay, $start, $end) + $this->due - $this->rate * $start + $away;
    }
}
