<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Deadline;

/**
 * Which aircraft comes in when, with what, for a whole fleet. Contract: docs/core.md, core/schema/season.json.
 */
final class Season
{
    /**
     * @param int $milliseconds for the search; it ends sooner where nothing better is to be had
     * @param int $seed the same seed looks in the same order
     * @param callable(float): bool|null $tell hears now and then which share of the time is used; false ends the search
     * @param SeasonResult|null $from a plan of the same items, in other windows, to begin with
     */
    public static function plan(
        SeasonGiven $given,
        int $milliseconds = 2000,
        int $seed = 1,
        ?callable $tell = null,
        ?SeasonResult $from = null,
    ): SeasonResult {
        $deadline = Deadline::in($milliseconds);
        $board = SeasonBoard::of($given);
        $items = $lost = [];
        foreach (array_keys($given->items) as $i) {
            if (! $board->counts[$i]) {
                continue;
            }
            if (self::alone($board, $i)) {
                $items[] = $i;
            } else {
                $lost[] = $i;
            }
        }
        $bound = SeasonBound::of($board, $items);
        $plan = (new SeasonSearch($board, $items, $lost, Chance::seeded($seed)))->best(
            $deadline,
            $milliseconds,
            $bound,
            $tell,
            $from === null ? [] : self::visits($given, $from),
        );
        $all = array_filter($items, static fn(int $i): bool => ! $plan->placed($i)) === [];

        return SeasonResult::of($given, $board, $plan, $lost, $all ? $bound : 0.0, $all);
    }

    /** @return list<array{int, int, list<int>}> bay, day and items */
    private static function visits(SeasonGiven $given, SeasonResult $from): array
    {
        $bays = array_flip(array_map(static fn(SeasonBay $b): string => $b->id, $given->bays));
        $items = array_flip(array_map(static fn(SeasonItem $i): string => $i->is->id, $given->items));

        return array_map(static fn(array $v): array => [
            $bays[$v['bay']],
            $given->from->daysUntil(Day::parse($v['start'])),
            array_map(static fn(string $id): int => $items[$id], $v['items']),
        ], $from->visits);
    }

    /** Whether an item has a place with nothing else planned but what stands. */
    private static function alone(SeasonBoard $board, int $item): bool
    {
        return (new SeasonPlan($board))->insert($item);
    }
}
