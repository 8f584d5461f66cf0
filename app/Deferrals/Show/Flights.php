<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Deferrals\Model\Deferral;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Sector as Row;
use App\Now\DeferralClock;
use App\Now\LoadCarried;
use App\Now\LoadSectors;
use App\Shared\Clock;
use Jorvel\Core\Deferrals\Carried;
use Jorvel\Core\Deferrals\ComingFlights;
use Jorvel\Core\Deferrals\DispatchResult;
use Jorvel\Core\Deferrals\Sector;
use Jorvel\Core\Shared\Day;

/** Asks the core about an aircraft's coming flights with what it carries. */
final readonly class Flights
{
    public function __construct(
        private Clock $clock,
        private LoadCarried $carried,
        private LoadSectors $sectors,
        private DeferralClock $clocks,
    ) {}

    /**
     * @param Aircraft $aircraft with what is flown, `deferrals.listedItem`
     *
     * @return list<array{Row, Sector, DispatchResult}> in their order
     */
    public function of(Aircraft $aircraft, ?int $days = null): array
    {
        $coming = $this->sectors->coming($aircraft, $days);
        [$carried, $left] = $this->carries($aircraft);
        $results = ComingFlights::judge(
            $carried,
            $left,
            array_map(static fn(array $c): Sector => $c[1], $coming),
            $this->clock->now(),
        );

        return array_map(static fn(array $c, DispatchResult $r): array => [...$c, $r], $coming, $results);
    }

    /**
     * What it carries, and what is left of limits by use once what is flown but not counted yet is taken off.
     *
     * @return array{list<Carried>, array<array-key, array<string, float>>}
     */
    public function carries(Aircraft $aircraft): array
    {
        $clocks = $left = [];
        $now = $this->clock->now();
        $flown = ['fh' => 0.0, 'ldg' => 0.0];
        foreach ($aircraft->sectors as $row) {
            $sector = $this->sectors->of($row);
            if ($row->date->number > $aircraft->counters_as_of->number && $sector->departs->isBefore($now)) {
                $flown['fh'] += $sector->hours;
                $flown['ldg'] += $sector->landings;
            }
        }
        foreach ($aircraft->deferrals as $deferral) {
            $clocks[$deferral->id] = $this->clocks->read($deferral, $aircraft);
            foreach (array_intersect_key($clocks[$deferral->id]->usageLeft, $flown) as $counter => $value) {
                $left[$deferral->id][$counter] = $value - $flown[$counter];
            }
        }

        return [$this->carried->of($aircraft->deferrals, $clocks), $left];
    }

    /** @return array<array-key, string> what each deferral of an aircraft is called, by id */
    public static function names(Aircraft $aircraft): array
    {
        return $aircraft->deferrals->mapWithKeys(
            static fn(Deferral $d): array => [$d->id => "{$d->listedItem->code} {$d->name()}"],
        )->all();
    }

    /** The last day on which it may fly with all that it carries; null where nothing ends. */
    public function last(Aircraft $aircraft): ?Day
    {
        $last = null;
        foreach ($aircraft->deferrals as $deferral) {
            $day = $this->clocks->read($deferral, $aircraft)->forecastLast;
            $last = $last === null || ($day !== null && $day->number < $last->number) ? $day : $last;
        }

        return $last;
    }
}
