<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Shared\Day;

/** How far back a system's history is looked at: so many days, and so many flights, whichever reaches further. */
final readonly class Recent
{
    private function __construct(public int $days, public int $flights) {}

    /** Ninety days and thirty flights. */
    public static function usual(): self
    {
        return new self(90, 30);
    }

    /** So many days, and so many flights, both at least 0. */
    public static function within(int $days, int $flights): self
    {
        return new self($days, $flights);
    }

    /**
     * Whether something of a day is still recent.
     *
     * @param int $flown flights since; 0 on the day itself
     *
     * @pure
     */
    public function holds(Day $of, Day $today, int $flown): bool
    {
        return $this->byDays($of, $today) || $this->byFlights($of, $today, $flown);
    }

    /** @pure */
    public function byDays(Day $of, Day $today): bool
    {
        $ago = $of->daysUntil($today);

        return $ago >= 0 && $ago <= $this->days;
    }

    /** @pure */
    public function byFlights(Day $of, Day $today, int $flown): bool
    {
        return $of->number <= $today->number && $flown <= $this->flights;
    }

    /**
     * Whether two places are the same as people write them: case, stops and spaces aside.
     *
     * @pure
     */
    public static function samePlace(string $a, string $b): bool
    {
        return self::plain($a) === self::plain($b);
    }

    private static function plain(string $place): string
    {
        return trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower($place)));
    }
}
