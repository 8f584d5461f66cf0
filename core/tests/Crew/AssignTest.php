<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Crew;

use Jorvel\Core\Crew\Assign;
use Jorvel\Core\Crew\AssignGround;
use Jorvel\Core\Crew\AssignPerson;
use Jorvel\Core\Crew\AssignResult;
use Jorvel\Core\Crew\AssignSlot;
use Jorvel\Core\Crew\Qualified;
use Jorvel\Core\Crew\Role;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Deadline;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Who works what. */
final class AssignTest extends TestCase
{
    /** @return array{list<AssignPerson>, list<AssignSlot>} from a seed */
    private static function world(int $seed, int $many, int $places, bool $alike): array
    {
        mt_srand($seed);
        $some = static fn(array $of, int $odds): array
            => array_values(array_filter($of, static fn(): bool => mt_rand(0, $odds) > 0));
        $people = $slots = [];
        for ($i = 0; $i < $many; $i++) {
            $held = [];
            foreach ([
                'skill' => $some(['engine', 'airframe'], 2),
                'rating' => $some(['SKV', 'OLN'], 3),
                'authority' => $some(['perform', 'duplicate'], 3),
            ] as $kind => $values) {
                foreach ($values as $value) {
                    $held["{$kind}:{$value}"] = mt_rand(0, 5) === 0 ? Day::parse('2026-05-05') : null;
                }
            }
            $people[] = AssignPerson::of("p{$i}", new Qualified($held), mt_rand(0, 4) === 0 ? 4.0 : 8.0);
        }
        for ($i = 0; $i < $places; $i++) {
            $role = $i % 3 === 2 ? Role::Duplicate : Role::Perform;
            $slots[] = AssignSlot::of(
                "s{$i}",
                'c'.intdiv($i, 3),
                $role,
                $role === Role::Duplicate ? null : ['engine', 'airframe'][mt_rand(0, 1)],
                ['SKV', 'OLN'][mt_rand(0, 1)],
                Day::parse('2026-05-0'.mt_rand(5, 6)),
                $alike ? 4.0 : [1.0, 2.0, 3.5, 4.0, 6.0, 8 / 7][mt_rand(0, 5)],
            );
        }

        return [$people, $slots];
    }

    /**
     * Whether a result keeps every rule, how many it fills, and the sum of squares.
     *
     * @param list<AssignPerson> $people
     * @param list<AssignSlot> $slots
     * @param array<array-key, string> $assigned
     *
     * @return array{int, float}|null
     */
    private static function judge(array $people, array $slots, array $assigned): ?array
    {
        $by = [];
        foreach ($people as $p) {
            $by[$p->id] = $p;
        }
        $day = $load = $sides = [];
        foreach ($slots as $s) {
            $id = $assigned[$s->id] ?? null;
            if ($id === null) {
                continue;
            }
            $day["{$id} {$s->date}"] = ($day["{$id} {$s->date}"] ?? 0.0) + $s->hours;
            $load[$id] = ($load[$id] ?? 0.0) + $s->hours;
            $sides["{$id} {$s->card}"][$s->role->value] = true;
            if ($s->unfit($by[$id]->holds) !== null || $day["{$id} {$s->date}"] > $by[$id]->hours + 1e-6 || isset(
                $sides["{$id} {$s->card}"]['perform'],
                $sides["{$id} {$s->card}"]['duplicate'],
            )) {
                return null;
            }
        }

        return [count($assigned), array_sum(array_map(static fn(float $l): float => $l * $l, $load))];
    }

    /**
     * @param list<AssignPerson> $people
     * @param list<AssignSlot> $slots
     *
     * @param array<array-key, list<string>> $barred
     * @param list<array{string, string}> $apart
     *
     * @return array{int, float} the best of every way there is
     */
    private static function bestOfAll(array $people, array $slots, array $barred = [], array $apart = []): array
    {
        $best = [-1, INF];
        $ways = count($people) + 1;
        for ($n = 0, $all = $ways ** count($slots); $n < $all; $n++) {
            $assigned = [];
            for ($s = 0, $m = $n; $s < count($slots); $s++, $m = intdiv($m, $ways)) {
                if ($m % $ways > 0) {
                    $assigned[$slots[$s]->id] = $people[$m % $ways - 1]->id;
                }
            }
            $bars = array_filter(
                $assigned,
                static fn(string $p, string $s): bool => in_array($p, $barred[$s] ?? [], true),
                ARRAY_FILTER_USE_BOTH,
            );
            $bars = [
                ...$bars,
                ...array_filter(
                    $apart,
                    static fn(array $p): bool
                        => isset($assigned[$p[0]], $assigned[$p[1]]) && $assigned[$p[0]] === $assigned[$p[1]],
                ),
            ];
            $judged = count($assigned) < $best[0] || $bars !== [] ? null : self::judge($people, $slots, $assigned);
            if ($judged !== null && ($judged[0] > $best[0] || $judged[1] < $best[1] - 1e-9)) {
                $best = $judged;
            }
        }

        return $best;
    }

    /** @return iterable<string, array{int, int, int, bool}> */
    public static function small(): iterable
    {
        for ($seed = 1; $seed <= 24; $seed++) {
            [$many, $places] = [[2, 8], [3, 6], [4, 6], [5, 5]][$seed % 4];
            yield "seed {$seed}: {$many} people, {$places} slots" => [$seed, $many, $places, $seed % 3 === 0];
        }
    }

    #[DataProvider('small')]
    public function test_small_ones_beside_every_way_there_is(int $seed, int $many, int $places, bool $alike): void
    {
        [$people, $slots] = self::world($seed, $many, $places, $alike);
        $result = Assign::of($people, $slots);
        $judged = self::judge($people, $slots, $result->assigned);
        [$filled, $squares] = self::bestOfAll($people, $slots);
        self::assertNotNull($judged, 'a rule is broken');
        self::assertSame($filled, $judged[0]);
        self::assertEqualsWithDelta($squares, $judged[1], 1e-3);
        self::assertTrue($result->proven);
    }

    /**
     * Days cut into slots of unequal hours, so that all of them can be filled, in a way that is then forgotten.
     *
     * @return array{list<AssignPerson>, list<AssignSlot>}
     */
    private static function planted(int $seed, int $many): array
    {
        mt_srand($seed);
        $kinds = [
            'skill' => ['engine', 'airframe', 'avionics'], 'rating' => ['SKV', 'OLN', 'TRK'],
            'authority' => ['perform', 'duplicate'],
        ];
        $people = $slots = $cards = [];
        for ($i = 0; $i < $many; $i++) {
            $held = array_map(
                static fn(array $of): array => array_values(array_filter(
                    $of,
                    static fn(string $v): bool => mt_rand(0, 2) > 0,
                )) ?: [$of[mt_rand(0, count($of) - 1)]],
                $kinds,
            );
            $hours = mt_rand(0, 4) === 0 ? 4.0 : 8.0;
            $keys = array_merge(...array_map(
                static fn(string $kind): array
                    => array_map(static fn(string $v): string => "{$kind}:{$v}", $held[$kind]),
                array_keys($held),
            ));
            $people[] = AssignPerson::of("p{$i}", new Qualified(array_fill_keys($keys, null)), $hours);
            foreach (['2026-05-05', '2026-05-06'] as $date) {
                for ($left = $hours; $left > 0.4; $left -= $long) {
                    $long = min($left, [0.5, 1.0, 1.5, 2.0, 2.5, 3.0, 3.5, 4.0, 6.0][mt_rand(0, 8)]);
                    $role = Role::from($held['authority'][mt_rand(0, count($held['authority']) - 1)]);
                    // A card of two or three, none of whom works and inspects it.
                    $card = 'c'.(array_key_first(array_filter(
                        $cards,
                        static fn(array $who): bool => ! isset($who[$i]) && count($who) < 3,
                    )) ?? count($cards));
                    $cards[(int) substr($card, 1)][$i] = true;
                    $slots[] = AssignSlot::of(
                        's'.count($slots),
                        $card,
                        $role,
                        $role === Role::Duplicate ? null : $held['skill'][mt_rand(0, count($held['skill']) - 1)],
                        $held['rating'][mt_rand(0, count($held['rating']) - 1)],
                        Day::parse($date),
                        $long,
                    );
                }
            }
        }
        usort($slots, static fn(AssignSlot $a, AssignSlot $b): int => md5($a->id) <=> md5($b->id));

        return [$people, $slots];
    }

    /** @return iterable<string, array{int, int}> */
    public static function plantedWorlds(): iterable
    {
        for ($seed = 1; $seed <= 12; $seed++) {
            yield "seed {$seed}" => [$seed, [8, 10, 12][$seed % 3]];
        }
    }

    #[DataProvider('plantedWorlds')]
    public function test_whatever_can_be_filled_is_filled_though_the_hours_are_unequal(int $seed, int $many): void
    {
        [$people, $slots] = self::planted($seed, $many);
        self::assertGreaterThan(30, count($slots));
        // Half a second does; four times that is for a machine that others work on too, and ten for one that they
        // keep busy.
        $result = Assign::of($people, $slots, Deadline::in(2000));
        $result = $result->open === [] ? $result : Assign::of($people, $slots, Deadline::in(10_000));
        self::assertNotNull(self::judge($people, $slots, $result->assigned), 'a rule is broken');
        self::assertSame([], array_column($result->open, 'slot'));
    }

    /** @return iterable<string, array{int, int, int}> */
    public static function large(): iterable
    {
        yield 'a shift' => [7, 12, 30];
        yield 'a week' => [8, 26, 60];
        yield 'a hangar' => [9, 40, 150];
    }

    #[DataProvider('large')]
    public function test_larger_ones_keep_the_rules_and_say_why_for_everybody(int $seed, int $many, int $places): void
    {
        [$people, $slots] = self::world($seed, $many, $places, true);
        $result = Assign::of($people, $slots, Deadline::in(1500));
        $judged = self::judge($people, $slots, $result->assigned);
        self::assertNotNull($judged, 'a rule is broken');
        self::assertSame(
            array_map(static fn(AssignSlot $s): string => $s->id, $slots),
            array_values(array_filter(
                array_map(static fn(AssignSlot $s): string => $s->id, $slots),
                static fn(string $id): bool
                    => isset($result->assigned[$id]) !== in_array($id, array_column($result->open, 'slot'), true),
            )),
        );
        $ground = new AssignGround($people, $slots);
        self::assertLessThanOrEqual($ground->most(), $judged[0]);
        // Slots are four hours each, which is the grain: the sum in grains is a sixteenth.
        self::assertGreaterThanOrEqual($ground->least($judged[0]), (int) round($judged[1] / 16));
        self::assertSame(
            $result->proven,
            $ground->most() === $judged[0] && $ground->least($judged[0]) === (int) round($judged[1] / 16),
            'what is proven meets both bounds',
        );
        foreach ($result->open as $open) {
            self::assertSame(
                array_map(static fn(AssignPerson $p): string => $p->id, $people),
                array_keys($open['why']),
            );
            foreach ($people as $p) {
                $more = [...$result->assigned, $open['slot'] => $p->id];
                self::assertNull(self::judge($people, $slots, $more), "{$p->id} could take {$open['slot']} after all");
            }
        }
    }

    /** @return iterable<string, array{int, int, int, int}> */
    public static function equal(): iterable
    {
        for ($seed = 60; $seed < 72; $seed++) {
            [$many, $places, $days] = [[6, 14, 1], [10, 30, 2], [16, 60, 3], [26, 110, 5]][$seed % 4];
            yield "seed {$seed}: {$many} people, {$places} slots" => [$seed, $many, $places, $days];
        }
    }

    #[DataProvider('equal')]
    public function test_equal_slots_beside_the_cheapest_flow_that_fills_as_many(
        int $seed,
        int $many,
        int $places,
        int $days,
    ): void {
        mt_srand($seed);
        $people = $slots = [];
        for ($i = 0; $i < $many; $i++) {
            $held = [
                'rating:T' => null, 'authority:perform' => null, 'skill:'.['a', 'b', 'c'][mt_rand(0, 2)] => null,
                'skill:'.['a', 'b', 'c'][mt_rand(0, 2)] => null,
            ];
            $people[] = AssignPerson::of("p{$i}", new Qualified($held), [4.0, 6.0, 8.0][mt_rand(0, 2)]);
        }
        for ($i = 0; $i < $places; $i++) {
            $slots[] = AssignSlot::of(
                "s{$i}",
                "c{$i}",
                Role::Perform,
                ['a', 'b', 'c'][mt_rand(0, 2)],
                'T',
                Day::parse('2026-05-0'.mt_rand(1, $days)),
                2.0,
            );
        }
        $result = Assign::of($people, $slots, Deadline::in(500));
        $judged = self::judge($people, $slots, $result->assigned);
        self::assertNotNull($judged, 'a rule is broken');
        [$filled, $squares] = self::cheapestFlow($people, $slots, $days);
        self::assertSame([$filled, $squares * 4.0], [$judged[0], $judged[1]]);
        self::assertTrue($result->proven);
    }

    /**
     * By successive cheapest paths (Bellman-Ford), the k-th slot of a person costing 2k − 1.
     *
     * @param list<AssignPerson> $people
     * @param list<AssignSlot> $slots of two hours each
     *
     * @return array{int, int} slots filled, and the sum of squares of how many each person has
     */
    private static function cheapestFlow(array $people, array $slots, int $days): array
    {
        $edges = $left = [];
        $add = static function (string $from, string $to, int $cost) use (&$edges, &$left): void {
            array_push($edges, [$from, $to, $cost], [$to, $from, -$cost]);
            array_push($left, 1, 0);
        };
        foreach ($slots as $slot) {
            $add('source', "slot {$slot->id}", 0);
            foreach ($people as $p) {
                if ($slot->unfit($p->holds) === null) {
                    $add("slot {$slot->id}", "{$p->id} {$slot->date}", 0);
                }
            }
        }
        foreach ($people as $p) {
            for ($k = 0; $k < intdiv((int) $p->hours, 2) * $days; $k++) {
                $add("{$p->id} 2026-05-0".($k % $days + 1), $p->id, 0);
                $add($p->id, 'sink', 2 * $k + 1);
            }
        }
        for ($filled = $squares = 0; true; $filled++) {
            $costs = ['source' => 0];
            $by = [];
            do {
                $shorter = false;
                foreach ($edges as $e => [$from, $to, $cost]) {
                    if ($left[$e] > 0 && isset($costs[$from]) && $costs[$from] + $cost < ($costs[$to] ?? PHP_INT_MAX)) {
                        [$costs[$to], $by[$to], $shorter] = [$costs[$from] + $cost, $e, true];
                    }
                }
            } while ($shorter);
            if (! isset($costs['sink'])) {
                return [$filled, $squares];
            }
            $squares += $costs['sink'];
            for ($node = 'sink'; $node !== 'source'; $node = $edges[$by[$node]][0]) {
                $left[$by[$node]]--;
                $left[$by[$node] ^ 1]++;
            }
        }
    }

    public function test_without_time_the_rules_are_kept_all_the_same_and_nothing_is_claimed_that_the_bounds_do_not_show(): void
    {
        [$people, $slots] = self::world(9, 40, 150, false);
        $over = Deadline::in(1);
        usleep(2000);
        $result = Assign::of($people, $slots, $over);
        $judged = self::judge($people, $slots, $result->assigned);
        self::assertNotNull($judged, 'a rule is broken');
        self::assertSame(150, count($result->assigned) + count($result->open));
        $ground = new AssignGround($people, $slots);
        self::assertTrue(! $result->proven || $ground->most() === $judged[0]);
        self::assertGreaterThanOrEqual(
            $judged[0],
            count(Assign::of($people, $slots, null, 1)->assigned),
            'with time at least as many are filled',
        );
    }

    public function test_whoever_worked_a_card_before_is_not_given_its_inspection_and_is_told_why(): void
    {
        $held = new Qualified(['rating:T' => null, 'authority:perform' => null, 'authority:duplicate' => null]);
        $people = [AssignPerson::of('a', $held, 8), AssignPerson::of('b', $held, 8)];
        $slot = static fn(string $id, Role $role, string $card): AssignSlot => AssignSlot::of(
            $id,
            $card,
            $role,
            null,
            'T',
            Day::parse('2026-05-05'),
            2.0,
        );
        $slots = [$slot('inspect', Role::Duplicate, '1'), $slot('other', Role::Perform, '2')];
        self::assertSame(
            ['inspect' => 'b', 'other' => 'a'],
            Assign::of($people, $slots, null, 3, ['inspect' => ['a']])->assigned,
        );
        $none = Assign::of($people, $slots, null, 3, ['inspect' => ['a', 'b']]);
        self::assertSame(
            [['slot' => 'inspect', 'why' => ['a' => 'not_independent', 'b' => 'not_independent']]],
            $none->open,
        );
        self::assertTrue($none->proven);
    }

    public function test_slots_at_one_time_go_to_different_people_beside_every_way_there_is(): void
    {
        for ($seed = 80; $seed < 92; $seed++) {
            [$people, $slots] = self::world($seed, 3, 5, $seed % 2 === 0);
            $apart = [['s0', 's1'], ['s1', 's4'], ['s3', 's4']];
            $result = Assign::of($people, $slots, null, 10, [], $apart);
            $judged = self::judge($people, $slots, $result->assigned);
            self::assertNotNull($judged);
            [$filled, $squares] = self::bestOfAll($people, $slots, [], $apart);
            self::assertSame($filled, $judged[0]);
            self::assertEqualsWithDelta($squares, $judged[1], 1e-3);
            foreach ($apart as [$a, $b]) {
                self::assertFalse(
                    isset($result->assigned[$a], $result->assigned[$b])
                        && $result->assigned[$a] === $result->assigned[$b],
                );
            }
        }
    }

    public function test_small_ones_with_people_barred_beside_every_way_there_is(): void
    {
        for ($seed = 40; $seed < 52; $seed++) {
            [$people, $slots] = self::world($seed, 3, 5, $seed % 2 === 0);
            $barred = [];
            foreach ($slots as $i => $slot) {
                $barred[$slot->id] = ($i + $seed) % 3 === 0 ? [$people[$seed % 3]->id] : [];
            }
            $result = Assign::of($people, $slots, null, 10, $barred);
            [$filled, $squares] = self::bestOfAll($people, $slots, $barred);
            $judged = self::judge($people, $slots, $result->assigned);
            self::assertNotNull($judged);
            self::assertSame($filled, $judged[0]);
            self::assertEqualsWithDelta($squares, $judged[1], 1e-3);
            foreach ($result->assigned as $slot => $person) {
                self::assertNotContains($person, $barred[$slot]);
            }
        }
    }

    public function test_someone_is_moved_on_to_make_room_and_the_search_by_rounds_repeats_itself(): void
    {
        [$people, $slots] = self::world(31, 8, 24, false);
        $first = Assign::of($people, $slots, null, 3);
        self::assertEquals($first, Assign::of($people, $slots, null, 3));

        $both = new Qualified(['skill:a' => null, 'skill:b' => null, 'rating:T' => null, 'authority:perform' => null]);
        $one = new Qualified(['skill:a' => null, 'rating:T' => null, 'authority:perform' => null]);
        $day = Day::parse('2026-05-05');
        $slot = static fn(string $id, string $skill): AssignSlot
            => AssignSlot::of($id, $id, Role::Perform, $skill, 'T', $day, 8.0);
        $result = Assign::of([AssignPerson::of('both', $both, 8), AssignPerson::of('one', $one, 8)], [
            $slot('x', 'a'), $slot('y', 'b'),
        ]);
        self::assertSame(['x' => 'one', 'y' => 'both'], $result->assigned);
        self::assertInstanceOf(AssignResult::class, $result);
    }
}
