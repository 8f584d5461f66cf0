<?php

declare(strict_types=1);

namespace App\Console;

/** How long something takes, on a machine that others use too. */
final readonly class Timing
{
    /**
     * The median of several rounds, after one that warms up.
     *
     * @param callable(): mixed $do
     *
     * @return float milliseconds
     */
    public static function median(callable $do, int $times): float
    {
        $do();
        $took = [];
        for ($i = 0; $i < $times; $i++) {
            $from = hrtime(true);
            $do();
            $took[] = (hrtime(true) - $from) / 1e6;
        }
        sort($took);

        return round($took[intdiv($times, 2)], 1);
    }
}
