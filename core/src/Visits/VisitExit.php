<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Shared\Instant;

/** When an aircraft leaves its visit: once the last of its cards is worked. */
final class VisitExit
{
    /**
     * @param iterable<Instant|null> $ends of each card, when it was closed or is planned to end; null where it has no
     *     time
     *
     * @return Instant|null null while a card has no time, or there is none
     *
     * @pure
     */
    public static function of(iterable $ends): ?Instant
    {
        $exit = null;
        foreach ($ends as $end) {
            if ($end === null) {
                return null;
            }
            $exit = $exit === null || $exit->isBefore($end) ? $end : $exit;
        }

        return $exit;
    }
}
