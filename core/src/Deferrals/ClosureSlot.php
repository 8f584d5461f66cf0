<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** Days on which the aircraft stands and hours are free. */
final readonly class ClosureSlot
{
    private function __construct(public string $id, public Day $start, public Day $end, public float $free) {}

    /**
     * @param float $free hours, may be negative where a visit is overfull
     *
     * @throws InputError where it ends before it starts
     *
     * @pure
     */
    public static function of(string $id, Day $start, Day $end, float $free): self
    {
        return $end->number < $start->number
            ? throw InputError::at('', "ends on {$end}, before it starts on {$start}")
            : new self($id, $start, $end, $free);
    }
}
