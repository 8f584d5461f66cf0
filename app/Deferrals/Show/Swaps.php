<?php

declare(strict_types=1);

namespace App\Deferrals\Show;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Sector as Row;
use App\Fleet\Show\DueBook;
use App\Now\LoadFlying;
use App\Now\LoadSectors;
use App\Shared\Clock;
use Illuminate\Support\Collection;
use Jorvel\Core\Deferrals\Dispatch;
use Jorvel\Core\Deferrals\Sector;
use Jorvel\Core\Deferrals\Swap;
use Jorvel\Core\Deferrals\SwapAircraft;
use Jorvel\Core\Deferrals\SwapLine;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/** Who could fly which line of a day: asked of the core for all aircraft of a type. */
final readonly class Swaps
{
    public function __construct(
        private Clock $clock,
        private DueBook $book,
        private LoadFlying $flying,
        private LoadSectors $sectors,
        private Flights $flights,
    ) {}

    /**
     * @return array{Swap, Collection<string, Aircraft>, array<string, list<array{Row, Sector}>>} what the core
     *   proposes; the aircraft by mark; the flights of each line, by the mark that is to fly it
     */
    public function of(int $typeId, Day $date): array
    {
        $fleet = $this->book->query()->with('deferrals.finding')->where('type_id', $typeId)->orderBy('mark')->get()
            ->keyBy('mark');
        $this->book->read($fleet->values());
        $lines = $rows = $aircraft = [];
        foreach ($fleet as $mark => $craft) {
            $of = array_values(array_filter(
                $this->sectors->coming($craft),
                static fn(array $s): bool => $s[0]->date->number === $date->number,
            ));
            if ($of !== []) {
                $rows[$mark] = $of;
                $lines[] = SwapLine::of(
                    $mark,
                    $of[0][0]->from_place,
                    array_map(static fn(array $s): Sector => self::whole($s[1]), $of),
                    $mark,
                );
            }
            $aircraft[] = $this->aircraft($craft, $date);
        }

        return [Swap::of($lines, $aircraft, $this->clock->now()), $fleet, $rows];
    }

    /** What the programme does not state of a flight is taken as met: whoever swaps must not run into it. */
    private static function whole(Sector $sector): Sector
    {
        $conditions = $sector->conditions + array_fill_keys((array) config('jorvel.flight_conditions'), true);

        return Sector::of(
            $sector->id,
            $sector->departs,
            $sector->arrives,
            $conditions,
            $sector->hours,
            $sector->landings,
        );
    }

    private function aircraft(Aircraft $craft, Day $date): SwapAircraft
    {
        [$carried, $used] = $this->flights->carries($craft);
        $station = $craft->base;
        $flown = ['fh' => 0.0, 'ldg' => 0.0];
        foreach ($this->sectors->coming($craft) as [$row, $sector]) {
            if ($row->date->number < $date->number) {
                $station = $row->to_place;
                $flown['fh'] += $sector->hours;
                $flown['ldg'] += $sector->landings;
            }
        }
        $left = [];
        foreach (['fh', 'ldg'] as $counter) {
            $bounds = array_filter(
                [$this->due($craft, $counter),
                    ...array_map(static fn(array $l): ?float => $l[$counter] ?? null, $used)],
                static fn(?float $v): bool => $v !== null,
            );
            $left[$counter] = $bounds === [] ? null : max(0.0, min($bounds) - $flown[$counter]);
        }

        return new SwapAircraft(
            $craft->mark,
            $station,
            $this->free($craft, $date),
            $left['fh'],
            $left['ldg'],
            Dispatch::with(
                $carried,
            ),
        );
    }

    /** What is left by a counter until the first item may not wait any more. */
    private function due(Aircraft $craft, string $counter): ?float
    {
        $left = null;
        foreach ($this->book->page($craft)->items() as $row) {
            foreach ($row->due->limits as $limit) {
                $may = $limit->remaining + $limit->tolerance;
                if ($limit->unit === $counter && ($left === null || $may < $left)) {
                    $left = $may;
                }
            }
        }

        return $left;
    }

    /** From when it may depart: in a visit on that day, not before its end. */
    private function free(Aircraft $craft, Day $date): Instant
    {
        foreach ($craft->visits as $visit) {
            $span = $this->flying->span($visit);
            if ($span->stands($date)) {
                return Instant::firstAfter($span->to, $this->clock->zone());
            }
        }

        return $this->clock->now();
    }
}
