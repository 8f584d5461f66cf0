<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use Jorvel\Core\Shared\Day;

/** Somebody as the rota sees them: when they are at work, and what they hold. */
final readonly class OnRota
{
    /**
     * @param list<string> $skills
     * @param list<int> $weekdays ISO, 1 for Monday
     * @param array<string, string|null> $days by date, the shift worked instead; null on leave
     * @param Day|null $until the last day on which they are there at all; null while nothing is known of an end
     */
    public function __construct(
        public string $shift,
        public array $weekdays,
        public array $skills,
        public Qualified $holds,
        private array $days = [],
        private ?Day $until = null,
    ) {}

    /**
     * The shift they work on a day; null when they are not there.
     *
     * @pure
     */
    public function shiftOn(Day $day): ?string
    {
        if ($this->until !== null && $day->number > $this->until->number) {
            return null;
        }
        $date = (string) $day;
        if (array_key_exists($date, $this->days)) {
            return $this->days[$date];
        }

        return in_array($day->weekday(), $this->weekdays, true) ? $this->shift : null;
    }

    /** @pure */
    public function worksOn(Day $day): bool
    {
        return $this->shiftOn($day) !== null;
    }
}
