<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Shared\Instant;

/** Work that is planned for when nothing is worked: people have leave by now, or the bay is closed. */
final class Idle
{
    /**
     * Whether a card is planned to begin or to end when nothing is worked.
     *
     * @param Instant|null $begins null where it has begun
     * @param callable(Instant): bool $works whether anybody works at an instant
     *
     * @pure
     */
    public static function is(?Instant $begins, ?Instant $ends, Instant $now, callable $works): bool
    {
        $last = $ends === null ? null : Instant::fromEpoch($ends->epoch() - 1);
        foreach ([$begins, $last] as $at) {
            if ($at !== null && $now->isBefore($at) && ! $works($at)) {
                return true;
            }
        }

        return false;
    }
}
