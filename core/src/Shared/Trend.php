<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

use function array_slice;

/** Which readings count together. */
final class Trend
{
    /**
     * Those since the trend last started anew.
     *
     * @template T of DatedReading
     *
     * @param list<T> $readings
     *
     * @return list<T>
     *
     * @throws InputError at `readings.<i>.date` where dates fall
     *
     * @pure
     */
    public static function since(array $readings): array
    {
        $since = 0;
        foreach ($readings as $i => $reading) {
            $before = $readings[$i - 1] ?? null;
            if ($before !== null && $reading->day()->number < $before->day()->number) {
                throw InputError::at(
                    "readings.{$i}.date",
                    "{$reading->day()} comes before {$before->day()}, the reading above it",
                );
            }
            $since = $reading->anew() ? $i : $since;
        }

        return array_slice($readings, $since);
    }
}
