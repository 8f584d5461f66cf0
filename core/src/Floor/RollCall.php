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
}
