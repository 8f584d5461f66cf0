<?php

declare(strict_types=1);

namespace App\Now;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Sector as Row;
use App\Shared\Clock;
use Jorvel\Core\Deferrals\Dispatch;
use Jorvel\Core\Deferrals\Sector;
use Jorvel\Core\Shared\Instant;

/** The one maker of flights as `dispatch` and `swap` take them, from the sectors that are planned. */
final readonly class LoadSectors
{
    public function __construct(private Clock $clock) {}

    /**
     * The flights that have not departed yet, in their order.
     *
     * @param Aircraft $aircraft with `sectors`
     *
     * @return list<array{Row, Sector}>
     */
    public function coming(Aircraft $aircraft, ?int $days = null): array
    {
        $now = $this->clock->now();
        $last = $this->clock->today()->number + ($days ?? (int) config('jorvel.sector_days'));
        $out = [];
        foreach ($aircraft->sectors as $row) {
            $sector = $this->of($row);
            if ($row->date->number <= $last && ! $sector->departs->isBefore($now)) {
                $out[] = [$row, $sector];
            }
        }
        usort($out, static fn(array $a, array $b): int => [$a[1]->departs->epoch(), $a[0]->id]
            <=> [$b[1]->departs->epoch(), $b[0]->id]);

        return $out;
    }

    /** One whose hour is not known is taken for the whole of its day. */
    public function of(Row $row): Sector
    {
        $zone = $this->clock->zone();
        $departs = $row->departs_at ?? Instant::firstAfter($row->date->plusDays(-1), $zone);
        $arrives = $row->arrives_at ?? Instant::fromEpoch(Instant::firstAfter($row->date, $zone)->epoch() - 1);
        $conditions = [];
        foreach ($row->conditions === null ? [] : (array) config('jorvel.flight_conditions') as $name) {
            $conditions[$name] = in_array($name, $row->conditions ?? [], true);
        }

        return Sector::of(
            (string) $row->id,
            $departs,
            $arrives->isBefore($departs) ? $departs : $arrives,
            $conditions,
            (float) ($row->use['fh'] ?? 0),
            (float) ($row->use['ldg'] ?? 0),
        );
    }

    /**
     * A condition that something carried asks for and the flying programme does not state; null where all are stated.
     */
    public function unstated(Dispatch $dispatch, Sector $sector): ?string
    {
        foreach (array_keys($dispatch->stated) as $name) {
            if (! isset($sector->conditions[$name])) {
                return (string) $name;
            }
        }

        return null;
    }
}
