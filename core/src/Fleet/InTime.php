<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/** The one rule of being in time: what stands does not fly, so whatever has begun by its latest day is in time. */
final class InTime
{
    /**
     * @param Day $start first day of the visit in which it is done
     * @param Day|null $latest the last day that its limit and tolerance allow; null for what never runs out
     *
     * @pure
     */
    public static function begins(Day $start, ?Day $latest): bool
    {
        return $latest === null || $start->number <= $latest->number;
    }
}
