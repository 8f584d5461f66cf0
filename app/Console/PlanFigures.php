<?php

declare(strict_types=1);

namespace App\Console;

use Jorvel\Core\Contract\Door;

/**
 * How short the planner's plans are: seeded hangars of 30, 60, 120 and 1,200 cards, beside their proven lower bounds. The gap
 * to the bound is at least the gap to the shortest plan, which is not known.
 *
 * @phpstan-import-type Figure from LargeFigures
 */
final readonly class PlanFigures
{
    private const SKILLS = ['airframe' => 6, 'engine' => 4, 'avionics' => 3, 'sheet metal' => 3, 'paint' => 2, 'hydraulics' => 3, 'cabin' => 3, 'inspector' => 2];

    /** @return iterable<Figure> */
    public function measure(): iterable
    {
        foreach ([[30, 8, 1000], [60, 8, 1000], [120, 6, 2000], [1200, 1, 5000]] as [$cards, $instances, $budget]) {
            $gaps = $times = [];
            for ($seed = 1; $seed <= $instances; $seed++) {
                $from = hrtime(true);
                $plan = json_decode(Door::compute('plan', (string) json_encode([...self::hangar($seed, $cards), 'budget_ms' => $budget])));
                $times[] = (hrtime(true) - $from) / 1e6;
                $gaps[] = 100 * ($plan->makespan / $plan->lower_bound - 1);
            }
            yield ['bench' => 'plan', 'metric' => "mean gap to the lower bound, {$instances} × {$cards} cards, {$budget} ms of budget", 'value' => array_sum($gaps) / count($gaps), 'unit' => '%', 'aim' => $cards === 1200 ? 10.0 : null, 'more' => false];
            yield ['bench' => 'plan', 'metric' => "longest time taken, {$cards} cards", 'value' => max($times), 'unit' => 'ms', 'aim' => null, 'more' => false];
        }
    }

    /** @return array<string, mixed> */
    private static function hangar(int $seed, int $many): array
    {
        mt_srand($seed * 1000 + $many);
        $skills = array_keys(self::SKILLS);
        $cards = [];
        for ($c = 0; $c < $many; $c++) {
            $needs = [];
            foreach ((array) array_rand($skills, mt_rand(1, 2)) as $s) {
                $needs[] = ['skill' => $skills[$s], 'count' => mt_rand(1, min(3, self::SKILLS[$skills[$s]]))];
            }
            $card = ['id' => "c{$c}", 'hours' => mt_rand(1, 8), 'needs' => $needs, 'after' => []];
            for ($a = 0; $c > 0 && $a < mt_rand(0, 2); $a++) {
                $card['after'][] = 'c'.mt_rand(max(0, $c - 40), $c - 1);
            }
            if (mt_rand(0, 1) === 0) {
                $card += ['zone' => 'z'.mt_rand(1, 12), 'people_in_zone' => mt_rand(1, 3)];
            }
            if (mt_rand(0, 7) === 0) {
                $card['state'] = (object) [['power', 'hydraulics', 'jacks'][mt_rand(0, 2)] => ['on', 'off'][mt_rand(0, 1)]];
            }
            $cards[] = $card;
        }
        $zones = [];
        for ($z = 1; $z <= 12; $z++) {
            $zones["z{$z}"] = mt_rand(3, 6);
        }

        return ['cards' => $cards, 'skills' => self::SKILLS, 'zones' => $zones];
    }
}
