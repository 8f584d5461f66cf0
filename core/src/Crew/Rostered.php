<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use Jorvel\Core\Shared\Day;

/** Somebody as the roster sees them: when they are at work, and what they hold. */
final readonly class Rostered
{
    /**
     * @param list<string> $skills
     * @param list<int> $weekdays ISO, 1 for Monday
     */
    public function __construct(public string $shift, public array $weekdays, public array $skills, public Qualified $holds) {}

    /** @pure */
    public function worksOn(Day $day): bool
    {
        return in_array($day->weekday(), $this->weekdays, true);
    }
}
