<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/**
 * How far an aircraft can go before something stops it that no visit takes away in time.
 *
 * Stops are the last days allowed by programme items, bottles and deferrals. The driver is the earliest that stays;
 * where every stop is planned away, there is none. Its state is that of the driver ({@see FleetState}), `waiting` while
 * the aircraft is in a visit.
 */
final readonly class Reach
{
    private function __construct(public FleetState $state, public ?Stop $driver, public PlannedAway $away) {}

    /**
     * @param iterable<Stop> $stops the first listed wins a tie
     *
     * @pure
     */
    public static function of(Day $today, iterable $stops, VisitPlans $plans, int $warnDays = 14): self
    {
        $driver = null;
        $driven = PlannedAway::No;
        foreach ($stops as $stop) {
            if ($driver !== null && $stop->last->number >= $driver->last->number) {
                continue;
            }
            $away = $plans->away($stop->id, $stop->latest);
            // What is past stands in the way whatever is planned, until the visit that takes it goes on.
            if (
                $away === PlannedAway::Now
                || ($away === PlannedAway::InTime && $stop->last->number >= $today->number)
            ) {
                continue;
            }
            [$driver, $driven] = [$stop, $away];
        }

        return new self(
            $plans->standing ? FleetState::Waiting : FleetState::of($today, $driver?->last, $driven, $warnDays),
            $driver,
            $driven,
        );
    }
}
