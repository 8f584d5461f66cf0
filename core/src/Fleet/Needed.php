<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

/** How many aircraft a fleet needs for what it is to fly. */
final class Needed
{
    /**
     * The fewest that together fly a task: those that fly most.
     *
     * @param list<float> $rates hours that each flies on a mean day
     * @param float $task hours a day, at least 0
     * @param float $more times its mean that each can fly, above 0
     *
     * @return int as many as there are, where all of them do not
     *
     * @pure
     */
    public static function of(array $rates, float $task, float $more): int
    {
        rsort($rates);
        $flown = 0.0;
        foreach ($rates as $n => $rate) {
            if ($flown >= $task) {
                return $n;
            }
            $flown += $more * $rate;
        }

        return count($rates);
    }
}
