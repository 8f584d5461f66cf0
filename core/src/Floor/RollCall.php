<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Shared\Instant;

/** Places that must be called clear before something moves; a call stands for a while and then has to be made again. */
final class RollCall
{
    /**
     * The places that have not been called clear, or too long ago.
     *
     * @param list<string> $places in their order
     * @param array<array-key, Instant> $calls when each was last called clear
     * @param int $seconds how long a call stands, inclusive
     *
     * @return list<string>
     *
     * @pure
     */
    public static function missing(array $places, array $calls, Instant $now, int $seconds): array
    {
        return array_values(array_filter(
            $places,
            static fn(string $place): bool
                => ! isset($calls[$place]) || $now->epoch() - $calls[$place]->epoch() > $seconds,
        ));
    }

    /**
     * Whether the briefing is signed by whoever stands now at the place that signs it; a signature of somebody who
     * stood there before is none.
     *
     * @param array<array-key, string> $standing ids of the people at their places
     * @param string|null $signs the place that signs; null where there is no briefing
     * @param string|null $signed id of whoever signed it
     *
     * @pure
     */
    public static function briefed(array $standing, ?string $signs, ?string $signed): bool
    {
        return $signs === null || ($signed !== null && ($standing[$signs] ?? null) === $signed);
    }

    /**
     * Whether somebody may confirm that all are ready: whoever leads, where a place is the lead's.
     *
     * @param array<array-key, string> $standing
     *
     * @pure
     */
    public static function confirms(array $standing, ?string $lead, string $who): bool
    {
        return $lead === null || ($standing[$lead] ?? null) === $who;
    }
}
