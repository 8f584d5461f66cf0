<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Visits;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Visits\Phases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** One big check cut into phases. */
final class PhaseTest extends TestCase
{
    /**
     * @return array{
     *   list<array{id: string, hours: float, access: list<string>, together: string|null}>, array<string, float>,
     * }
     *   items and panels from a seed
     */
    private static function check(int $seed, int $many): array
    {
        mt_srand($seed);
        $access = ['p' => mt_rand(0, 30) / 10, 'q' => mt_rand(0, 40) / 10, 'r' => 1.0];
        $items = [];
        for ($i = 0; $i < $many; $i++) {
            $items[] = [
                'id' => "i{$i}",
                'hours' => mt_rand(0, 90) / 10,
                'access' => array_values(array_filter(['p', 'q', 'r'], static fn(): bool => mt_rand(0, 2) === 0)),
                'together' => mt_rand(0, 3) === 0 ? 'k'.mt_rand(0, 1) : null,
            ];
        }

        return [$items, $access];
    }

    /**
     * The best of every way there is: longest, then total.
     *
     * @param list<array{id: string, hours: float, access: list<string>, together: string|null}> $items
     * @param array<string, float> $access
     *
     * @return array{float, float}
     */
    private static function bestOfAll(array $items, array $access, int $phases): array
    {
        $best = [INF, INF];
        for ($n = 0, $all = $phases ** count($items); $n < $all; $n++) {
            $hours = array_fill(0, $phases, 0.0);
            $open = array_fill(0, $phases, []);
            $of = [];
            $allowed = true;
            foreach ($items as $i => $item) {
                $p = intdiv($n, $phases ** $i) % $phases;
                $allowed = $allowed && ($item['together'] === null || ($of[$item['together']] ??= $p) === $p);
                $hours[$p] += $item['hours'];
                foreach ($item['access'] as $panel) {
                    $hours[$p] += isset($open[$p][$panel]) ? 0.0 : $access[$panel];
                    $open[$p][$panel] = true;
                }
            }
            if ($allowed) {
                $best = min($best, [round(max([0.0, ...$hours]), 6), round(array_sum($hours), 6)]);
            }
        }

        return $best;
    }

    public function test_it_is_the_best_of_every_cut(): void
    {
        for ($seed = 1; $seed <= 40; $seed++) {
            $phases = 2 + $seed % 2;
            [$items, $access] = self::check($seed, $phases === 2 ? 10 : 7);
            $result = Phases::cut($items, $access, $phases, Deadline::in(5000));
            self::assertEqualsWithDelta(
                self::bestOfAll($items, $access, $phases),
                [$result->longest(), array_sum($result->totals())],
                1e-6,
                "seed {$seed}",
            );
            self::assertTrue($result->proven);
            self::assertEqualsWithDelta(
                $result->longest(),
                $result->lowerBound,
                1e-9,
                'proven, the bound is the longest itself',
            );
        }
    }

    public function test_a_search_that_ran_out_of_time_proves_nothing_and_loses_nothing(): void
    {
        [$items, $access] = self::check(9, 60);
        $over = Deadline::in(1);
        usleep(2000);
        $result = Phases::cut($items, $access, 5, $over);
        self::assertFalse($result->proven);
        self::assertGreaterThan($result->lowerBound, $result->longest());
        self::assertCount(60, array_merge(...array_column($result->phases, 'items')));
    }

    public function test_every_item_stands_once_and_every_hour_is_counted(): void
    {
        foreach ([[5, 60, 4], [6, 25, 12], [7, 3, 5], [8, 0, 3]] as [$seed, $many, $phases]) {
            [$items, $access] = self::check($seed, $many);
            $from = hrtime(true);
            $result = Phases::cut($items, $access, $phases, Deadline::in(300));
            self::assertLessThan(
                10_000,
                (hrtime(true) - $from) / 1e6,
                'it ends after its deadline of 300 ms, even on a busy machine',
            );
            self::assertCount($phases, $result->phases);
            self::assertEqualsCanonicalizing(
                array_column($items, 'id'),
                array_merge(...array_column($result->phases, 'items')),
            );
            $byId = array_column($items, null, 'id');
            $together = [];
            foreach ($result->phases as $n => $phase) {
                $open = [];
                foreach ($phase['items'] as $id) {
                    $open += array_fill_keys($byId[$id]['access'], true);
                    if ($byId[$id]['together'] !== null) {
                        self::assertSame($n, $together[$byId[$id]['together']] ??= $n, 'together in one phase');
                    }
                }
                self::assertEqualsWithDelta(
                    [
                        array_sum(array_map(static fn(string $id): float => $byId[$id]['hours'], $phase['items'])),
                        array_sum(array_intersect_key($access, $open)),
                    ],
                    [$phase['hours'], $phase['access_hours']],
                    1e-9,
                );
            }
            self::assertGreaterThanOrEqual($result->lowerBound - 1e-9, $result->longest());
        }
    }

    /** @return iterable<string, array{string, string}> input, result */
    public static function cases(): iterable
    {
        yield 'nothing to do' => [
            '{"phases":2,"items":[],"access_hours":{}}',
            '{"phases":[{"items":[],"hours":0,"access_hours":0,"total":0},{"items":[],"hours":0,"access_hours":0,"total":0}],"longest":0,"total":0,"lower_bound":0,"proven":true}',
        ];
        yield 'one phase holds all, its panel opened once' => [
            '{"phases":1,"items":[{"id":"a","hours":3,"access":["p"]},{"id":"b","hours":4,"access":["p"]}],"access_hours":{"p":2}}',
            '{"phases":[{"items":["a","b"],"hours":7,"access_hours":2,"total":9}],"longest":9,"total":9,"lower_bound":9,"proven":true}',
        ];
        yield 'a dear panel keeps its items together' => [
            '{"phases":2,"items":[{"id":"a","hours":3,"access":["p"]},{"id":"b","hours":3,"access":["p"]},{"id":"c","hours":14}],"access_hours":{"p":8}}',
            '{"phases":[{"items":["c"],"hours":14,"access_hours":0,"total":14},{"items":["a","b"],"hours":6,"access_hours":8,"total":14}],"longest":14,"total":28,"lower_bound":14,"proven":true}',
        ];
    }

    #[DataProvider('cases')]
    public function test_a_cut(string $input, string $result): void
    {
        self::assertEquals(json_decode($result), json_decode(Door::compute('phase', $input)));
    }
}
