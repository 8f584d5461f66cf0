<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Near;

/** Rules of rest: hours free between two stretches of work, and the longest stretch. */
final readonly class Rest
{
    private function __construct(public float $between, public float $most) {}

    /**
     * @param float $between hours, at least, between the end of one stretch and the beginning of the next
     * @param float $most hours, at most, in one stretch; shifts that follow without a gap are one stretch
     *
     * @throws InputError for hours below 0, or a longest stretch of none
     *
     * @pure
     */
    public static function of(float $between, float $most): self
    {
        if ($between < 0) {
            throw InputError::negative('between');
        }
        if ($most <= 0) {
            throw InputError::notPositive('most');
        }

        return new self($between, $most);
    }

    /**
     * Where somebody's shifts break the rules.
     *
     * @param list<array{Instant, Instant}> $shifts begin and end, in any order
     *
     * @return list<RestBreach> in order of time
     *
     * @pure
     */
    public function breaches(array $shifts): array
    {
        usort($shifts, static fn(array $a, array $b): int => $a[0]->epoch() <=> $b[0]->epoch());
        $breaches = [];
        $begun = $ended = null;
        foreach ($shifts as [$from, $until]) {
            $gap = $ended === null ? INF : ($from->epoch() - $ended->epoch()) / 3600;
            if ($begun === null || $gap > 0) {
                if (! Near::atLeast($gap, $this->between)) {
                    $breaches[] = new RestBreach('rest_short', $from, $gap);
                }
                $begun = $from;
            }
            $ended = $ended === null || $ended->isBefore($until) ? $until : $ended;
            $stretch = ($ended->epoch() - $begun->epoch()) / 3600;
            if (! Near::atMost($stretch, $this->most)) {
                $breaches[] = new RestBreach('too_long', $from, $stretch);
            }
        }

        return $breaches;
    }
}
