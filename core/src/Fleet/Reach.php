<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/**
 * How far an aircraft can go before something stops it.
 *
 * Stops are the last days allowed by programme items and deferrals; visits are when it stands in work, and which of the
 * stops they take away. Its state: `waiting` while it is in a visit; `clear` when a visit that takes the first stop away
 * begins by its day, or when that day is more than twice the warning days off and no visit was planned for it too late;
 * `stop` when the day is past, or within the warning days; otherwise `watch`.
 */
final readonly class Reach
{
    private function __construct(public string $state, public ?Stop $driver) {}

    /**
     * @param list<Stop> $stops
     * @param list<array{Day, Day, list<string>}> $visits first day, last day and ids of the stops it takes away, in any order
     *
     * @pure
     */
    public static function of(Day $today, array $stops, array $visits, int $warnDays = 14): self
    {
        $driver = null;
        foreach ($stops as $stop) {
            if ($driver === null || $stop->last->number < $driver->last->number) {
                $driver = $stop;
            }
        }
        $inTime = $late = false;
        foreach ($visits as [$from, $to, $takes]) {
            if ($from->number <= $today->number && $today->number <= $to->number) {
                return new self('waiting', $driver);
            }
            if ($driver !== null && $from->number > $today->number && in_array($driver->id, $takes, true)) {
                $inTime = $inTime || $from->number <= $driver->last->number;
                $late = $late || $from->number > $driver->last->number;
            }
        }
        if ($driver === null) {
            return new self('clear', null);
        }
        $left = $today->daysUntil($driver->last);

        return new self(match (true) {
            $left < 0, $left <= $warnDays && ! $inTime => 'stop',
            ! $inTime && ($left <= 2 * $warnDays || $late) => 'watch',
            default => 'clear',
        }, $driver);
    }
}
