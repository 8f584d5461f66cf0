<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Shared\Instant;

/** Work that is planned for when its people are not there: they have leave by now, or the bay is closed. */
final class Idle
{
    /**
     * Whether a card is planned to begin or to end when there are not the people for it.
     *
     * @param Instant|null $begins null where it has begun
     * @param array<string, int> $needs people by skill
     * @param callable(Instant): (array<string, int>|null) $people at work at an instant, by skill; null where that is
     *   not known
     *
     * @pure
     */
    public static function is(?Instant $begins, ?Instant $ends, array $needs, Instant $now, callable $people): bool
    {
        $last = $ends === null ? null : Instant::fromEpoch($ends->epoch() - 1);
        foreach ([$begins, $last] as $at) {
            if ($at === null || ! $now->isBefore($at)) {
                continue;
            }
            $there = $people($at);
            foreach ($there === null ? [] : $needs as $skill => $many) {
                if (($there[$skill] ?? 0) < $many) {
                    return true;
                }
            }
        }

        return false;
    }
}
