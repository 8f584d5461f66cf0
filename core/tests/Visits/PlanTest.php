<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Visits;

use Jorvel\Core\Contract\Door;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** When each card is worked. */
final class PlanTest extends TestCase
{
    /**
     * @return array{cards: list<array<string, mixed>>, skills: array<string, int>, zones: array<string, int>} from a
     *   seed
     */
    private static function hangar(int $seed, int $many): array
    {
        mt_srand($seed);
        $cards = [];
        for ($c = 0; $c < $many; $c++) {
            $card = ['id' => "c{$c}", 'hours' => mt_rand(1, 5), 'needs' => []];
            foreach (['airframe' => 3, 'engine' => 2] as $skill => $most) {
                if (mt_rand(0, 1) === 0) {
                    $card['needs'][] = ['skill' => $skill, 'count' => mt_rand(1, $most)];
                }
            }
            $card['after'] = array_values(array_map(
                static fn(int $a): string => "c{$a}",
                array_filter($c === 0 ? [] : range(0, $c - 1), static fn(): bool => mt_rand(0, $many) === 0),
            ));
            if (mt_rand(0, 2) === 0) {
                $card += ['zone' => ['nose', 'tail'][mt_rand(0, 1)], 'people_in_zone' => mt_rand(0, 3)];
            }
            if (mt_rand(0, 2) === 0) {
                $card['state'] = [['power', 'jacks'][mt_rand(0, 1)] => ['on', 'off'][mt_rand(0, 1)]];
            }
            if (mt_rand(0, 5) === 0) {
                $card['earliest'] = mt_rand(1, 8);
            }
            $cards[] = $card;
        }

        return [
            'cards' => $cards, 'skills' => ['airframe' => 3, 'engine' => 2, 'paint' => 1],
            'zones' => ['nose' => 3, 'tail' => 4],
        ];
    }

    /**
     * Whether a card may begin at a slot beside those that are placed, by the contract's own words.
     *
     * @param array{cards: list<array<string, mixed>>, skills: array<string, int>, zones: array<string, int>} $hangar
     * @param array<int, int> $starts of the cards that are placed
     */
    private static function allowed(array $hangar, array $starts, int $c, int $t): bool
    {
        $cards = $hangar['cards'];
        $index = array_flip(array_column($cards, 'id'));
        if ($t < ($cards[$c]['earliest'] ?? 0)) {
            return false;
        }
        foreach ($cards[$c]['after'] as $a) {
            if (! isset($starts[$index[$a]]) || $starts[$index[$a]] + $cards[$index[$a]]['hours'] > $t) {
                return false;
            }
        }
        for ($slot = $t; $slot < $t + $cards[$c]['hours']; $slot++) {
            $at = [
                $c,
                ...array_keys(array_filter(
                    $starts,
                    static fn(int $s, int $o): bool => $o !== $c && $s <= $slot && $slot < $s + $cards[$o]['hours'],
                    ARRAY_FILTER_USE_BOTH,
                )),
            ];
            $people = $zones = $states = [];
            foreach ($at as $o) {
                foreach ($cards[$o]['needs'] as $n) {
                    $people[$n['skill']] = ($people[$n['skill']] ?? 0) + $n['count'];
                }
                if (isset($cards[$o]['zone'])) {
                    $zones[$cards[$o]['zone']] = ($zones[$cards[$o]['zone']] ?? 0) + $cards[$o]['people_in_zone'];
                }
                foreach ($cards[$o]['state'] ?? [] as $key => $value) {
                    $states[$key][$value] = true;
                }
            }
            foreach ([[$people, $hangar['skills']], [$zones, $hangar['zones']]] as [$used, $there]) {
                foreach ($used as $name => $many) {
                    if ($many > $there[$name]) {
                        return false;
                    }
                }
            }
            foreach ($states as $values) {
                if (count($values) > 1) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @param array<string, mixed> $hangar */
    private static function ask(array $hangar, int $budget = 300): \stdClass
    {
        $hangar['cards'] = array_map(
            static fn(array $c): array => isset($c['state']) ? [...$c, 'state' => (object) $c['state']] : $c,
            $hangar['cards'],
        );

        return json_decode(Door::compute('plan', (string) json_encode([...$hangar, 'budget_ms' => $budget])));
    }

    public function test_every_plan_is_feasible_and_none_beats_its_bound(): void
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            $hangar = self::hangar($seed, [8, 25, 60][$seed % 3]);
            $plan = self::ask($hangar, 60);
            $starts = array_values(get_object_vars($plan->starts));
            $ends = array_map(static fn(int $s, array $c): int => $s + $c['hours'], $starts, $hangar['cards']);
            foreach ($starts as $c => $t) {
                self::assertTrue(self::allowed($hangar, $starts, $c, $t), "seed {$seed}, card {$c} at {$t}");
            }
            self::assertSame(max([0, ...$ends]), $plan->makespan);
            self::assertGreaterThanOrEqual($plan->lower_bound, $plan->makespan);
            foreach ($hangar['skills'] as $skill => $people) {
                self::assertCount($plan->makespan, $plan->use->{$skill});
                self::assertLessThanOrEqual($people, max($plan->use->{$skill}));
                $hours = array_sum(array_map(
                    static fn(array $c): int => array_sum(array_map(
                        static fn(array $n): int => $n['skill'] === $skill ? $n['count'] * $c['hours'] : 0,
                        $c['needs'],
                    )),
                    $hangar['cards'],
                ));
                self::assertSame($hours, array_sum($plan->use->{$skill}), 'every hour of work stands in it');
            }
            $critical = array_map(static fn(string $id): int => (int) substr($id, 1), $plan->critical);
            self::assertNotEmpty($critical);
            $sorted = $critical;
            sort($sorted);
            self::assertSame($sorted, $critical, 'in the order of the cards');
            foreach ($critical as $c) {
                // Each ends the work, or another critical card begins where it ends and could not have begun sooner
                // with it there.
                $next = array_filter(
                    $critical,
                    static fn(int $n): bool => $starts[$n] === $ends[$c] && (in_array(
                        "c{$c}",
                        $hangar['cards'][$n]['after'],
                        true,
                    ) || ! self::allowed($hangar, array_diff_key($starts, [$n => 0]), $n, $starts[$n] - 1)),
                );
                self::assertTrue(
                    $ends[$c] === $plan->makespan || $next !== [],
                    "seed {$seed}: nothing waits for c{$c}",
                );
            }
        }
    }

    /** More skills and zones than one machine word holds. */
    public function test_many_skills_and_zones_are_none_of_them_overbooked(): void
    {
        foreach ([1, 2, 3] as $seed) {
            mt_srand($seed);
            $hangar = ['cards' => [], 'skills' => [], 'zones' => []];
            for ($n = 0; $n < 14; $n++) {
                $hangar['skills']["s{$n}"] = mt_rand(1, 9);
                $hangar['zones']["z{$n}"] = mt_rand(1, 9);
            }
            for ($c = 0; $c < 90; $c++) {
                $skill = 's'.mt_rand(0, 13);
                $zone = 'z'.mt_rand(0, 13);
                $hangar['cards'][] = [
                    'id' => "c{$c}", 'hours' => mt_rand(1, 4), 'after' => [], 'needs' => [[
                        'skill' => $skill,
                        'count' => mt_rand(1, $hangar['skills'][$skill]),
                    ]],
                    'zone' => $zone, 'people_in_zone' => mt_rand(1, $hangar['zones'][$zone]),
                ];
            }
            $starts = array_values(get_object_vars(self::ask($hangar, 100)->starts));
            foreach ($starts as $c => $t) {
                self::assertTrue(self::allowed($hangar, $starts, $c, $t), "seed {$seed}, card {$c} at {$t}");
            }
        }
    }

    /** Cards placed in every order, each at its first slot: one of these plans is the shortest there is. */
    public function test_a_small_plan_is_the_shortest_there_is(): void
    {
        for ($seed = 1; $seed <= 30; $seed++) {
            $hangar = self::hangar(100 + $seed, 5);
            $best = PHP_INT_MAX;
            foreach (self::orders(range(0, 4)) as $order) {
                $starts = [];
                foreach ($order as $c) {
                    for ($t = 0; $t < 60 && ! self::allowed($hangar, $starts, $c, $t); $t++);
                    if ($t === 60) {
                        continue 2;
                    }
                    $starts[$c] = $t;
                }
                $best = min(
                    $best,
                    max([
                        0,
                        ...array_map(static fn(int $c): int => $starts[$c] + $hangar['cards'][$c]['hours'], $order),
                    ]),
                );
            }
            $plan = self::ask($hangar, 150);
            self::assertSame($best, $plan->makespan, "seed {$seed}");
            self::assertGreaterThanOrEqual($plan->lower_bound, $best, 'the bound is one');
        }
    }

    /**
     * @param list<int> $of
     *
     * @return iterable<list<int>>
     */
    private static function orders(array $of): iterable
    {
        if ($of === []) {
            yield [];
        }
        foreach ($of as $i => $first) {
            foreach (self::orders(array_values(array_diff_key($of, [$i => 0]))) as $rest) {
                yield [$first, ...$rest];
            }
        }
    }

    /** @return iterable<string, array{string, string}> input, result */
    public static function cases(): iterable
    {
        yield 'no card' => [
            '{"cards":[],"skills":{"a":1}}', '{"starts":{},"makespan":0,"lower_bound":0,"critical":[],"use":{"a":[]}}',
        ];
        yield 'opposite states' => [
            '{"cards":[{"id":"1","hours":2,"state":{"power":"on"}},{"id":"2","hours":3,"state":{"power":"off"}}],"skills":{}}',
            '{"starts":{"1":3,"2":0},"makespan":5,"lower_bound":5,"critical":["1","2"],"use":{}}',
        ];
        yield 'a wait that nobody caused' => [
            '{"cards":[{"id":"a","hours":1,"needs":[{"skill":"s","count":1}]},{"id":"b","hours":2,"needs":[{"skill":"s","count":1}],"earliest":4}],"skills":{"s":1}}',
            '{"starts":{"a":0,"b":4},"makespan":6,"lower_bound":6,"critical":["b"],"use":{"s":[1,0,0,0,1,1]}}',
        ];
        yield 'a zone that is full' => [
            '{"cards":[{"id":"a","hours":2,"needs":[{"skill":"s","count":2}],"zone":"z"},{"id":"b","hours":2,"needs":[{"skill":"s","count":2}],"zone":"z"}],"skills":{"s":9},"zones":{"z":3}}',
            '{"starts":{"a":0,"b":2},"makespan":4,"lower_bound":4,"critical":["a","b"],"use":{"s":[2,2,2,2]}}',
        ];
    }

    #[DataProvider('cases')]
    public function test_a_plan(string $input, string $result): void
    {
        self::assertEquals(json_decode($result), json_decode(Door::compute('plan', $input)));
    }
}
