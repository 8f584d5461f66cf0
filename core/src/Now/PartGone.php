<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Shared\Day;

/** A place from which a component was taken with none fitted since: a missing part stops its aircraft. */
final readonly class PartGone
{
    /** @param Day $off the day on which it came off */
    public function __construct(public string $id, public Day $off) {}

    /** What it is called among the stops of its aircraft. @pure */
    public function stop(): string
    {
        return 'part:'.$this->id;
    }
}
