<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season\Laid;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;
use Jorvel\Core\Visits\Season\Season;
use Jorvel\Core\Visits\Season\SeasonBay;
use Jorvel\Core\Visits\Season\SeasonChain;
use Jorvel\Core\Visits\Season\SeasonGiven;
use Jorvel\Core\Visits\Season\SeasonItem;

/**
 * A season as somebody has laid it, judged by the rules that {@see Season} plans by: what of
 * it cannot be, what has no visit yet, what it costs, and what every bay works on every day.
 */
final readonly class LaidSeason
{
    /** Hours of a day that nobody lacks. */
    private const NOTHING = 0.05;

    /**
     * @param list<LaidVisit> $visits
     * @param array<array-key, list<LaidTrouble>> $troubles by visit; empty lists are left out
     * @param array<array-key, float> $hours of a visit's items, panels and what else is in it
     * @param array<array-key, float> $free hours of its days that it does not need, below 0 where they are too few
     * @param array<array-key, Day> $latest last day of an item, also where the time before brings it forward
     * @param array<array-key, string> $in visit by item
     * @param list<string> $open items without a visit that fall due in the span
     * @param list<string> $standing aircraft with such an item, in the order of items
     * @param float $cost hours, of all visits that do not stand, and of work beyond the people for it anywhere
     * @param int $early days of life given up, of all items together
     * @param int $days that aircraft are in such visits
     * @param array<array-key, array<int, float>> $worked hours by bay and day's number
     * @param list<string> $outside places without a roof
     * @param list<SeasonItem> $left items without a visit, also those that fall due later than the span, each with the
     *   days that what stays leaves it
     */
    private function __construct(
        public array $visits,
        public array $troubles,
        public array $hours,
        public array $free,
        public array $latest,
        public array $in,
        public array $open,
        public array $standing,
        public float $cost,
        public int $early,
        public int $days,
        public array $worked,
        private array $outside,
        public array $left,
    ) {}

    /**
     * @param SeasonGiven $given its visits that stand are not looked at: they are laid too
     * @param list<LaidVisit> $visits
     *
     * @throws InputError at a bay or an item that is not known, at an item that is in two visits or in one of another
     *   aircraft
     *
     * @pure
     */
    public static function judge(SeasonGiven $given, array $visits): self
    {
        $bays = array_column($given->bays, null, 'id');
        $items = [];
        foreach ($given->items as $item) {
            $items[$item->is->id] = $item;
        }
        [$in, $starts] = self::placed($visits, $bays, $items);
        $latest = array_map(static fn(SeasonItem $i): Day => self::latest($i, $starts), $items);
        $earliest = array_map(static fn(SeasonItem $i): Day => self::earliest($given, $i, $starts), $items);
        $troubles = $hours = $free = $worked = [];
        $cost = 0.0;
        $early = $days = 0;
        foreach ($visits as $visit) {
            $bay = $bays[$visit->bay];
            [$work, $access] = self::hours($given, $visit, $items);
            $hours[$visit->id] = $work + $access;
            $free[$visit->id] = self::work($visit, $bay, $given->from, $work + $access, $worked);
            if ($visit->stands) {
                continue;
            }
            $own = [
                ...self::items($visit, $items, $earliest, $latest),
                ...self::place($visit, $bay, $items, $free[$visit->id], $given->from),
                ...self::beside($visit, $visits, $bay),
            ];
            if ($own !== []) {
                $troubles[$visit->id] = $own;
            }
            $stood = $bay->wash ? [] : range($visit->start->number, $visit->end->number);
            $days += count($stood);
            $cost += $access + $given->visitWeight + array_sum(array_map(
                static fn(int $d): float => $given->dayWeight + ($given->toll[$visit->aircraft][$d] ?? 0.0),
                $stood,
            ));
            foreach ($visit->items as $id) {
                $cost += $items[$id]->early($visit->start, $latest[$id]) + $items[$id]->away($visit->start);
                $early += max(0, $visit->start->daysUntil($latest[$id]));
            }
        }
        $last = $given->from->number + $given->days - 1;
        $open = $standing = [];
        foreach ($items as $id => $item) {
            if (! isset($in[$id]) && $latest[$id]->number <= $last) {
                $open[] = (string) $id;
                $standing[$item->aircraft] = true;
            }
        }

        return new self(
            $visits,
            $troubles,
            $hours,
            $free,
            $latest,
            $in,
            $open,
            array_map(strval(...), array_keys($standing)),
            $cost + self::over($given, $worked),
            $early,
            $days,
            $worked,
            array_values(array_map(static fn(SeasonBay $b): string => $b->id, array_filter(
                $given->bays,
                static fn(SeasonBay $b): bool => $b->outside,
            ))),
            LaidLeft::of($items, $starts, $latest),
        );
    }

    /**
     * What of one visit cannot be beside others: the same that {@see judge()} says of it.
     *
     * @param array<string, SeasonBay> $bays by id
     * @param array<array-key, SeasonItem> $items by id
     * @param list<LaidVisit> $others
     * @param array<array-key, Day> $starts first day of the visit of an item that is in one of them
     *
     * @return list<LaidTrouble>
     *
     * @pure
     */
    public static function one(
        SeasonGiven $given,
        array $bays,
        array $items,
        LaidVisit $visit,
        array $others,
        array $starts,
    ): array {
        $starts = array_fill_keys($visit->items, $visit->start) + $starts;
        $earliest = $latest = [];
        foreach ($visit->items as $id) {
            $earliest[$id] = self::earliest($given, $items[$id], $starts);
            $latest[$id] = self::latest($items[$id], $starts);
        }
        $worked = [];
        $free = self::work(
            $visit,
            $bays[$visit->bay],
            $given->from,
            array_sum(self::hours($given, $visit, $items)),
            $worked,
        );

        return [
            ...self::items($visit, $items, $earliest, $latest),
            ...self::place($visit, $bays[$visit->bay], $items, $free, $given->from),
            ...self::beside($visit, $others, $bays[$visit->bay]),
        ];
    }

    /** @param array<array-key, array<int, float>> $worked hours by bay and day's number */
    private static function over(SeasonGiven $given, array $worked): float
    {
        $cost = 0.0;
        foreach ($given->people as $people) {
            foreach (self::beyond($worked, $people->bays, $people->hours) as $day => $is) {
                $cost += $people->over * ($is - $people->hours[$day]);
            }
        }

        return $cost;
    }

    /**
     * @param array<array-key, array<int, float>> $worked hours by bay and day's number
     * @param list<string> $bays ids
     * @param array<int, float> $hours by day's number
     *
     * @return array<int, float> hours worked in these bays, of the days on which that is more
     */
    private static function beyond(array $worked, array $bays, array $hours): array
    {
        $beyond = [];
        foreach ($hours as $day => $there) {
            $is = array_sum(array_map(static fn(string $b): float => $worked[$b][$day] ?? 0.0, $bays));
            if ($is > $there) {
                $beyond[$day] = $is;
            }
        }

        return $beyond;
    }

    /**
     * The days on which some bays together are worked for longer than there are hours of people.
     *
     * @param list<string> $bays ids
     * @param array<int, float> $hours by day's number
     *
     * @return array<int, float> hours worked, by day's number
     *
     * @pure
     */
    public function short(array $bays, array $hours): array
    {
        return self::beyond($this->worked, $bays, array_map(static fn(float $h): float => $h + self::NOTHING, $hours));
    }

    /** @param array<array-key, Day> $starts */
    private static function latest(SeasonItem $item, array $starts): Day
    {
        $before = $starts[$item->after ?? ''] ?? null;

        return $before === null ? $item->is->latest : SeasonChain::due($item, $before);
    }

    /**
     * What comes again may be done from the day after the time before; where that has no visit, at any time.
     *
     * @param array<array-key, Day> $starts
     */
    private static function earliest(SeasonGiven $given, SeasonItem $item, array $starts): Day
    {
        return $item->after === null
            ? $item->is->earliest
            : ($starts[$item->after] ?? null)?->plusDays(1) ?? $given->from;
    }

    /**
     * @param array<array-key, SeasonItem> $items
     *
     * @return array{float, float} hours of work, and of panels that are not open anyway
     */
    private static function hours(SeasonGiven $given, LaidVisit $visit, array $items): array
    {
        $panels = [];
        $work = $visit->own;
        foreach ($visit->items as $id) {
            $work += $items[$id]->is->hours;
            $panels += array_flip($items[$id]->is->panels);
        }

        return [
            $work,
            array_sum(array_intersect_key($given->access, array_diff_key($panels, array_flip($visit->open)))),
        ];
    }

    /**
     * How many aircraft of some are in visits on a day, but for those outside: they fly between.
     *
     * @param list<string> $aircraft
     *
     * @pure
     */
    public function down(array $aircraft, int $day): int
    {
        $down = [];
        foreach ($this->visits as $visit) {
            if (
                $visit->holds($day) && in_array($visit->aircraft, $aircraft, true)
                && ! in_array($visit->bay, $this->outside, true)
            ) {
                $down[$visit->aircraft] = true;
            }
        }

        return count($down);
    }

    /**
     * @param list<LaidVisit> $visits
     * @param array<string, SeasonBay> $bays
     * @param array<array-key, SeasonItem> $items
     *
     * @return array{array<array-key, string>, array<array-key, Day>} visit, and its first day, by item
     *
     * @throws InputError
     */
    private static function placed(array $visits, array $bays, array $items): array
    {
        $in = $starts = [];
        foreach ($visits as $v => $visit) {
            if (! isset($bays[$visit->bay])) {
                throw InputError::notAmong("visits.{$v}.bay", 'bays', $visit->bay);
            }
            foreach ($visit->items as $n => $id) {
                $place = "visits.{$v}.items.{$n}";
                $item = $items[$id] ?? throw InputError::notAmong($place, 'items', $id);
                if ($item->aircraft !== $visit->aircraft) {
                    throw InputError::at($place, "is of {$item->aircraft}, not of {$visit->aircraft}");
                }
                if (isset($in[$id])) {
                    throw InputError::usedTwice($place, $id);
                }
                [$in[$id], $starts[$id]] = [$visit->id, $visit->start];
            }
        }

        return [$in, $starts];
    }

    /**
     * Lays a visit's hours on its days, as many a day as its bay works, from today on.
     *
     * @param array<array-key, array<int, float>> $worked
     *
     * @return float hours of its days that are left, below 0 where they are too few
     */
    private static function work(LaidVisit $visit, SeasonBay $bay, Day $from, float $hours, array &$worked): float
    {
        $left = $hours;
        $there = 0.0;
        for ($d = max($visit->start->number, $from->number); $d <= $visit->end->number; $d++) {
            $day = $bay->hours(Day::fromNumber($d));
            $there += $day;
            $worked[$bay->id][$d] = ($worked[$bay->id][$d] ?? 0.0) + min($left, $day);
            $left -= min($left, $day);
        }

        return $there - $hours;
    }

    /**
     * @param array<array-key, SeasonItem> $items
     * @param array<array-key, Day> $earliest
     * @param array<array-key, Day> $latest
     *
     * @return list<LaidTrouble>
     */
    private static function items(LaidVisit $visit, array $items, array $earliest, array $latest): array
    {
        $out = [];
        foreach ($visit->items as $id) {
            if ($visit->start->number > $latest[$id]->number + $items[$id]->grace) {
                $out[] = new LaidTrouble(LaidTroubleKind::Late, $latest[$id]->plusDays($items[$id]->grace), $id);
            } elseif ($visit->start->number < $earliest[$id]->number) {
                $out[] = new LaidTrouble(LaidTroubleKind::Early, $earliest[$id], $id);
            }
        }

        return $out;
    }

    /**
     * @param array<array-key, SeasonItem> $items
     *
     * @return list<LaidTrouble>
     */
    private static function place(LaidVisit $visit, SeasonBay $bay, array $items, float $free, Day $from): array
    {
        $out = [];
        if (! $bay->fits($visit->aircraft)) {
            $out[] = new LaidTrouble(LaidTroubleKind::Unfit);
        }
        $roof = array_values(array_filter($visit->items, static fn(string $id): bool => $items[$id]->roof));
        if ($bay->outside && ($visit->roof || $roof !== [])) {
            $out[] = new LaidTrouble(LaidTroubleKind::Outside, item: $roof[0] ?? null);
        }
        $dry = array_values(array_filter($visit->items, static fn(string $id): bool => ! $items[$id]->wash));
        if ($bay->wash && ($visit->own > 0 || $dry !== [])) {
            $out[] = new LaidTrouble(LaidTroubleKind::Dry, item: $dry[0] ?? null);
        }
        if ($visit->start->number >= $from->number && $bay->hours($visit->start) <= 0) {
            $out[] = new LaidTrouble(LaidTroubleKind::Closed, $visit->start);
        }
        if (! Near::atLeast($free, 0.0)) {
            $out[] = new LaidTrouble(LaidTroubleKind::Short, $visit->end);
        }

        return $out;
    }

    /**
     * @param list<LaidVisit> $visits
     *
     * @return list<LaidTrouble>
     */
    private static function beside(LaidVisit $visit, array $visits, SeasonBay $bay): array
    {
        $out = [];
        $with = array_fill($visit->start->number, $visit->days(), 0);
        $met = [];
        foreach ($visits as $other) {
            $first = max($visit->start->number, $other->start->number);
            if ($other === $visit || $first > min($visit->end->number, $other->end->number)) {
                continue;
            }
            if ($other->aircraft === $visit->aircraft) {
                $out[] = new LaidTrouble(LaidTroubleKind::Twice, Day::fromNumber($first), other: $other->id);
            }
            if ($other->bay === $visit->bay) {
                $met[] = $other;
                for ($d = $first; $d <= min($visit->end->number, $other->end->number); $d++) {
                    $with[$d]++;
                }
            }
        }
        foreach ($with as $day => $many) {
            if ($many >= $bay->atOnce) {
                $in = array_values(array_filter($met, static fn(LaidVisit $o): bool => $o->holds($day)));
                $out[] = new LaidTrouble(LaidTroubleKind::Full, Day::fromNumber($day), other: $in[0]->id);
                break;
            }
        }

        return $out;
    }
}
