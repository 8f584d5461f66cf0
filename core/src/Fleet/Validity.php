<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/** How long a check on the line is good: until the end of a day, in the operator's zone. */
final readonly class Validity
{
    private function __construct(public Day $until) {}

    /**
     * @param Day $signed on which it was signed, in the operator's zone
     * @param int $days after that: 0 is until the end of the same day, 1 until the end of the next
     *
     * @pure
     */
    public static function from(Day $signed, int $days): self
    {
        return new self($signed->plusDays($days));
    }

    /** As it was kept. @pure */
    public static function until(Day $last): self
    {
        return new self($last);
    }

    /** Its last day itself is still good. @pure */
    public function good(Day $on): bool
    {
        return $on->number <= $this->until->number;
    }

    /** Good now, and not on the next day: it is signed again today, or tomorrow before the first flight. @pure */
    public function ending(Day $on): bool
    {
        return $on->number === $this->until->number;
    }
}
