<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

/** A shift's hours in local time, within one day: `06:00` to `14:00`. */
final readonly class Shift
{
    public function __construct(public string $from, public string $until) {}

    /** How long it is, in hours. @pure */
    public function hours(): float
    {
        return $this->within('00:00', '24:00');
    }

    /** Hours of it between two times of the day. @pure */
    public function within(string $from, string $until): float
    {
        $minutes = static fn(string $at): int => 60 * (int) substr($at, 0, 2) + (int) substr($at, 3, 2);

        return max(0, $minutes(min($until, $this->until)) - $minutes(max($from, $this->from))) / 60;
    }
}
