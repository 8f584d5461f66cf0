<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use function array_filter;
use function array_sum;
use function array_values;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Near;

use function max;

/** A day's flying, as it was entered, beside what is known of the aircraft on that day. */
final readonly class FlyingDay
{
    /**
     * @param array<string, float> $flown by counter
     * @param Day $known the last day that is counted
     * @param array<string, float> $before what the day has already, by counter; empty where it has no entry
     * @param array<string, float> $planned what the day was to fly, by counter
     * @param array<string, float> $mean a usual day, by counter
     * @param list<VisitSpan> $visits in which the aircraft stands or is going to stand
     * @param list<Day> $devices on which each device that is still on it was fitted
     */
    public function __construct(
        public Day $date,
        public array $flown,
        public Day $known,
        public array $before = [],
        public array $planned = [],
        public array $mean = [],
        public array $visits = [],
        public array $devices = [],
    ) {}

    /**
     * What to ask of it before it is counted, in the order of the enum. A day without flying may only be a gap, again
     * or unfinished.
     *
     * @param float $far a day is far off when it has more than so many times what was planned, and more than so many
     *   times a usual day
     *
     * @return list<FlyingDoubt>
     *
     * @pure
     */
    public function doubts(Day $today, float $far): array
    {
        $flew = array_sum($this->flown) > 0;

        return array_values(array_filter([
            $this->date->number > $this->known->number + 1 ? FlyingDoubt::Gap : null,
            $this->before !== [] ? FlyingDoubt::Again : null,
            $this->date->number === $today->number ? FlyingDoubt::Unfinished : null,
            $flew && $this->farOff($far) ? FlyingDoubt::Far : null,
            $flew && $this->visit() !== null ? FlyingDoubt::InVisit : null,
            $flew && $this->fitted() !== [] ? FlyingDoubt::Devices : null,
        ]));
    }

    /** Days between the last one counted and this one. @pure */
    public function passedOver(): int
    {
        return max(0, $this->date->number - $this->known->number - 1);
    }

    /** The visit in which it stands on the day; null when there is none. @pure */
    public function visit(): ?VisitSpan
    {
        return array_values(array_filter($this->visits, fn(VisitSpan $v): bool => $v->stands($this->date)))[0] ?? null;
    }

    /** @return list<Day> the days on which devices were fitted that were on it on that day @pure */
    public function fitted(): array
    {
        return array_values(array_filter(
            $this->devices,
            fn(Day $fitted): bool => $fitted->number < $this->date->number,
        ));
    }

    /** The whole day's amount of a counter, with what it had already. @pure */
    public function whole(string $counter): float
    {
        return ($this->flown[$counter] ?? 0.0) + ($this->before[$counter] ?? 0.0);
    }

    private function farOff(float $far): bool
    {
        foreach ($this->flown as $counter => $_) {
            $usual = max($this->planned[$counter] ?? 0.0, $this->mean[$counter] ?? 0.0);
            if ($usual > 0 && ! Near::atMost($this->whole($counter), $far * $usual)) {
                return true;
            }
        }

        return false;
    }
}
