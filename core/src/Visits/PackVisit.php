<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** A visit that can take items: its days, and the hours it holds. */
final readonly class PackVisit
{
    private function __construct(public string $id, public Day $start, public Day $end, public float $capacity) {}

    /**
     * @param float $capacity in hours of work and of opening panels, at least 0
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(string $id, Day $start, Day $end, float $capacity): self
    {
        return $end->number < $start->number ? throw InputError::at(
            '',
            "ends on {$end}, before it begins on {$start}",
        ) : new self($id, $start, $end, $capacity);
    }
}
