<?php

declare(strict_types=1);

namespace App\Console;

use Jorvel\Core\Contract\Door;

/**
 * How short the planner's plans are. Instances whose shortest plan is known, since they were cut from it: every person
 * of every skill is at work in every slot of it, so that none can be shorter. And seeded hangars, beside the proven
 * lower bound: the gap to that is at least the gap to the shortest plan, which is not known.
 *
 * @phpstan-import-type Figure from LargeFigures
 */
final readonly class PlanFigures
{
    private const SKILLS = [
        'airframe' => 6,
        'engine' => 4,
        'avionics' => 3,
        'sheet metal' => 3,
        'paint' => 2,
        'hydraulics' => 3,
        'cabin' => 3,
        'inspector' => 2,
    ];

    /** @return iterable<Figure> */
    public function measure(): iterable
    {
        foreach ([[30, 8, 1000, 1.0], [60, 8, 2000, 2.0], [120, 6, 2000, 4.0]] as [$cards, $instances, $budget, $aim]) {
            yield from $this->figures(
                "{$instances} × {$cards} cards of known shortest plan",
                array_map(static fn(int $seed): array => self::cut($seed, $cards), range(1, $instances)),
                $budget,
                $aim,
            );
        }
        foreach ([[30, 8, 1000], [60, 8, 1000], [120, 6, 2000], [1200, 2, 5000]] as [$cards, $instances, $budget]) {
            yield from $this->figures(
                "{$instances} × {$cards} cards",
                array_map(static fn(int $seed): array => [self::hangar($seed, $cards), null], range(1, $instances)),
                $budget,
                $cards === 1200 ? 10.0 : null,
            );
        }
    }

    /**
     * @param list<array{array<string, mixed>, int|null}> $hangars with the length of the shortest plan where it is
     *   known
     *
     * @return iterable<Figure>
     */
    private function figures(string $of, array $hangars, int $budget, ?float $aim): iterable
    {
        $gaps = $spans = $bounds = $times = [];
        foreach ($hangars as [$hangar, $shortest]) {
            $from = hrtime(true);
            $plan = json_decode(Door::compute('plan', (string) json_encode([...$hangar, 'budget_ms' => $budget])));
            $times[] = (hrtime(true) - $from) / 1e6;
            $spans[] = $plan->makespan;
            $bounds[] = $plan->lower_bound;
            $gaps[] = 100 * ($plan->makespan / ($shortest ?? $plan->lower_bound) - 1);
        }
        $figure = static fn(string $what, float $value, string $unit, ?float $aim): array => [
            'bench' => 'plan',
            'metric' => "{$what}, {$of}, {$budget} ms of budget",
            'value' => $value,
            'unit' => $unit,
            'aim' => $aim,
            'more' => false,
        ];
        yield $figure('mean makespan', array_sum($spans) / count($spans), 'slots', null);
        yield $figure('mean lower bound', array_sum($bounds) / count($bounds), 'slots', null);
        yield $figure(
            'mean gap to the '.($hangars[0][1] === null ? 'lower bound' : 'shortest plan'),
            array_sum($gaps) / count($gaps),
            '%',
            $aim,
        );
        yield $figure('longest time', max($times), 'ms', null);
    }

    /**
     * Cards cut from a plan that leaves nobody idle; waits and states that the plan keeps.
     *
     * @return array{array<string, mixed>, int} the hangar, and the length of its shortest plan
     */
    private static function cut(int $seed, int $many): array
    {
        mt_srand($seed * 1000 + $many + 7);
        $skills = ['airframe' => 6, 'engine' => 4, 'avionics' => 3, 'hydraulics' => 3];
        $length = 6 * (int) ceil(sqrt($many));
        $pieces = [];
        foreach (array_keys($skills) as $n => $skill) {
            // Each piece: first slot, slots, people. The largest is cut in two, in time or in people, until there are
            // enough.
            $of = [[0, $length, $skills[$skill]]];
            while (count($of) < intdiv($many, 4) + ($n < $many % 4 ? 1 : 0)) {
                usort($of, static fn(array $a, array $b): int => $b[1] * $b[2] <=> $a[1] * $a[2]);
                [$at, $slots, $people] = array_shift($of);
                if ($people > 1 && mt_rand(0, 2) === 0) {
                    $part = mt_rand(1, $people - 1);
                    array_push($of, [$at, $slots, $part], [$at, $slots, $people - $part]);
                } else {
                    $part = mt_rand(1, $slots - 1);
                    array_push($of, [$at, $part, $people], [$at + $part, $slots - $part, $people]);
                }
            }
            foreach ($of as $piece) {
                $pieces[] = [...$piece, $skill];
            }
        }
        shuffle($pieces);
        $cards = [];
        foreach ($pieces as $c => [$at, $slots, $people, $skill]) {
            $earlier = array_keys(array_filter($pieces, static fn(array $p): bool => $p[0] + $p[1] <= $at));
            shuffle($earlier);
            $card = [
                'id' => "c{$c}",
                'hours' => $slots,
                'needs' => [['skill' => $skill, 'count' => $people]],
                'after' => array_map(static fn(int $e): string => "c{$e}", array_slice($earlier, 0, mt_rand(0, 2))),
            ];
            // Power is off in the first third and on in the last.
            if ($at + $slots <= $length / 3 || $at >= 2 * $length / 3) {
                $card['state'] = (object) ['power' => $at >= 2 * $length / 3 ? 'on' : 'off'];
            }
            $cards[] = $card;
        }

        return [['cards' => $cards, 'skills' => $skills], $length];
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
                $card['state'] = (object) [
                    ['power', 'hydraulics', 'jacks'][mt_rand(0, 2)] => ['on', 'off'][mt_rand(0, 1)],
                ];
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
