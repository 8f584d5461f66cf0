<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench;

use Jorvel\Core\Bench\Decay;
use Jorvel\Core\Bench\PressureAt;
use Jorvel\Core\Bench\Response;
use Jorvel\Core\Bench\Samples;
use Jorvel\Core\Bench\Steadiness;
use Jorvel\Core\Bench\Tension;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Practice\SimulatedRun;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Change-overs, pressures that hold, cables for the day's temperature. */
final class ResponseTest extends TestCase
{
    /**
     * @param list<array{float, string, float}> $rows time, mode, torque
     * @param array<int, float> $speed that is not 96, by sample
     */
    private static function response(array $rows, float $watch = 2.0, float $hold = 3.0, array $speed = []): Response
    {
        return Response::of(
            Samples::of(array_column($rows, 0), [
                'torque' => array_column($rows, 2),
                'speed' => array_map(static fn(int $i): float => $speed[$i] ?? 96.0, array_keys($rows)),
            ]),
            array_column($rows, 1),
            'torque',
            null,
            Steadiness::of('speed', 96.0, 0.7, $hold),
            $watch,
            6.0,
            4.0,
        );
    }

    /** @return list<array{float, string, float}> four seconds on automatic at 40, then on manual */
    private static function torques(float ...$after): array
    {
        $rows = [];
        for ($t = 0; $t < 4; $t++) {
            $rows[] = [(float) $t, 'auto', 40.0];
        }
        foreach (array_values($after) as $i => $torque) {
            $rows[] = [4.0 + $i, 'manual', $torque];
        }

        return $rows;
    }

    /**
     * @return iterable<string, array{list<float>, Verdict, float, bool}> torque after it, verdict, excursion, unusual
     */
    public static function swings(): iterable
    {
        yield 'at its limit' => [[46.0, 40.0, 40.0], Verdict::Pass, 6.0, true];
        yield 'beyond it by noise only' => [[46.0 + 1e-12, 40.0, 40.0], Verdict::Pass, 6.0, true];
        yield 'beyond it' => [[46.01, 40.0, 40.0], Verdict::Fail, 6.01, true];
        yield 'down, and usual' => [[36.0, 40.0, 40.0], Verdict::Pass, -4.0, false];
        yield 'the rise wins a tie' => [[45.0, 35.0, 40.0], Verdict::Pass, 5.0, true];
        yield 'the larger in size counts' => [[43.0, 33.9, 40.0], Verdict::Fail, -6.1, true];
        yield 'what comes after the watch does not' => [[41.0, 41.0, 99.0], Verdict::Pass, 1.0, false];
    }

    /** @param list<float> $after */
    #[DataProvider('swings')]
    public function test_the_largest_swing_in_the_watch_decides(
        array $after,
        Verdict $verdict,
        float $excursion,
        bool $unusual,
    ): void {
        $is = self::response(self::torques(...$after));
        self::assertSame(
            [$verdict, $verdict, $unusual],
            [$is->verdict, $is->changes[0]->verdict, $is->changes[0]->unusual],
        );
        self::assertEqualsWithDelta($excursion, $is->changes[0]->excursion, 1e-9);
        self::assertEqualsWithDelta([40.0, 34.0, 46.0], [$is->reference, $is->low, $is->high], 1e-9);
    }

    /** @return iterable<string, array{float, float|null, float|null, Verdict}> swing, partner's, its limit, verdict */
    public static function partners(): iterable
    {
        yield 'no partner' => [5.0, null, 3.0, Verdict::Pass];
        yield 'the partner is free' => [5.0, -9.0, null, Verdict::Pass];
        yield 'the partner at its limit' => [5.0, -3.0, 3.0, Verdict::Pass];
        yield 'the partner beyond it' => [5.0, -3.1, 3.0, Verdict::Fail];
        yield 'the partner within, the engine not' => [6.1, 1.0, 3.0, Verdict::Fail];
    }

    /** By eye and from samples the same verdict. */
    #[DataProvider('partners')]
    public function test_the_partner_may_have_a_limit_of_its_own(
        float $swing,
        ?float $partner,
        ?float $limit,
        Verdict $verdict,
    ): void {
        self::assertSame(
            $verdict,
            Response::seen(40.0, 40.0 + $swing, 40.0, null, $partner, 6.0, 4.0, $limit)->verdict,
        );
        $t = array_map(floatval(...), range(0, 9));
        $is = Response::of(
            Samples::of($t, [
                'q' => array_map(static fn(float $at): float => 40.0 + ($at === 5.0 ? $swing : 0.0), $t),
                'q2' => array_map(static fn(float $at): float => 38.0 + ($at === 5.0 ? $partner ?? 0.0 : 0.0), $t),
                'n' => array_fill(0, 10, 96.0),
            ]),
            [...array_fill(0, 5, 'auto'), ...array_fill(0, 5, 'manual')],
            'q',
            $partner === null ? null : 'q2',
            Steadiness::of('n', 96.0, 0.7, 3.0),
            3.0,
            6.0,
            4.0,
            $limit,
        );
        self::assertSame([$verdict, $verdict], [$is->verdict, $is->changes[0]->verdict]);
    }

    public function test_what_was_not_recorded_was_not_stable(): void
    {
        $t = [0.0, 1.0, 2.0, 3.0, 7.0, 8.0, 9.0, 10.0, 11.0];
        $samples = Samples::of($t, ['n' => array_fill(0, 9, 96.0)]);
        $hold = Steadiness::of('n', 96.0, 0.7, 4.0);
        self::assertSame(7.0, $hold->reachedAt($samples), 'nothing is said of gaps');
        self::assertSame(11.0, $hold->reachedAt($samples, [['from' => 3.0, 'to' => 7.0]]));
        self::assertNull(Steadiness::of('n', 96.0, 0.7, 5.0)->reachedAt($samples, [['from' => 3.0, 'to' => 7.0]]));
        self::assertSame(3.0, Steadiness::of('n', 96.0, 0.7, 3.0)->reachedAt($samples, [['from' => 3.0, 'to' => 7.0]]));
    }

    public function test_it_stands_only_if_it_was_stable_for_the_whole_window_and_samples_span_it(): void
    {
        $rows = self::torques(40.0, 40.0, 40.0);
        self::assertSame(Verdict::Pass, self::response($rows)->verdict);
        self::assertSame([Response::NOT_STABILISED], self::response($rows, speed: [1 => 96.8])->reasons);
        self::assertSame(Verdict::Pass, self::response($rows, speed: [0 => 50.0])->verdict, 'before the window');
        self::assertSame(Verdict::Pass, self::response($rows, hold: 4.0)->verdict, 'one sample at its very beginning');
        $short = self::response($rows, hold: 4.1);
        self::assertSame([Verdict::Invalid, null, []], [$short->verdict, $short->reference, $short->changes]);
    }

    public function test_a_watch_that_is_cut_short_says_nothing_and_a_failure_beats_it(): void
    {
        $short = self::response(self::torques(41.0, 40.0));
        self::assertSame([Verdict::Invalid, [Response::WATCH_TOO_SHORT]], [$short->verdict, $short->reasons]);
        $back = [
            ...self::torques(47.0, 40.0, 40.0), [7.0, 'auto', 40.0], [8.0, 'manual', 41.0], [9.0, 'manual', 40.0],
            [10.0, 'manual', 40.0],
        ];
        $both = self::response($back);
        self::assertSame(
            [Verdict::Fail, Verdict::Invalid, Verdict::Pass],
            array_map(static fn($c): Verdict => $c->verdict, $both->changes),
        );
        self::assertSame([Verdict::Fail, [Response::WATCH_TOO_SHORT]], [$both->verdict, $both->reasons]);
    }

    public function test_without_a_change_of_mode_or_with_times_that_do_not_rise_nothing_is_said(): void
    {
        foreach ([
            static fn() => self::response([[0.0, 'auto', 1.0], [1.0, 'auto', 1.0]]),
            static fn() => Samples::of([0.0, 1.0, 1.0], []),
            static fn() => Samples::of([0.0, 1.0], ['a' => [1.0]]),
        ] as $bad) {
            try {
                $bad();
                self::fail('it was taken');
            } catch (InputError $e) {
                self::assertSame('samples', $e->path);
            }
        }
    }

    public function test_a_simulated_run_of_two_engines_is_judged_as_it_was_made_from_any_seed(): void
    {
        foreach (range(1, 12) as $seed) {
            $swing = [-4.9, 6.9, 3.1, -7.4][$seed % 4];
            [$samples, $modes] = SimulatedRun::of(
                150,
                10,
                [['t' => 100.0, 'mode' => 'manual', 'swing' => $swing]],
                $seed,
            );
            $is = Response::of($samples, $modes, 'torque', 'torque_2', Steadiness::of('speed', 96, 0.7, 70), 3, 6, 4);
            self::assertSame(abs($swing) > 6 ? Verdict::Fail : Verdict::Pass, $is->verdict, "seed {$seed}");
            self::assertEqualsWithDelta($swing, $is->changes[0]->excursion, 0.2);
            self::assertEqualsWithDelta(-0.6 * $swing, (float) $is->changes[0]->partnerExcursion, 0.2);
            self::assertSame($samples->signals, SimulatedRun::of(150, 10, [
                ['t' => 100.0, 'mode' => 'manual', 'swing' => $swing],
            ], $seed)[0]->signals, 'the same seed gives the same run');
        }
    }

    /** @return iterable<string, array{list<array{float, float}>, Verdict, float}> readings, verdict, held */
    public static function held(): iterable
    {
        yield 'for long enough' => [[[0, 96], [30, 96.5], [60, 95.4]], Verdict::Pass, 60.0];
        yield 'not quite' => [[[0, 96], [59, 96]], Verdict::Fail, 59.0];
        yield 'since it came in' => [[[0, 90], [10, 96], [70, 96]], Verdict::Pass, 60.0];
        yield 'it left again' => [[[0, 96], [50, 98], [110, 96]], Verdict::Fail, 0.0];
        yield 'one reading alone' => [[[0, 96]], Verdict::Fail, 0.0];
        yield 'none' => [[], Verdict::Fail, 0.0];
    }

    /** @param list<array{float, float}> $readings */
    #[DataProvider('held')]
    public function test_readings_show_that_it_holds_when_the_last_ones_span_the_time(
        array $readings,
        Verdict $verdict,
        float $held,
    ): void {
        self::assertEquals([$verdict, $held], Steadiness::of('speed', 96, 0.7, 60)->ofReadings($readings));
    }

    public function test_a_gas_that_only_cools_has_lost_nothing_and_a_liquid_is_taken_as_it_is_read(): void
    {
        mt_srand(7);
        $at = static fn(int $h): Instant => Instant::fromEpoch(1_777_968_000 + $h * 3600);
        for ($i = 0; $i < 60; $i++) {
            [$p, $a, $b] = [mt_rand(50, 900) / 10, mt_rand(-200, 400) / 10, mt_rand(-200, 400) / 10];
            $cold = ($p + 1.01325) * ($b + 273.15) / ($a + 273.15) - 1.01325;
            $is = Decay::of(new PressureAt($at(0), $p, $a), new PressureAt($at(4), $cold, $b), Unit::bar, true, 0.01);
            self::assertEqualsWithDelta([0.0, $p], [$is->drop, $is->correctedEnd], 1e-9);
            self::assertSame(Verdict::Pass, $is->verdict);
            $liquid = Decay::of(
                new PressureAt($at(0), $p, $a),
                new PressureAt($at(4), $p - 2, $b),
                Unit::bar,
                false,
                0.4,
            );
            self::assertEqualsWithDelta(0.5, $liquid->perHour, 1e-9);
            self::assertSame(Verdict::Fail, $liquid->verdict);
        }
    }

    public function test_a_chart_is_met_at_its_rows_and_straight_between_them(): void
    {
        $chart = [[-10.0, 98.0], [10.0, 118.0], [30.0, 142.0]];
        foreach ([[-10.0, 98.0], [0.0, 108.0], [10.0, 118.0], [20.0, 130.0], [30.0, 142.0]] as [$temp, $target]) {
            $is = Tension::of($chart, 8, 6, $target + 8, $temp, 10);
            self::assertEqualsWithDelta([$target, -0.8], [$is->target, $is->turns], 1e-9);
            self::assertSame(Verdict::Pass, $is->verdict);
            self::assertSame(Verdict::Fail, Tension::of($chart, 8, 6, $target - 6.01, $temp)->verdict);
        }
        self::assertSame(5.0, Tension::read([[3.0, 5.0]], 3.0), 'a chart of one row');
    }
}
