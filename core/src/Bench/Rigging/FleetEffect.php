<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

/**
 * What an effect is on an aircraft of a fleet of which others were rigged: the mean, weighted by the runs behind it,
 * and a spread that is never narrower than aircraft differ by.
 */
final class FleetEffect
{
    /**
     * @param non-empty-list<array{int, Effect}> $known runs behind it, at least 1, and what was learned, by aircraft
     * @param Effect $book what the model says; where one aircraft alone is known, no surer than that
     *
     * @pure
     */
    public static function of(array $known, Effect $book): Effect
    {
        $runs = array_sum(array_column($known, 0));
        $mean = $own = 0.0;
        foreach ($known as [$n, $effect]) {
            $mean += $effect->mean * $n / $runs;
            $own += $effect->sd * $n / $runs;
        }
        $many = count($known);
        if ($many === 1) {
            return Effect::of($mean, max($own, $book->sd));
        }
        $spread = 0.0;
        foreach ($known as [, $effect]) {
            $spread += ($effect->mean - $mean) ** 2 / ($many - 1);
        }

        return Effect::of($mean, max(sqrt($spread), $own));
    }
}
