<?php

declare(strict_types=1);

namespace Jorvel\Core\Practice;

use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\PackItem;
use Jorvel\Core\Visits\Season\SeasonBay;
use Jorvel\Core\Visits\Season\SeasonDown;
use Jorvel\Core\Visits\Season\SeasonGiven;
use Jorvel\Core\Visits\Season\SeasonItem;

/**
 * A season made backwards: visits are laid onto the days of bays first, and the items of each are cut from its hours,
 * with windows that hold its first day. So one plan that places everything is known, with what it costs.
 *
 * Where it is `tight`, every item is due on the first day of its visit, every day is full, no panel is opened twice,
 * all bays are worked alike, and each takes some aircraft only: that plan is then the best there is, and what is to be
 * found is which bay takes which visit.
 */
final readonly class PlantedSeason
{
    private function __construct(public SeasonGiven $given, public float $cost) {}

    /**
     * @param int $aircraft at least 1
     * @param int $bays at least 1
     * @param float $use share of the days of bays that are in use, 0 to 1
     */
    public static function seeded(
        int $seed,
        int $aircraft,
        int $bays,
        int $days,
        float $use = 0.7,
        bool $tight = false,
    ): self {
        $chance = Chance::seeded($seed);
        $from = Day::parse('2026-05-04');
        $marks = array_map(static fn(int $n): string => "A{$n}", range(1, $aircraft));
        $list = $access = $items = [];
        $busy = array_fill(0, $aircraft, array_fill(0, $days, false));
        $free = array_fill(0, $aircraft, 0);
        $down = array_fill(0, $days, 0);
        $cost = 0.0;
        for ($b = 0; $b < $bays; $b++) {
            $bay = SeasonBay::of(
                "B{$b}",
                $tight ? 12.0 : 4.0 * (2 + $chance->below(4)),
                1 + ($chance->below(4) === 0 ? 1 : 0),
                null,
                $tight || $b % 2 === 0 ? [1, 2, 3, 4, 5, 6, 7] : [1, 2, 3, 4, 5],
            );
            $in = [];
            for ($lane = 0; $lane < $bay->atOnce; $lane++) {
                for ($d = $chance->below(4); $d < $days; $d++) {
                    if ($bay->hours($from->plusDays($d)) <= 0 || $chance->uniform() > $use) {
                        continue;
                    }
                    $end = self::end($bay, $from, $d, 1 + $chance->below(4), $days);
                    $craft = $end === null ? null : self::craft($chance, $busy, $free, $d, $end);
                    if ($end === null || $craft === null) {
                        continue;
                    }
                    [$new, $panels, $costs] = self::visit(
                        $chance,
                        $bay,
                        $from,
                        $marks[$craft],
                        $d,
                        $end,
                        $free[$craft],
                        $tight,
                    );
                    array_push($items, ...$new);
                    $access += $panels;
                    $cost += $costs;
                    for ($k = $d; $k <= $end; $k++) {
                        $busy[$craft][$k] = true;
                        $down[$k]++;
                    }
                    $free[$craft] = $end + 1;
                    $in[] = $marks[$craft];
                    $d = $end;
                }
            }
            $list[] = $tight ? SeasonBay::of($bay->id, $bay->hoursPerDay, $bay->atOnce, array_values(array_unique([
                ...$in, ...array_filter($marks, static fn(): bool => $chance->below(3) === 0),
            ]))) : $bay;
        }
        $access = $access === [] ? ['P' => 1.0] : $access;

        return new self(SeasonGiven::of(
            $from,
            $days,
            $items,
            $access,
            $list,
            [],
            [SeasonDown::of($marks, max([1, ...$down]))],
        ), $cost);
    }

    /** The day on which so many working days are over; null beyond the span. */
    private static function end(SeasonBay $bay, Day $from, int $start, int $worked, int $days): ?int
    {
        for ($d = $start; $d < $days; $d++) {
            if ($bay->hours($from->plusDays($d)) > 0 && --$worked === 0) {
                return $d;
            }
        }

        return null;
    }

    /**
     * @param array<int, array<int, bool>> $busy by aircraft and day
     * @param array<int, int> $free from when an aircraft was never in a visit, by aircraft
     */
    private static function craft(Chance $chance, array $busy, array $free, int $start, int $end): ?int
    {
        foreach ($chance->shuffle(array_keys($busy)) as $a) {
            // Some days of flying lie between two visits, for windows of their own.
            if ($start >= $free[$a] + ($free[$a] === 0 ? 0 : 6)
                && ! in_array(true, array_slice($busy[$a], $start, $end - $start + 1), true)) {
                return $a;
            }
        }

        return null;
    }

    /**
     * @param int $since the first day after the aircraft's visit before
     *
     * @return array{list<SeasonItem>, array<string, float>, float} its items, panels with hours, and what it costs
     */
    private static function visit(
        Chance $chance,
        SeasonBay $bay,
        Day $from,
        string $mark,
        int $start,
        int $end,
        int $since,
        bool $tight,
    ): array {
        $total = 0.0;
        for ($d = $start; $d <= $end; $d++) {
            $total += $bay->hours($from->plusDays($d));
        }
        $panels = [];
        for ($p = $chance->below(3); $p > 0; $p--) {
            $name = $tight ? "{$mark}-{$start}-{$p}" : "{$mark}-".$chance->below(6);
            $panels[$name] = 0.5 + 0.25 * (crc32($name) % 4);
        }
        $opened = array_sum($panels);
        $many = 1 + $chance->below(6);
        $shares = array_map(static fn(): float => 0.2 + $chance->uniform(), range(1, $many));
        $items = [];
        $cost = 4.0 + 4.0 * ($end - $start + 1) + $opened;
        foreach ($shares as $n => $share) {
            $late = $tight || $n === 0 ? 0 : $chance->below(9);
            $item = SeasonItem::of($mark, PackItem::of(
                "{$mark}-{$start}-{$n}",
                $from->plusDays($tight ? max($since, $start - $chance->below(26)) : $start - $chance->below(26)),
                $from->plusDays($start + $late),
                60.0 + $chance->below(660),
                ($total - $opened) * $share / array_sum($shares),
                // Every panel belongs to some item.
                $n === 0 ? array_map(strval(...), array_keys($panels)) : array_slice(
                    array_map(strval(...), array_keys($panels)),
                    0,
                    $chance->below(2),
                ),
            ));
            $items[] = $item;
            $cost += $item->early($from->plusDays($start));
        }

        return [$items, $panels, $cost];
    }
}
