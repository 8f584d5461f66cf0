<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** A bay: how many visits it holds at once, how many hours a day each is worked, and on which days. */
final readonly class SeasonBay
{
    /**
     * @param list<string>|null $fits
     * @param list<int> $weekdays
     * @param list<array{Day, Day}> $closed
     */
    private function __construct(
        public string $id,
        public float $hoursPerDay,
        public int $atOnce,
        private ?array $fits,
        private array $weekdays,
        private array $closed,
        public bool $outside,
        public bool $wash,
    ) {}

    /**
     * @param float $hoursPerDay of work at each visit, above 0
     * @param int $atOnce visits, at least 1
     * @param list<string>|null $fits aircraft; all where null
     * @param list<int> $weekdays ISO, 1 is Monday: days on which there is work
     * @param list<array{Day, Day}> $closed from and to, both included
     * @param bool $outside it has no roof; what is worked there is worked between two days of flying, and counts for no
     *   `down`
     * @param bool $wash a wash place: outside, for washes alone, each within an hour or two of a day on which the
     *   aircraft flies all the same; a visit there costs no day
     *
     * @throws InputError at what is out of its range, the other way round or there twice
     *
     * @pure
     */
    public static function of(
        string $id,
        float $hoursPerDay,
        int $atOnce = 1,
        ?array $fits = null,
        array $weekdays = [1, 2, 3, 4, 5, 6, 7],
        array $closed = [],
        bool $outside = false,
        bool $wash = false,
    ): self {
        if (! ($hoursPerDay > 0)) {
            throw InputError::notPositive('hours_per_day');
        }
        if ($atOnce < 1) {
            throw InputError::at('at_once', 'must be at least 1');
        }
        foreach ($weekdays as $i => $weekday) {
            if ($weekday < 1 || $weekday > 7) {
                throw InputError::at("weekdays.{$i}", 'must be from 1, Monday, to 7, Sunday');
            }
        }
        self::once('weekdays', $weekdays);
        self::once('fits', $fits ?? []);
        foreach ($closed as $i => [$from, $to]) {
            if ($to->number < $from->number) {
                throw InputError::at("closed.{$i}", "ends on {$to}, before it begins on {$from}");
            }
        }

        return new self($id, $hoursPerDay, $atOnce, $fits, $weekdays, $closed, $outside || $wash, $wash);
    }

    /**
     * @param list<int|string> $list
     *
     * @throws InputError at the later of two that are the same
     */
    public static function once(string $field, array $list): void
    {
        foreach ($list as $i => $one) {
            if (array_search($one, $list, true) !== $i) {
                throw InputError::usedTwice("{$field}.{$i}", (string) $one);
            }
        }
    }

    /**
     * Whether work may be done there, wherever it is.
     *
     * @param bool $roof it is not worked outside
     * @param bool $wash it may be worked at a wash place
     *
     * @pure
     */
    public function takes(bool $roof, bool $wash): bool
    {
        return ! ($roof && $this->outside) && ($wash || ! $this->wash);
    }

    /** @pure */
    public function fits(string $aircraft): bool
    {
        return $this->fits === null || in_array($aircraft, $this->fits, true);
    }

    /** The hours that a visit is worked on a day; 0 where there is no work or it is closed. @pure */
    public function hours(Day $day): float
    {
        foreach ($this->closed as [$from, $to]) {
            if ($from->number <= $day->number && $day->number <= $to->number) {
                return 0.0;
            }
        }

        return in_array($day->weekday(), $this->weekdays, true) ? $this->hoursPerDay : 0.0;
    }
}
