<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

/**
 * What is left, day by day, of the hours of the people that bays share. A visit is worked from its first day on, each
 * day for as long as its bay works, until its hours are done.
 */
final class SeasonHands
{
    private float $cost = 0.0;

    /**
     * @param array<int, list<float>> $work hours by bay and day
     * @param list<list<int>> $crews by bay
     * @param list<float> $over what an hour costs beyond them, by crew
     * @param array<int, array<int, float>> $left by crew and day; INF where there is no bound
     */
    private function __construct(
        private readonly array $work,
        private readonly array $crews,
        private readonly array $over,
        private array $left,
    ) {}

    /**
     * @param array<int, list<float>> $work hours by bay and day
     *
     * @pure
     */
    public static function of(SeasonGiven $is, array $work): self
    {
        return new self(
            $work,
            array_map(static fn(SeasonBay $b): array => array_keys(array_filter(
                $is->people,
                static fn(SeasonPeople $p): bool => in_array($b->id, $p->bays, true),
            )), $is->bays),
            array_map(static fn(SeasonPeople $p): float => $p->over, $is->people),
            array_map(static fn(SeasonPeople $p): array => array_map(
                static fn(int $d): float => $p->hours[$is->from->number + $d] ?? INF,
                range(0, $is->days - 1),
            ), $is->people),
        );
    }

    /** Hours that the work costs for which there are no people. */
    public function cost(): float
    {
        return max(0.0, $this->cost);
    }

    /**
     * How much more that would be with some hours of a visit.
     *
     * @param int $bay in which a visit is
     * @param int $start day from which it is worked, in the span
     * @param int $end its last day in the span
     * @param float $done hours of it that are in the plan already
     * @param float $hours of it with what is asked for
     */
    public function more(int $bay, int $start, int $end, float $done, float $hours): float
    {
        $cost = 0.0;
        foreach ($this->laid($bay, $start, $end, $done, $hours) as $d => $more) {
            foreach ($this->crews[$bay] as $crew) {
                $cost += $this->over[$crew] * max(0.0, $more - max(0.0, $this->left[$crew][$d]));
            }
        }

        return $cost;
    }

    /**
     * Takes the people for some hours of a visit; gives them back where its hours become less.
     *
     * @param float $done hours of it that are in the plan already
     * @param float $hours of it from now on
     */
    public function take(int $bay, int $start, int $end, float $done, float $hours): void
    {
        $by = $done < $hours ? 1 : -1;
        foreach ($this->laid($bay, $start, $end, min($done, $hours), max($done, $hours)) as $d => $more) {
            foreach ($this->crews[$bay] as $crew) {
                $left = $this->left[$crew][$d] - $by * $more;
                $this->cost += $this->over[$crew] * (max(0.0, -$left) - max(0.0, -$this->left[$crew][$d]));
                $this->left[$crew][$d] = $left;
            }
        }
    }

    /**
     * The hours of a visit beyond some that are done, on the days on which they are worked; none in a bay that shares
     * nobody.
     *
     * @return array<int, float> above 0, by day
     */
    private function laid(int $bay, int $start, int $end, float $done, float $hours): array
    {
        $laid = [];
        $sum = 0.0;
        for ($d = $this->crews[$bay] === [] ? $end + 1 : $start; $d <= $end && $sum < $hours; $d++) {
            $day = $this->work[$bay][$d];
            $more = min($hours, $sum + $day) - max($done, $sum);
            if ($more > 0) {
                $laid[$d] = $more;
            }
            $sum += $day;
        }

        return $laid;
    }
}
