<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Fleet\InTime;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** A due item that wants a visit. */
final readonly class PackItem
{
    /** @param list<string> $panels */
    private function __construct(
        public string $id,
        public Day $earliest,
        public Day $latest,
        public float $interval,
        public float $hours,
        public array $panels,
        public float $value,
    ) {}

    /**
     * @param Day $earliest it may be done from here on
     * @param Day $latest it must be done by then
     * @param float $interval in days, above 0; what doing it early throws away is measured by it
     * @param float $hours of work, without its panels
     * @param list<string> $panels to be opened
     * @param float $value of having it placed, at least 0
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(
        string $id,
        Day $earliest,
        Day $latest,
        float $interval,
        float $hours,
        array $panels = [],
        float $value = 1.0,
    ): self {
        if ($latest->number < $earliest->number) {
            throw InputError::at('', "must be done by {$latest}, before it may be, on {$earliest}");
        }

        return new self($id, $earliest, $latest, $interval, $hours, $panels, $value);
    }

    /** Whether a visit begins in its window: in time is judged by the first day. @pure */
    public function fits(PackVisit $visit): bool
    {
        return $this->begins($visit->start);
    }

    /** The same of the day on which a visit begins. @pure */
    public function begins(Day $start): bool
    {
        return $start->number >= $this->earliest->number && InTime::begins($start, $this->latest);
    }

    /** The life thrown away by doing it at a visit, worth its value. @pure */
    public function waste(PackVisit $visit): float
    {
        return $this->value * $visit->start->daysUntil($this->latest) / $this->interval;
    }
}
