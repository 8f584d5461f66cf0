<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Fleet\Allowance;
use Jorvel\Core\Fleet\CountRules;
use Jorvel\Core\Fleet\Depletion;
use Jorvel\Core\Fleet\Due;
use Jorvel\Core\Fleet\DueItem;
use Jorvel\Core\Fleet\DueLimit;
use Jorvel\Core\Fleet\DueResult;
use Jorvel\Core\Fleet\DueStatus;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\GasReading;
use Jorvel\Core\Fleet\LastDone;
use Jorvel\Core\Fleet\Rebase;
use Jorvel\Core\Fleet\Rule;
use Jorvel\Core\Fleet\StaggerAircraft;
use Jorvel\Core\Fleet\StaggerLine;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\GasPressure;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What `stagger` and `depletion` promise through their doors, and what a counter may do. */
final class FleetContractTest extends TestCase
{
    private static function ask(string $kind, string $json): mixed
    {
        return json_decode(Door::compute($kind, $json), false, 512, JSON_THROW_ON_ERROR);
    }

    public function test_nothing_is_a_fleet_too(): void
    {
        self::assertEquals(
            json_decode('{"line":[],"spread":0,"proposal":[],"end_spread":0,"weeks":[]}'),
            self::ask('stagger', '{"interval":100,"weeks":[],"aircraft":[]}'),
        );
        self::assertEquals(
            json_decode('[{"task":20,"flown":0,"short":20}]'),
            self::ask('stagger', '{"interval":100,"weeks":[{"task":20}],"aircraft":[]}')->weeks,
        );
        $one = self::ask('stagger', '{"interval":100,"weeks":[],"aircraft":[{"id":"7","left":30,"most":10}]}');
        self::assertSame(
            [['7', 50.0, -20.0], []],
            [
                [$one->line[0]->id, (float) $one->line[0]->target, (float) $one->line[0]->distance],
                $one->proposal[0]->hours,
            ],
            'an id that looks like a number stays a string',
        );
    }

    /**
     * @return iterable<string, array{string, list<float|int>, list<float|int>}> aircraft, hours of each in all, hours
     *   left at the end
     */
    public static function fleets(): iterable
    {
        yield 'the fuller flies the more'
            => ['{"id":"a","left":90,"most":40},{"id":"b","left":50,"most":40}', [25, 35], [65, 15]];
        // They want 15 and 55 and there are 60: each is five short.
        yield 'one that stands lets the other fly' => [
            '{"id":"a","left":90,"most":30,"stands":[0]},{"id":"b","left":80,"most":30}',
            [10, 50],
            [80, 30],
        ];
        // They want 20 and 65; of 10 and 50, or 5 and 55, the first listed gets the step.
        yield 'a phase fills it up' => [
            '{"id":"a","left":20,"most":30,"phase":{"first":1,"last":1}},{"id":"b","left":90,"most":30}',
            [10, 50],
            [100, 40],
        ];
        yield 'past its phase it does not fly'
            => ['{"id":"a","left":-3,"most":30},{"id":"b","left":90,"most":30}', [0, 60], [-3, 30]];
        yield 'the least it should fly'
            => ['{"id":"a","left":90,"most":30},{"id":"b","left":20,"most":30,"least":10}', [40, 20], [50, 0]];
    }

    /**
     * @param list<float|int> $hours
     * @param list<float|int> $left
     */
    #[DataProvider('fleets')]
    public function test_who_flies_what(string $aircraft, array $hours, array $left): void
    {
        $result = self::ask(
            'stagger',
            "{\"interval\":100,\"step\":5,\"weeks\":[{\"task\":30},{\"task\":30}],\"aircraft\":[{$aircraft}]}",
        );
        self::assertEquals([$hours, $left], [
            array_column($result->proposal, 'total'), array_column($result->proposal, 'end_left'),
        ]);
        foreach ($result->proposal as $p) {
            self::assertEqualsWithDelta(
                [$p->total, $p->end_left - $p->end_target],
                [array_sum($p->hours), $p->end_distance],
                1e-9,
            );
        }
    }

    public function test_what_cannot_be_flown_is_said_by_week(): void
    {
        $result = self::ask(
            'stagger',
            '{"interval":100,"margin":5,"step":1,"weeks":[{"task":30},{"task":30}],"aircraft":[{"id":"a","left":27.5,"most":20},{"id":"b","left":8,"most":20}]}',
        );
        self::assertEquals(60 - (22 + 3), array_sum(array_column($result->weeks, 'short')));
        self::assertEquals([22, 3], array_column($result->proposal, 'total'), 'whole steps, and the margin kept');
        foreach ($result->weeks as $week) {
            self::assertEquals($week->task, $week->flown + $week->short);
        }
    }

    /** The trend beside sums worked out another way: every reading corrected by hand, every pair of days looked at. */
    public function test_a_trend_is_the_median_of_all_pairs(): void
    {
        mt_srand(5);
        for ($round = 0; $round < 40; $round++) {
            $day = 0;
            $readings = [];
            for ($i = 0, $n = mt_rand(3, 12); $i < $n; $i++) {
                $day += mt_rand($i === 1 ? 1 : 0, 9);
                $readings[] = [
                    'date' => gmdate('Y-m-d', 1767225600 + $day * 86400), 'pressure' => mt_rand(900, 1300) / 10,
                    'temp_c' => mt_rand(-20, 40), 'day' => $day,
                ];
            }
            $corrected = array_map(
                static fn(array $r): float
                    => ($r['pressure'] + 1.01325) / ($r['temp_c'] + 273.15) * 288.15 - 1.01325,
                $readings,
            );
            $slopes = [];
            foreach ($readings as $i => $a) {
                foreach ($readings as $j => $b) {
                    if ($a['day'] < $b['day']) {
                        $slopes[] = ($corrected[$j] - $corrected[$i]) / ($b['day'] - $a['day']);
                    }
                }
            }
            sort($slopes);
            $n = count($slopes);
            $median = ($slopes[intdiv($n - 1, 2)] + $slopes[intdiv($n, 2)]) / 2;
            $input = [
                'readings' => array_map(static fn(array $r): array => array_diff_key($r, ['day' => 0]), $readings),
                'unit' => 'bar',
                'min_pressure' => 50,
                'reference_temp_c' => 15,
            ];
            $result = self::ask('depletion', (string) json_encode($input));
            self::assertEqualsWithDelta([$median, end($corrected)], [$result->slope_per_day, $result->latest], 1e-9);
            self::assertSame($median >= 0, $result->crosses_on === null);
        }
    }

    public function test_a_gauge_is_brought_to_another_temperature_and_back(): void
    {
        foreach ([[120.0, 5.0, 21.0], [-0.9, -40.0, 60.0], [0.0, 20.0, 20.0]] as [$p, $from, $to]) {
            self::assertEqualsWithDelta(
                $p,
                GasPressure::at(GasPressure::at($p, Unit::bar, $from, $to), Unit::bar, $to, $from),
                1e-9,
            );
            self::assertEqualsWithDelta(
                GasPressure::at($p, Unit::bar, $from, $to) * 100,
                GasPressure::at($p * 100, Unit::kPa, $from, $to),
                1e-6,
                'in any unit the same',
            );
        }
        self::assertEqualsWithDelta(
            100.0,
            GasPressure::at(50.0 - 1.01325 / 2, Unit::bar, 0.0, 273.15),
            0.02,
            'twice the kelvin, twice the absolute pressure',
        );
    }

    /** @return iterable<string, array{int, DueStatus}> days from today, how it stands with fourteen to warn */
    public static function lastDays(): iterable
    {
        yield 'yesterday' => [-1, DueStatus::Overdue];
        yield 'today' => [0, DueStatus::DueSoon];
        yield 'the last day of the warning' => [14, DueStatus::DueSoon];
        yield 'the day after' => [15, DueStatus::Ok];
    }

    #[DataProvider('lastDays')]
    public function test_how_a_last_day_stands(int $days, DueStatus $status): void
    {
        $today = Day::parse('2026-05-05');
        self::assertSame($status, DueStatus::onDay($today, $today->plusDays($days), 14));
    }

    /**
     * @return iterable<string, array{float, float|null, string}> bar at the last of three readings five days apart,
     *   expected a day, state on that day with fourteen to warn
     */
    public static function bottleStates(): iterable
    {
        yield 'far off' => [110.0, null, 'clear'];
        yield 'four weeks and a day' => [92.9, null, 'clear'];
        yield 'four weeks' => [92.8, null, 'watch'];
        yield 'two weeks' => [91.4, null, 'stop'];
        yield 'below' => [89.0, null, 'stop'];
        yield 'far off, but it leaks' => [110.0, 0.04, 'watch'];
    }

    #[DataProvider('bottleStates')]
    public function test_how_a_bottle_stands(float $last, ?float $expected, string $state): void
    {
        $day = Day::parse('2026-05-05');
        $readings = array_map(
            static fn(int $ago): GasReading => GasReading::of($day->plusDays(-$ago), $last + 0.1 * $ago, 21, Unit::bar),
            [10, 5, 0],
        );
        self::assertSame($state, Depletion::of($readings, Unit::bar, 90, 21, $expected)->state($day, 14));
    }

    public function test_who_keeps_a_place_on_the_line_and_what_comes_too_late(): void
    {
        $line = StaggerLine::through(['a' => 90.0, 'b' => 40.0], 100);
        self::assertSame([true, true, false], [$line->keepsPlace(25), $line->keepsPlace(-25), $line->keepsPlace(25.1)]);
        $day = Day::parse('2026-05-05');
        $item = DueItem::of(Rule::First, Rebase::Actual, [
            DueLimit::of('days', 10, null, Allowance::of(3, null, null)),
        ]);
        $due = static fn(int $ago): DueResult
            => Due::since(Flying::of($day, [], []), $item, LastDone::on($day->plusDays(-$ago), []));
        self::assertSame(
            [false, true],
            [$due(5)->missedBy($day->plusDays(8)), $due(5)->missedBy($day->plusDays(9))],
            'within its tolerance',
        );
        self::assertFalse($due(20)->missedBy($day->plusDays(30)), 'what is overdue cannot be missed again');
        self::assertFalse(
            Due::since(Flying::of($day, [], []), DueItem::of(Rule::First, Rebase::Actual, []), null)->missedBy($day),
            'nor what never falls due',
        );
    }

    public function test_when_an_aircraft_of_a_phased_fleet_flies(): void
    {
        $craft = StaggerAircraft::of('a', 30, 20, 0, [0, 4], 2, 3);
        self::assertSame([1, 5, 6], array_values(array_filter(range(0, 6), $craft->flies(...))));
        self::assertSame([0, 1], array_values(array_filter(range(0, 1), StaggerAircraft::of('b', 30, 20)->flies(...))));
    }

    /**
     * @return iterable<string, array{string, float, float, int, float|string}> counter, before, reading, days, flown or
     *   the error
     */
    public static function counts(): iterable
    {
        yield 'a day' => ['fh', 100.0, 106.4, 1, 6.4];
        yield 'stood still' => ['fh', 100.0, 100.0, 1, 0.0];
        yield 'a noise backwards is none' => ['fh', 100.0, 100.0 - 1e-8, 1, 0.0];
        yield 'backwards' => ['fh', 100.0, 99.9, 1, 'runs backwards: 99.9 after 100'];
        yield 'a whole day' => ['fh', 100.0, 124.0, 1, 24.0];
        yield 'more than a day' => [
            'fh', 100.0, 124.1, 1, 'jumps from 100 to 124.1: 24.1 hours do not fit into one day',
        ];
        yield 'two days' => ['fh', 100.0, 124.1, 2, 24.1];
        yield 'landings' => ['ldg', 10.0, 70.0, 1, 60.0];
        yield 'too many landings' => ['ldg', 10.0, 71.0, 1, 'jumps from 10 to 71: 61 landings do not fit into one day'];
        yield 'half a cycle' => ['cyc', 10.0, 10.5, 1, 'jumps from 10 to 10.5: 0.5 is not a whole number of cycles'];
    }

    #[DataProvider('counts')]
    public function test_what_a_counter_may_do(
        string $counter,
        float $before,
        float $reading,
        int $days,
        float|string $is,
    ): void {
        try {
            self::assertSame($is, CountRules::between($counter, $before, $reading, $days));
        } catch (InputError $e) {
            self::assertSame([$counter, $is], [$e->path, $e->getMessage()]);
        }
    }
}
