<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Day;

/**
 * A season with items that come again: each time is due an interval after the one before it begins, so what is done
 * early comes again early.
 *
 * Planned first as if each came as late as it may. Then every time is held to that plan: not before it where something
 * comes after, and due an interval after the one before, as that stands there. Whatever is planned within these windows
 * keeps the intervals, so a second plan within them is good. A time after the first may be planned in the second half
 * of its interval; laid by hand, from the day after the one before.
 */
final class SeasonChain
{
    /** Share of its interval that an item has for a place, where it needs another than it had. */
    private const SLACK = 0.2;

    /**
     * @param SeasonGiven $given where each item stands behind the time before it
     * @param int $milliseconds for both plans together
     * @param callable(float): bool|null $tell hears now and then which share of the time is used; false ends the search
     */
    public static function plan(
        SeasonGiven $given,
        int $milliseconds = 2000,
        int $seed = 1,
        ?callable $tell = null,
    ): SeasonResult {
        $chained = array_filter($given->items, static fn(SeasonItem $i): bool => $i->after !== null) !== [];
        if (! $chained) {
            return Season::plan($given, $milliseconds, $seed, $tell);
        }
        $first = Season::plan($given, intdiv($milliseconds, 2), $seed, $tell === null
            ? null
            : static fn(float $share): bool => $tell($share / 2));

        return Season::plan(
            $given->with(self::held($given, self::starts($given, $first)), $given->fixed),
            intdiv($milliseconds, 2),
            $seed,
            $tell === null ? null : static fn(float $share): bool => $tell(0.5 + $share / 2),
            $first,
        );
    }

    /** @return array<array-key, Day> the day on which the visit of an item begins, of those that have one */
    private static function starts(SeasonGiven $given, SeasonResult $plan): array
    {
        $starts = [];
        foreach ($plan->visits as $visit) {
            $starts += array_fill_keys($visit['items'], Day::parse($visit['start']));
        }
        foreach ($plan->fixed as $i => $fixed) {
            $starts += array_fill_keys($fixed['items'], $given->fixed[$i]->start);
        }

        return $starts;
    }

    /**
     * @param array<array-key, Day> $starts
     *
     * @return list<SeasonItem>
     */
    private static function held(SeasonGiven $given, array $starts): array
    {
        $comes = array_flip(array_filter(array_map(
            static fn(SeasonItem $i): ?string => $i->after,
            $given->items,
        ), is_string(...)));
        $held = $own = $ends = [];
        foreach ($given->items as $item) {
            $id = $item->is->id;
            $half = (int) floor($item->is->interval / 2);
            [$earliest, $latest] = [$item->is->earliest->number, $item->is->latest->number];
            $before = $own[$item->after ?? ''] ?? null;
            if ($before !== null) {
                $latest = self::due($item, Day::fromNumber($before))->number;
                // Brought forward, it may be done sooner than it said.
                $sooner = min($earliest, $latest - $half);
                $earliest = max($ends[$item->after] + 1, $sooner, $item->holds->number ?? 0);
            }
            // What had no place, or has it too late by now, gets some of its last days: nothing after it comes sooner.
            $start = $starts[$id]->number ?? null;
            $own[$id] = $start !== null && $start <= $latest
                ? $start
                : max(min($item->holds->number ?? 0, $latest), $latest - (int) ceil($item->is->interval * self::SLACK));
            if (isset($comes[$id])) {
                $earliest = max($earliest, $own[$id]);
                // Half an interval to be moved in, so that the time after it has days of its own.
                $latest = min($latest, $own[$id] + $half);
            }
            $ends[$id] = $latest;
            $held[] = $item->between(Day::fromNumber(min($earliest, $latest)), Day::fromNumber($latest));
        }

        return $held;
    }

    /**
     * The last day of an item that comes again, where the time before begins on a day.
     *
     * @pure
     */
    public static function due(SeasonItem $item, Day $before): Day
    {
        return Day::fromNumber(min($item->is->latest->number, $before->number + (int) floor($item->is->interval)));
    }
}
