<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Jorvel\Core\Contract\Door;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The contract of `due`, clause by clause, through the door. */
final class DueContractTest extends TestCase
{
    /**
     * Limits and what surrounds them, against what must come out; the base is 2026-05-04, 100 fh, one a day, entered on
     * 2020-01-15.
     *
     * @return iterable<string, array{array<string, mixed>, array<string, mixed>}>
     */
    public static function limits(): iterable
    {
        $fh = static fn(float $interval, mixed ...$more): array
            => ['limits' => [['unit' => 'fh', 'interval' => $interval, ...$more]]];
        $unit = static fn(string $unit, float $interval, mixed ...$more): array => ['limits' => [[
            'unit' => $unit,
            'interval' => $interval,
            ...$more,
        ]]];
        $done = static fn(string $date, float $fh = 50, ?object $planned = null): array => ['last' => [
            'date' => $date,
            'counters' => ['fh' => $fh],
            ...($planned === null ? [] : ['planned' => $planned]),
        ]];

        yield 'never done: from nought where nothing was entered'
            => [$fh(150), ['base' => 0, 'next' => 150, 'remaining' => 50]];
        yield 'never done: the threshold comes first'
            => [$fh(150, threshold: 400), ['base' => 0, 'next' => 400, 'remaining' => 300]];
        yield 'never done: from the entry value' => [
            [...$fh(150), 'entry' => ['date' => '2020-01-15', 'counters' => ['fh' => 20]]],
            ['base' => 20, 'next' => 170],
        ];
        yield 'never done: a calendar counts from the entry date'
            => [$unit('months', 120), ['base' => '2020-01-15', 'next' => '2030-01-15']];
        yield 'never done: a calendar threshold'
            => [$unit('days', 10, threshold: 3000), ['base' => '2020-01-15', 'next' => '2028-04-02']];
        yield 'done: the threshold has had its time'
            => [[...$fh(150, threshold: 400), ...$done('2026-01-01')], ['base' => 50, 'next' => 200]];

        yield 'tolerance: fixed' => [
            $fh(150, tolerance: ['abs' => 15]), ['tolerance' => 15, 'latest_date' => '2026-07-08'],
        ];
        yield 'tolerance: per cent of the interval' => [$fh(150, tolerance: ['pct' => 10]), ['tolerance' => 15]];
        yield 'tolerance: per cent with its cap'
            => [$fh(150, tolerance: ['pct' => 10, 'cap' => 4]), ['tolerance' => 4]];
        yield 'tolerance: per cent of the threshold while it rules'
            => [$fh(150, threshold: 400, tolerance: ['pct' => 10]), ['tolerance' => 40]];
        yield 'tolerance: days round down' => [
            [...$unit('days', 99, tolerance: ['pct' => 10]), ...$done('2026-04-01')],
            ['tolerance' => 9, 'next' => '2026-07-09', 'latest_date' => '2026-07-18'],
        ];
        yield 'tolerance: of months, in days from base to next' => [
            [...$unit('months', 2, tolerance: ['pct' => 10]), ...$done('2026-04-01')],
            ['tolerance' => 6, 'next' => '2026-06-01', 'latest_date' => '2026-06-07'],
        ];
        yield 'tolerance: of months, fixed days' => [
            [...$unit('months', 2, tolerance: ['abs' => 5]), ...$done('2026-03-01')],
            ['tolerance' => 5, 'status' => 'in_tolerance', 'remaining' => -3],
        ];
        yield 'tolerance: none of months left' => [
            [...$unit('months', 2, tolerance: ['abs' => 2]), ...$done('2026-03-01')],
            ['status' => 'overdue', 'forecast_date' => '2026-05-01', 'latest_date' => '2026-05-03'],
        ];
        yield 'per cents that floats blur still make whole days' => [
            [...$unit('days', 100, tolerance: ['pct' => 29]), ...$done('2026-04-01')],
            ['tolerance' => 29],
        ];

        yield 'early: fixed days before the plan keep it' => [
            [...$unit('days', 100, early: ['abs' => 5]), ...$done('2026-03-27', 50, (object) ['days' => '2026-04-01'])],
            ['base' => '2026-04-01', 'next' => '2026-07-10'],
        ];
        yield 'early: a day too early loses it' => [
            [...$unit('days', 100, early: ['abs' => 5]), ...$done('2026-03-26', 50, (object) ['days' => '2026-04-01'])],
            ['base' => '2026-03-26', 'next' => '2026-07-04'],
        ];
        yield 'early: per cent of months, in days ahead of the plan' => [
            [
                ...$unit('months', 2, early: ['pct' => 10]),
                ...$done('2026-03-26', 50, (object) ['months' => '2026-04-01']),
            ],
            ['base' => '2026-04-01', 'next' => '2026-06-01'],
        ];
        yield 'early: of months, a day outside' => [
            [
                ...$unit('months', 2, early: ['pct' => 10]),
                ...$done('2026-03-25', 50, (object) ['months' => '2026-04-01']),
            ],
            ['base' => '2026-03-25', 'next' => '2026-05-25'],
        ];
        yield 'early: a cap on it' => [
            [...$fh(200, early: ['pct' => 50, 'cap' => 5]), ...$done('2026-04-01', 54, (object) ['fh' => 60])],
            ['base' => 54],
        ];
        yield 'late: the plan is kept'
            => [[...$fh(200), ...$done('2026-04-01', 75, (object) ['fh' => 60])], ['base' => 60, 'next' => 260]];
        yield 'late: nothing was planned in this unit' => [
            [...$fh(200), ...$done('2026-04-01', 75, (object) ['months' => '2026-04-01'])],
            ['base' => 75],
        ];
        yield 'actual: the plan is not looked at' => [
            ['rebase' => 'actual', ...$fh(200), ...$done('2026-04-01', 75, (object) ['fh' => 60])],
            ['base' => 75],
        ];

        yield 'anchor: the 31st through a short month' => [
            [
                ...$unit('months', 1),
                ...$done('2026-04-30', 50, (object) ['months' => '2026-04-30', 'anchor_day' => 31]),
            ],
            ['base' => '2026-04-30', 'next' => '2026-05-31'],
        ];
        yield 'anchor: lost when the plan is' => [
            [
                ...$unit('months', 1),
                ...$done('2026-04-28', 50, (object) ['months' => '2026-04-30', 'anchor_day' => 31]),
            ],
            ['base' => '2026-04-28', 'next' => '2026-05-28'],
        ];
        yield 'anchor: not needed, the base date is its own' => [
            [...$unit('months', 1), ...$done('2026-03-31')],
            ['next' => '2026-04-30', 'status' => 'overdue'],
        ];

        yield 'forecast: the last day that still fits' => [
            $fh(110),
            ['forecast_date' => '2026-05-14', 'latest_date' => '2026-05-14', 'status' => 'due_soon'],
        ];
        yield 'forecast: part of a day does not fit' => [$fh(110.5), ['forecast_date' => '2026-05-14']];
        yield 'forecast: not within the horizon' => [
            [...$fh(150), 'rates' => ['fh' => 0.006]],
            ['forecast_date' => null, 'latest_date' => null, 'status' => 'ok'],
        ];
        yield 'forecast: used up on the last day of the horizon'
            => [[...$fh(7404.5)], ['forecast_date' => '2046-05-03']];
        yield 'forecast: one day later is beyond it' => [[...$fh(7405)], ['forecast_date' => null]];
        yield 'forecast: standing still' => [[...$fh(150), 'rates' => ['fh' => 0]], ['forecast_date' => null]];
        yield 'forecast: at the limit and standing still'
            => [[...$fh(100), 'rates' => ['fh' => 0]], ['forecast_date' => null, 'status' => 'ok']];
        yield 'forecast: already beyond'
            => [$fh(90), ['forecast_date' => '2026-05-04', 'latest_date' => '2026-05-04', 'status' => 'overdue']];
        yield 'plan: a visit stands between' => [
            [...$fh(105), 'plan' => [['from' => '2026-05-06', 'to' => '2026-05-25', 'rates' => ['fh' => 0]]]],
            ['forecast_date' => '2026-05-29'],
        ];
        yield 'plan: busier days' => [
            [...$fh(130), 'plan' => [['from' => '2026-05-05', 'to' => '2026-05-09', 'rates' => ['fh' => 5]]]],
            ['forecast_date' => '2026-05-14'],
        ];
        yield 'plan: only the counters it names' => [
            [...$fh(105), 'plan' => [['from' => '2026-05-05', 'to' => '2026-06-30', 'rates' => ['ldg' => 0]]]],
            ['forecast_date' => '2026-05-09'],
        ];
        yield 'plan: what is over does not count' => [
            [...$fh(105), 'plan' => [['from' => '2026-04-01', 'to' => '2026-05-04', 'rates' => ['fh' => 9]]]],
            ['forecast_date' => '2026-05-09'],
        ];
        yield 'plan: in any order' => [
            [
                ...$fh(104),
                'plan' => [
                    ['from' => '2026-05-08', 'to' => '2026-05-08', 'rates' => ['fh' => 0]],
                    ['from' => '2026-05-06', 'to' => '2026-05-06', 'rates' => ['fh' => 0]],
                ],
            ],
            ['forecast_date' => '2026-05-10'],
        ];

        yield 'warning days: none' => [[...$fh(101), 'warn_days' => 0], ['status' => 'ok']];
        yield 'warning days: just' => [[...$fh(110), 'warn_days' => 10], ['status' => 'due_soon']];
        yield 'warning days: one too few' => [[...$fh(110), 'warn_days' => 9], ['status' => 'ok']];
        yield 'a counter named like a number' => [
            ['counters' => ['7' => 5], 'rates' => ['7' => 1], ...$unit('7', 10)],
            ['unit' => '7', 'remaining' => 5],
        ];
        yield 'a calendar due today is not past'
            => [[...$unit('days', 10), ...$done('2026-04-24')], ['remaining' => 0, 'status' => 'due_soon']];
        yield 'a calendar due yesterday is' => [
            [...$unit('days', 10), ...$done('2026-04-23')],
            ['remaining' => -1, 'status' => 'overdue', 'forecast_date' => '2026-05-03'],
        ];
    }

    /**
     * @param array<string, mixed> $given
     * @param array<string, mixed> $expected
     */
    #[DataProvider('limits')]
    public function test_one_limit(array $given, array $expected): void
    {
        $limit = $this->due($given)['limits'][0];
        self::assertEqualsWithDelta($expected, array_intersect_key($limit, $expected), 1e-9);
    }

    /**
     * @return iterable<string, array{string, list<array{float, ?float}>, ?string, ?string, ?string, string}> rule;
     *   interval and tolerance of limits a, b, c; driver, forecast, latest, status
     */
    public static function combinations(): iterable
    {
        yield 'first: the earliest drives' => ['first', [[150, 0], [120, 0]], 'b', '2026-05-24', '2026-05-24', 'ok'];
        yield 'first: the first listed wins a tie'
            => ['first', [[120, 5], [120, 0]], 'a', '2026-05-24', '2026-05-24', 'ok'];
        yield 'first: latest is the earliest of the latest'
            => ['first', [[120, 30], [125, 2]], 'a', '2026-05-24', '2026-05-31', 'ok'];
        yield 'first: the worst status'
            => ['first', [[150, 0], [95, 10], [90, 0]], 'b', '2026-05-04', '2026-05-04', 'overdue'];
        yield 'first: a null comes last' => ['first', [[9000, 0], [120, 0]], 'b', '2026-05-24', '2026-05-24', 'ok'];
        yield 'first: all null, the first listed' => ['first', [[9000, 0], [9500, 0]], 'a', null, null, 'ok'];
        yield 'last: the latest drives' => ['last', [[150, 0], [120, 0]], 'a', '2026-06-23', '2026-06-23', 'ok'];
        yield 'last: the first with null drives' => ['last', [[150, 0], [9000, 0], [9500, 0]], 'b', null, null, 'ok'];
        yield 'last: latest is the latest of the latest'
            => ['last', [[120, 60], [125, 2]], 'b', '2026-05-29', '2026-07-23', 'ok'];
        yield 'last: the best status' => ['last', [[90, 0], [105, 0]], 'b', '2026-05-09', '2026-05-09', 'due_soon'];
        yield 'last: the first listed wins a tie'
            => ['last', [[120, 0], [120, 5]], 'a', '2026-05-24', '2026-05-29', 'ok'];
    }

    /** @param list<array{float, ?float}> $limits */
    #[DataProvider('combinations')]
    public function test_limits_together(
        string $rule,
        array $limits,
        ?string $driver,
        ?string $forecast,
        ?string $latest,
        string $status,
    ): void {
        $given = ['rule' => $rule, 'counters' => [], 'rates' => [], 'limits' => []];
        foreach ($limits as $i => [$interval, $tolerance]) {
            $unit = chr(97 + $i);
            $given['counters'][$unit] = 100;
            $given['rates'][$unit] = 1;
            $given['limits'][] = ['unit' => $unit, 'interval' => $interval, 'tolerance' => ['abs' => $tolerance]];
        }
        $answer = $this->due($given);
        self::assertSame([$driver, $forecast, $latest, $status], [
            $answer['driver'], $answer['forecast_date'], $answer['latest_date'], $answer['status'],
        ]);
    }

    /**
     * @param array<string, mixed> $given
     *
     * @return array<string, mixed>
     */
    private function due(array $given): array
    {
        $item = [
            'rule' => 'first', 'rebase' => 'planned',
            ...array_intersect_key($given, array_flip(['rule', 'rebase', 'limits', 'last'])),
        ];
        $input = [
            'as_of' => '2026-05-04',
            'counters' => ['fh' => 100],
            'rates' => ['fh' => 1],
            'entry' => ['date' => '2020-01-15', 'counters' => (object) []],
            ...array_diff_key($given, $item),
            'item' => $item,
        ];
        foreach (['counters', 'rates'] as $map) {
            $input[$map] = (object) $input[$map];
        }

        return json_decode(Door::compute('due', (string) json_encode($input)), true);
    }
}
