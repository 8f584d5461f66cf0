<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Near;

/**
 * How long may this defect be carried.
 *
 * N days run out at the end of the local date discovered + N; usage may come sooner, and is forecast as `due` does.
 * Contract: docs/core.md, core/schema/clock.json.
 */
final class Clock
{
    /**
     * @param Flying $flying counters as at the end of the day to which they are counted, and the use to come: the
     *   aircraft's own, as for `due`
     *
     * @throws InputError for a counter or a rate that a limit needs
     *
     * @pure
     */
    public static function read(Deferral $deferral, Instant $asOf, Flying $flying, int $warnDays = 3): ClockResult
    {
        $today = $asOf->dayIn($deferral->zone);
        $last = $deferral->lastDay();
        $expires = $last === null ? null : Instant::firstAfter($last, $deferral->zone);
        $expired = $expires !== null && ! $asOf->isBefore($expires);
        $forecast = $last;
        $driver = $last === null ? array_key_first($deferral->usage) : 'days';
        $left = [];
        $lasts = $last === null ? [] : ['days' => $last];
        foreach ($deferral->usage as $counter => $allowed) {
            $now = $flying->counters[$counter] ?? throw InputError::missing('counters.'.$counter);
            $bound = $deferral->atDiscovery[$counter] + $allowed;
            $left[$counter] = $bound - $now;
            $expired = $expired || ! Near::atMost($now, $bound);
            [$day] = $flying->lastDaysWithin((string) $counter, $now, $bound, 0.0);
            $lasts[(string) $counter] = $day;
            if ($day !== null && ($forecast === null || $day->number < $forecast->number)) {
                $forecast = $day;
                $driver = $counter;
            }
        }
        $status = match (true) {
            $expired => 'expired',
            $forecast !== null && $forecast->number <= $today->number + $warnDays => 'due_soon',
            default => 'open',
        };

        return new ClockResult(
            $expires,
            $last,
            $last === null ? null : $today->daysUntil($last),
            $left,
            $forecast,
            $driver === null ? null : (string) $driver,
            $status,
            $lasts,
        );
    }
}
