<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Deferrals\ClockResult;
use Jorvel\Core\Floor\FindingProgress;
use Jorvel\Core\Now\AircraftNow;
use Jorvel\Core\Now\DeferralNow;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;

/**
 * What falls due on an aircraft, what it carries, and how far it can go: asked of the whole aircraft once, so that
 * every list that names one of its dates names the same.
 */
final readonly class Outlook
{
    /**
     * @param list<DueNow> $items in the picture's order
     * @param list<BottleDue> $bottles those that fall, the first to meet its minimum first
     * @param array<array-key, ClockResult> $deferrals by id
     * @param array<array-key, FleetState> $carried how each of them stands
     * @param list<Stop> $stops everything after which it may not fly on
     */
    private function __construct(
        public array $items,
        public array $bottles,
        public array $deferrals,
        public array $carried,
        public array $stops,
        public Reach $reach,
    ) {}

    /**
     * @param Day $today the operator's
     * @param Instant $now by which what is carried runs out
     * @param int $warnDays from which a date is a stop
     *
     * @throws InputError where the programme asks for a counter that is not known
     *
     * @pure
     */
    public static function of(AircraftNow $aircraft, Day $today, Instant $now, int $warnDays): self
    {
        $plans = VisitPlans::of($today, $aircraft->visits);
        $state = static fn(string $stop, ?Day $last, ?Day $latest): FleetState
            => FleetState::of($today, $last, $plans->away($stop, $latest), $warnDays);
        // Counters stand as of their own day: what falls due is warned of from today all the same.
        $warn = $warnDays + max(0, $aircraft->flying->asOf->daysUntil($today));
        $items = $bottles = $clocks = $carried = [];
        foreach ($aircraft->items() as $item) {
            $due = $item->due($warn);
            $items[] = new DueNow($item, $due, $state($item->stop(), $due->forecast, $due->latest));
        }
        foreach ($aircraft->bottles() as $bottle) {
            $last = $bottle->trend->crossesOn;
            if ($last !== null) {
                $bottles[] = new BottleDue($bottle, $last, $state($bottle->stop(), $last, $last));
            }
        }
        usort($bottles, static fn(BottleDue $a, BottleDue $b): int => $a->last->number <=> $b->last->number);
        foreach ($aircraft->deferrals as $deferral) {
            $clocks[$deferral->id] = $deferral->clock($now, $aircraft->flying);
            $carried[$deferral->id] = self::carried($deferral, $clocks[$deferral->id], $today, $plans, $warnDays);
        }
        $stops = iterator_to_array(self::stops($aircraft, $today, $items, $bottles, $clocks), false);

        return new self($items, $bottles, $clocks, $carried, $stops, Reach::of($today, $stops, $plans, $warnDays));
    }

    /**
     * How a deferral stands: as everything else that falls due, with the visit in which it is to be closed; until it is
     * made safe, and once it has run out, it stops its aircraft.
     *
     * @pure
     */
    public static function carried(
        DeferralNow $deferral,
        ClockResult $clock,
        Day $today,
        VisitPlans $plans,
        int $warnDays,
    ): FleetState {
        return $clock->status === 'expired' || ! $deferral->procedureDone ? FleetState::Stop : FleetState::of(
            $today,
            $clock->forecastLast,
            $plans->away($deferral->stop(), $clock->forecastLast),
            $warnDays,
        );
    }

    /**
     * @param list<DueNow> $items
     * @param list<BottleDue> $bottles
     * @param array<array-key, ClockResult> $clocks
     *
     * @return iterable<Stop>
     */
    private static function stops(
        AircraftNow $aircraft,
        Day $today,
        array $items,
        array $bottles,
        array $clocks,
    ): iterable {
        $stands = array_filter($aircraft->visits, static fn(VisitSpan $v): bool => $v->stands($today)) !== [];
        foreach ($stands ? [] : $aircraft->findings as $id => $state) {
            if ($state === FindingProgress::Open) {
                // In a visit its release waits for it; elsewhere nothing else would keep it from flying.
                yield new Stop('found', "finding:{$id}", $today->plusDays(-1));
            }
        }
        foreach ($items as $now) {
            $due = $now->due;
            if ($due->forecast !== null) {
                $kind = $due->driver?->next instanceof Day ? 'calendar' : 'usage';
                yield new Stop($kind, $now->item->stop(), $due->forecast, $due->latest);
            }
        }
        foreach ($aircraft->gone as $part) {
            // It flew with it on the day before it came off.
            yield new Stop('part', $part->stop(), $part->off->plusDays(-1));
        }
        foreach ($bottles as $due) {
            yield new Stop('usage', $due->bottle->stop(), $due->last);
        }
        foreach ($aircraft->damages as $damage) {
            $last = $damage->lookBy($aircraft->flying);
            if ($last !== null) {
                yield new Stop('usage', $damage->stop(), $last);
            }
        }
        foreach ($aircraft->deferrals as $deferral) {
            // Until it is made safe the aircraft does not fly; in a visit its release waits for that.
            $last = $stands || $deferral->procedureDone ? $clocks[$deferral->id]->forecastLast : $today->plusDays(-1);
            if ($last !== null) {
                yield new Stop('deferral', $deferral->stop(), $last);
            }
        }
    }
}
