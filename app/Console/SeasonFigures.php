<?php

declare(strict_types=1);

namespace App\Console;

use Jorvel\Core\Practice\PlantedSeason;
use Jorvel\Core\Visits\Season\Season;

/**
 * How good a fleet's season is: instances made backwards from a plan. Where they are tight, that plan is the best there
 * is; else it is only one that is known, and a better one may be found (a gap below 0).
 *
 * @phpstan-import-type Figure from LargeFigures
 */
final readonly class SeasonFigures
{
    /** Aircraft, bays, days, use of the bays, instances, ms of budget, aims for the gap in cost. */
    private const FLEETS = [
        [3, 1, 30, 0.8, 8, 2000, 1.0], [6, 2, 40, 0.9, 8, 2000, 3.0], [18, 4, 90, 0.9, 4, 2000, 5.0],
        [60, 12, 180, 0.6, 1, 10_000, 5.0],
    ];

    /** @return iterable<Figure> */
    public function measure(): iterable
    {
        foreach (self::FLEETS as [$craft, $bays, $days, $use, $many, $budget, $aim]) {
            foreach ([true, false] as $tight) {
                $gaps = $values = $took = $items = [];
                $standing = $proven = 0;
                for ($seed = 1; $seed <= $many; $seed++) {
                    $world = PlantedSeason::seeded($seed, $craft, $bays, $days, $use, $tight);
                    $from = hrtime(true);
                    $is = Season::plan($world->given, $budget, 1);
                    $took[] = (hrtime(true) - $from) / 1e6;
                    $items[] = count($world->given->items);
                    $gaps[] = 100 * ($is->cost / $world->cost - 1);
                    $due = count(array_filter($is->unplaced, static fn(array $u): bool => $u['reason'] !== 'later'));
                    $values[] = 100 * $due / max(1, count($world->given->items));
                    $standing += count($is->standing);
                    $proven += $is->proven ? 1 : 0;
                }
                $of = "{$many} × {$craft} aircraft, {$bays} bays, {$days} days, ".min($items).' to '.max($items)
                    .' items, '.($tight ? 'optimum known' : 'a plan known');
                yield self::figure("aircraft that stand and need not, {$of}", $standing, 'aircraft', 1.0);
                yield self::figure("items left out, {$of}, mean", array_sum($values) / $many, '%', 1.0);
                yield self::figure("gap in cost, {$of}, mean", array_sum($gaps) / $many, '%', $aim);
                yield self::figure("gap in cost, {$of}, worst", max($gaps), '%', null);
                yield self::figure("proven, {$of}", $proven, "of {$many}", null);
                sort($took);
                yield self::figure("time, {$of}, median", $took[intdiv($many, 2)], 'ms', $budget * 1.05);
            }
        }
    }

    /** @return Figure */
    private static function figure(string $metric, float $value, string $unit, ?float $aim): array
    {
        return [
            'bench' => 'season', 'metric' => $metric, 'value' => round($value, 2), 'unit' => $unit, 'aim' => $aim,
            'more' => false,
        ];
    }
}
