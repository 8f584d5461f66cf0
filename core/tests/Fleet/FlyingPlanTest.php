<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Eris\Generators;
use Eris\TestTrait;
use Jorvel\Core\Fleet\Due;
use Jorvel\Core\Fleet\DueItem;
use Jorvel\Core\Fleet\DueKind;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\FlyingPlan;
use Jorvel\Core\Fleet\FlyingSimulator;
use Jorvel\Core\Fleet\HarshUse;
use Jorvel\Core\Fleet\Tenure;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is going to be flown, and what follows from it: forecasts, components that move, harsh use. */
final class FlyingPlanTest extends TestCase
{
    use TestTrait;

    /** Day by day, as anybody would count it, beside the periods. */
    public function test_a_forecast_follows_the_week_the_sectors_and_the_visits(): void
    {
        $this->limitTo(120)->forAll(Generators::choose(1, 100_000))->then(function (int $seed): void {
            mt_srand($seed);
            $asOf = Day::parse('2026-05-04')->plusDays(mt_rand(0, 6));
            $week = array_map(static fn(): float => mt_rand(0, 60) / 10, range(1, 7));
            $sectors = array_map(
                static fn(): array
                    => [$asOf->plusDays(mt_rand(-3, 60)), ['fh' => mt_rand(0, 50) / 10]],
                range(0, mt_rand(0, 9)),
            );
            $visits = array_map(static function () use ($asOf): array {
                $from = $asOf->plusDays(mt_rand(-5, 80));

                return [$from, $from->plusDays(mt_rand(0, 12))];
            }, range(0, mt_rand(0, 3)));
            $plan = FlyingPlan::of($asOf, ['fh' => 1.0], ['fh' => $week], $sectors, $visits);
            $left = (float) mt_rand(1, 200);
            $item = DueKind::item(Input::of(json_decode(
                "{\"rule\":\"first\",\"rebase\":\"actual\",\"limits\":[{\"unit\":\"fh\",\"interval\":{$left}}]}",
            )));
            $due = Due::of(Flying::of($asOf, ['fh' => 0.0], $plan->means, $plan->periods, $asOf, ['fh' => 0.0]), $item);

            $flown = 0.0;
            for ($n = 1; $n <= 7305; $n++) {
                $day = $asOf->plusDays($n);
                $in = array_filter(
                    $visits,
                    static fn(array $v): bool => $v[0]->number <= $day->number && $day->number <= $v[1]->number,
                );
                $of = array_filter($sectors, static fn(array $s): bool => $s[0]->number === $day->number);
                $flown += match (true) {
                    $in !== [] => 0.0,
                    $of !== [] => array_sum(array_map(static fn(array $s): float => $s[1]['fh'], $of)),
                    $n <= FlyingPlan::DAYS => $week[(int) (new \DateTimeImmutable((string) $day))->format('N') - 1],
                    default => array_sum($week) / 7,
                };
                if ($flown > $left + 1e-7) {
                    self::assertSame((string) $asOf->plusDays($n - 1), (string) $due->forecast, "seed {$seed}");

                    return;
                }
            }
            self::assertNull($due->forecast);
        });
    }

    public function test_a_week_that_is_none_is_refused(): void
    {
        foreach ([
            'week.fh' => ['fh' => [1.0, 2.0]],
            'week.cyc' => ['cyc' => array_fill(0, 7, 1.0)],
        ] as $path => $week) {
            try {
                FlyingPlan::of(Day::parse('2026-05-04'), ['fh' => 1.0], $week);
                self::fail($path);
            } catch (InputError $e) {
                self::assertSame($path, $e->path);
            }
        }
    }

    public function test_moving_a_component_back_and_forth_changes_nothing(): void
    {
        $accrues = ['fh' => ['fh', 1.0], 'cyc' => ['ldg', 1.4]];
        $this->limitTo(100)->forAll(Generators::choose(0, 9000), Generators::choose(0, 5000), Generators::choose(1, 12))
            ->then(function (int $fh, int $ldg, int $moves) use ($accrues): void {
                $a = ['fh' => $fh / 10, 'ldg' => (float) $ldg];
                $b = ['fh' => 7123.4, 'ldg' => 88.0];
                $stays = Tenure::begin(['fh' => 500.0, 'cyc' => 321.0], $a, $accrues);
                $own = $stays->counters($a);
                for ($i = 0; $i < $moves; $i++) {
                    $own = Tenure::begin($own, $i % 2 === 0 ? $b : $a, $accrues)->counters($i % 2 === 0 ? $b : $a);
                }
                $back = Tenure::begin($own, $a, $accrues);
                $later = ['fh' => $a['fh'] + 37.25, 'ldg' => $a['ldg'] + 20];
                self::assertEqualsWithDelta($stays->counters($later), $back->counters($later), 1e-6);
                self::assertEqualsWithDelta(['fh' => 537.25, 'cyc' => 349.0], $back->counters($later), 1e-6);
            });
        self::assertEqualsWithDelta(
            ['fh' => 2.0, 'cyc' => 4.2],
            Tenure::begin(['fh' => 0.0, 'cyc' => 0.0, 'hot' => 3.0], [], $accrues)->share(['fh' => 2.0, 'ldg' => 3.0]),
            1e-9,
            'a counter that follows nothing stands still',
        );
        self::assertSame(3.0, Tenure::begin(['hot' => 3.0], [], $accrues)->counters(['fh' => 9.0])['hot']);
    }

    /** @return iterable<string, array{array<string, float>, list<string>, float, string|null}> */
    public static function conditions(): iterable
    {
        yield 'none met' => [['salt' => 0.5], [], 1.0, null];
        yield 'another is met' => [['salt' => 0.5], ['sand'], 1.0, null];
        yield 'the lowest of two counts, not their product'
            => [['salt' => 0.8, 'gravel' => 0.5], ['salt', 'gravel'], 0.5, 'gravel'];
        yield 'a factor of one changes nothing' => [['salt' => 1.0], ['salt'], 1.0, null];
    }

    /**
     * @param array<string, float> $factors
     * @param list<string> $met
     */
    #[DataProvider('conditions')]
    public function test_harsh_use_shortens_by_its_lowest_factor(
        array $factors,
        array $met,
        float $factor,
        ?string $by,
    ): void {
        self::assertSame([$factor, $by], HarshUse::of($factors)->under($met));
    }

    public function test_shortened_intervals_are_whole_where_they_are_calendar_ones(): void
    {
        $item = static fn(string $limit): DueItem => DueKind::item(Input::of(json_decode(
            "{\"rule\":\"first\",\"rebase\":\"actual\",\"limits\":[{$limit}]}",
        )));
        $cut = static fn(string $limit, float $factor): array => [
            $item($limit)->shortened($factor)->limits[0]->interval,
            $item($limit)->shortened($factor)->limits[0]->threshold,
        ];
        self::assertSame([30.0, null], $cut('{"unit":"days","interval":45}', 0.67));
        self::assertSame([1.0, null], $cut('{"unit":"months","interval":1}', 0.5), 'never less than one');
        self::assertSame([1.0, 3.0], $cut('{"unit":"months","interval":3,"threshold":6}', 0.5));
        self::assertSame(
            [150.0, 0.0],
            $cut('{"unit":"fh","interval":300,"threshold":0}', 0.5),
            'due from the start stays so',
        );
        $this->expectException(InputError::class);
        HarshUse::of(['salt' => 0.0]);
    }

    public function test_the_simulator_gives_the_same_flying_in_any_order_and_keeps_its_mean(): void
    {
        $programme = FlyingSimulator::seeded(7);
        $days = array_map(static fn(int $n): Day => Day::parse('2026-01-01')->plusDays($n), range(0, 1999));
        $there = array_map(
            static fn(Day $d): array => $programme->day('QA-VFA', $d, ['fh' => 5.0, 'ldg' => 4.0]),
            $days,
        );
        $back = array_reverse(array_map(
            static fn(Day $d): array => FlyingSimulator::seeded(7)->day('QA-VFA', $d, ['fh' => 5.0, 'ldg' => 4.0]),
            array_reverse($days),
        ));
        self::assertSame($there, $back);
        self::assertEqualsWithDelta(5.0, array_sum(array_column($there, 'fh')) / 2000, 0.25);
        self::assertEqualsWithDelta(4.0, array_sum(array_column($there, 'ldg')) / 2000, 0.2);
        self::assertNotSame($there, array_map(
            static fn(Day $d): array
                => FlyingSimulator::seeded(8)->day('QA-VFA', $d, ['fh' => 5.0, 'ldg' => 4.0]),
            $days,
        ));
        foreach ($there as $day) {
            self::assertSame([floor($day['ldg']), true], [$day['ldg'], $day['fh'] <= 24]);
        }
    }
}
