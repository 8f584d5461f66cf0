<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Visits;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Visits\Pack;
use Jorvel\Core\Visits\PackItem;
use Jorvel\Core\Visits\PackVisit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which visit takes which due item. */
final class PackTest extends TestCase
{
    private const ACCESS = ['p' => 2.0, 'q' => 3.5, 'r' => 0.0];

    /** @return array{list<PackItem>, list<PackVisit>} from a seed */
    private static function world(int $seed, int $many, int $slots): array
    {
        mt_srand($seed);
        $day = Day::parse('2026-05-05');
        $items = $visits = [];
        for ($i = 0; $i < $many; $i++) {
            $earliest = $day->plusDays(mt_rand(0, 60));
            $panels = array_values(array_filter(array_keys(self::ACCESS), static fn(): bool => mt_rand(0, 2) === 0));
            $items[] = PackItem::of(
                "i{$i}",
                $earliest,
                $earliest->plusDays(mt_rand(5, 120)),
                mt_rand(20, 300),
                mt_rand(0, 80) / 10,
                $panels,
                [0.0, 1.0, 1.0, 2.5][mt_rand(0, 3)],
            );
        }
        for ($v = 0; $v < $slots; $v++) {
            $start = $day->plusDays(mt_rand(0, 100));
            $visits[] = PackVisit::of("v{$v}", $start, $start->plusDays(mt_rand(0, 6)), mt_rand(0, 20));
        }

        return [$items, $visits];
    }

    /**
     * The best of every way there is: the most value, then the least cost.
     *
     * @param list<PackItem> $items
     * @param list<PackVisit> $visits
     *
     * @return array{float, float}
     */
    private static function bestOfAll(array $items, array $visits, float $weight): array
    {
        $best = [-1.0, INF];
        $ways = count($visits) + 1;
        for ($n = 0, $all = $ways ** count($items); $n < $all; $n++) {
            $value = $cost = 0.0;
            $hours = array_fill(0, count($visits), 0.0);
            $open = array_fill(0, count($visits), []);
            foreach ($items as $i => $item) {
                $v = intdiv($n, $ways ** $i) % $ways - 1;
                if ($v < 0) {
                    continue;
                }
                if (
                    $visits[$v]->start->number < $item->earliest->number
                    || $visits[$v]->start->number > $item->latest->number
                ) {
                    continue 2;
                }
                $hours[$v] += $item->hours;
                $open[$v] += array_fill_keys($item->panels, true);
                $value += $item->value;
                $cost += $item->value * ($item->latest->number - $visits[$v]->start->number) / $item->interval;
            }
            foreach ($visits as $v => $visit) {
                $panels = array_sum(array_intersect_key(self::ACCESS, $open[$v]));
                if ($hours[$v] + $panels > $visit->capacity + 1e-9) {
                    continue 2;
                }
                $cost += $weight * $panels;
            }
            if ($value > $best[0] + 1e-9 || (abs($value - $best[0]) < 1e-9 && $cost < $best[1])) {
                $best = [$value, $cost];
            }
        }

        return $best;
    }

    public function test_it_is_the_best_of_every_packing(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            [$items, $visits] = self::world($seed, 6, 2 + $seed % 2);
            $weight = [0.0, 0.1, 2.0][$seed % 3];
            $result = Pack::into($items, $visits, self::ACCESS, $weight, Deadline::in(5000));
            $placed = array_merge([], ...array_column($result->visits, 'items'));
            $value = array_sum(
                array_map(static fn(PackItem $i): float => in_array($i->id, $placed, true) ? $i->value : 0.0, $items),
            );
            self::assertEqualsWithDelta(
                self::bestOfAll($items, $visits, $weight),
                [$value, $result->cost],
                1e-9,
                "seed {$seed}",
            );
            self::assertTrue($result->proven);
        }
    }

    /**
     * A panel opened twice against an item done early: what an hour of opening costs decides, by the contract's own
     * door.
     */
    public function test_the_weight_of_opening_decides(): void
    {
        $ask = static function (?float $weight): array {
            $item = static fn(string $id, string $earliest, string $latest): array => [
                'id' => $id, 'earliest' => $earliest, 'latest' => $latest, 'interval_days' => 100, 'hours' => 1,
                'access' => ['p'],
            ];
            $answer = json_decode(Door::compute('pack', (string) json_encode([
                'items' => [
                    $item('a', '2026-05-01', '2026-05-10'),
                    $item('b', '2026-05-01', '2026-06-10'),
                ], 'access_hours' => ['p' => 4], ...$weight === null ? [] : ['hour_weight' => $weight],
                'visits' => [
                    ['id' => 'May', 'start' => '2026-05-08', 'end' => '2026-05-09', 'capacity_hours' => 20],
                    ['id' => 'June', 'start' => '2026-06-08', 'end' => '2026-06-09', 'capacity_hours' => 20],
                ],
            ])));

            return [array_column($answer->visits, 'items', 'id'), $answer->cost];
        };
        self::assertSame(['May' => ['a'], 'June' => ['b']], $ask(0.01)[0]);
        self::assertSame(['May' => ['a', 'b'], 'June' => []], $ask(1.0)[0]);
        self::assertSame($ask(null), $ask(0.1), 'what it is where nothing is said');
    }

    public function test_a_search_that_ran_out_of_time_proves_nothing_and_still_holds(): void
    {
        [$items, $visits] = self::world(7, 60, 8);
        $over = Deadline::in(1);
        usleep(2000);
        $result = Pack::into($items, $visits, self::ACCESS, 0.1, $over);
        self::assertFalse($result->proven);
        self::assertSame(
            count($items),
            count(array_merge(...array_column($result->visits, 'items'))) + count($result->unplaced),
        );
    }

    public function test_no_visit_holds_what_it_may_not_and_nothing_is_lost(): void
    {
        foreach ([[1, 80, 6], [2, 200, 12], [3, 30, 1], [4, 5, 0], [5, 0, 3]] as [$seed, $many, $slots]) {
            [$items, $visits] = self::world($seed, $many, $slots);
            $from = hrtime(true);
            $result = Pack::into($items, $visits, self::ACCESS, 0.1, Deadline::in(300));
            self::assertLessThan(
                10_000,
                (hrtime(true) - $from) / 1e6,
                'it ends after its deadline of 300 ms, even on a busy machine',
            );
            self::assertSame(
                array_map(static fn(PackVisit $v): string => $v->id, $visits),
                array_column($result->visits, 'id'),
                'every visit, in its order',
            );
            $byId = array_combine(array_map(static fn(PackItem $i): string => $i->id, $items), $items);
            $cost = 0.0;
            foreach ($result->visits as $v => $row) {
                $hours = array_sum(array_map(static fn(string $id): float => $byId[$id]->hours, $row['items']));
                $panels = array_sum(array_intersect_key(self::ACCESS, array_fill_keys(
                    array_merge([], ...array_map(static fn(string $id): array => $byId[$id]->panels, $row['items'])),
                    true,
                )));
                self::assertEqualsWithDelta(
                    [$hours, $panels, $visits[$v]->capacity - $hours - $panels],
                    [$row['item_hours'], $row['access_hours'], $row['free_hours']],
                    1e-9,
                );
                self::assertGreaterThanOrEqual(-1e-9, $row['free_hours']);
                $cost += 0.1 * $panels;
                foreach ($row['items'] as $id) {
                    self::assertTrue(
                        $byId[$id]->fits($visits[$v]),
                        'never before its earliest, never after its latest',
                    );
                    $cost += $byId[$id]->waste($visits[$v]);
                }
            }
            self::assertEqualsWithDelta($cost, $result->cost, 1e-9);
            self::assertEqualsCanonicalizing(array_keys($byId), [
                ...array_merge([], ...array_column($result->visits, 'items')),
                ...array_column($result->unplaced, 'id'),
            ]);
            foreach ($result->unplaced as $left) {
                $any = array_filter($visits, $byId[$left['id']]->fits(...)) !== [];
                self::assertSame($any ? 'no_capacity' : 'no_visit_in_window', $left['reason']);
            }
        }
    }

    /** @return iterable<string, array{string, list<list<string>>}> items and visits, what each visit takes */
    public static function cases(): iterable
    {
        $item = static fn(string $id, string $more = ''): string
            => "{\"id\":\"{$id}\",\"earliest\":\"2026-05-01\",\"latest\":\"2026-07-01\",\"interval_days\":100,\"hours\":5{$more}}";
        $visit = static fn(string $id, string $day, int $hours): string
            => "{\"id\":\"{$id}\",\"start\":\"{$day}\",\"end\":\"{$day}\",\"capacity_hours\":{$hours}}";
        yield 'the later visit throws less life away'
            => [
                "\"items\":[{$item('a')}],\"visits\":[{$visit('x', '2026-05-10', 9)},{$visit('y', '2026-06-10', 9)}]",
                [[], ['a']],
            ];
        yield 'a dear panel is opened once, though one goes early'
            => [
                "\"items\":[{$item('a', ',"access":["p"]')},{$item('b', ',"access":["p"],"latest":"2026-05-20"')}],\"visits\":[{$visit('x', '2026-05-10', 60)},{$visit('y', '2026-06-10', 60)}]",
                [['a', 'b'], []],
            ];
        yield 'the dearer of two that do not both fit'
            => [
                "\"items\":[{$item('a')},{$item('b', ',"value":3')}],\"visits\":[{$visit('x', '2026-05-10', 6)}]",
                [['b']],
            ];
        yield 'exactly full' => [
            "\"items\":[{$item('a')}, {$item('b')}],\"visits\":[{$visit('x', '2026-05-10', 10)}]", [['a', 'b']],
        ];
        yield 'a visit on the first and on the last day'
            => ["\"items\":[{$item('a', ',"latest":"2026-05-01"')}],\"visits\":[{$visit('x', '2026-05-01', 9)}]",
                [['a']],
            ];
    }

    /** @param list<list<string>> $takes */
    #[DataProvider('cases')]
    public function test_a_packing(string $input, array $takes): void
    {
        // The later of two equal names in an object counts, so that a case may give an item another date.
        $result = json_decode(
            Door::compute('pack', (string) json_encode(json_decode("{{$input},\"access_hours\":{\"p\":30}}"))),
        );
        self::assertSame($takes, array_column($result->visits, 'items'));
    }
}
