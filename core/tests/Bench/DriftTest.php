<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench;

use Jorvel\Core\Bench\Drift;
use Jorvel\Core\Bench\DriftReading;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Is it wandering, and when will it be out. */
final class DriftTest extends TestCase
{
    /**
     * @return iterable<string, array{list<array{int, float, 2?: bool}>, float|null, float|null, array<string, mixed>}>
     *   readings as day of January 2026, value, reset; min; max; what comes out
     */
    public static function cases(): iterable
    {
        yield 'rising to its maximum' => [
            [[1, 1.0], [2, 2.0], [3, 3.0]],
            0.0,
            5.0,
            ['slope_per_day' => 1.0, 'latest' => 3.0, 'toward' => 'max', 'crosses_on' => '2026-01-05', 'days_left' => 2,
                'trend' => 'none'],
        ];
        yield 'falling, without a minimum' => [
            [[1, 3.0], [2, 2.0], [3, 1.0]], null, 5.0,
            ['slope_per_day' => -1.0, 'toward' => null, 'crosses_on' => null, 'days_left' => null],
        ];
        yield 'falling past its minimum already' => [
            [[1, 3.0], [2, 2.0], [3, 1.0]], 2.0, null,
            ['toward' => 'min', 'crosses_on' => '2026-01-02', 'days_left' => -1],
        ];
        yield 'level' => [[[1, 2.0], [2, 2.0], [9, 2.0]], 0.0, 5.0, ['toward' => null, 'p' => 1.0, 'trend' => 'none']];
        yield 'noise is no slope' => [
            [[1, 0.1 + 0.2], [2, 0.3], [3, 0.3]], 0.0, 5.0, ['toward' => null, 'trend' => 'none'],
        ];
        yield 'from the last reset on' => [
            [[1, 9.0], [2, 8.0], [5, 1.0, true], [6, 2.0], [7, 3.0]], null, 4.0,
            ['n' => 3, 'crosses_on' => '2026-01-08'],
        ];
        // S = 10, var = 5·4·15 ÷ 18 = 16⅔, z = 9 ÷ 4.0825 = 2.2045; p = 0.02749.
        yield 'five in order are a trend' => [
            [[1, 1.0], [2, 2.0], [3, 3.0], [4, 4.0], [5, 9.0]], null, 99.0,
            ['trend' => 'rising', 'p' => 0.027486336111509996],
        ];
        // Of two days, all on one day within each: S counts every pair; var = (4·3·13 − 2·(2·1·9)) ÷ 18 = 6⅔.
        yield 'equal values shrink the variance' => [
            [[1, 1.0], [1, 1.0], [2, 2.0], [2, 2.0]], null, 9.0,
            ['slope_per_day' => 1.0, 'p' => 0.24527812, 'trend' => 'none'],
        ];
        yield 'a trend that its line does not follow' => [
            [[1, 5.0], [2, 1.0], [2, 1.1], [2, 1.2], [2, 1.3], [2, 1.4], [2, 1.5], [2, 1.6], [2, 1.7]],
            0.0,
            9.0,
            ['toward' => 'min', 'trend' => 'rising'],
        ];
    }

    /**
     * @param list<array{int, float, 2?: bool}> $readings
     * @param array<string, mixed> $expect
     */
    #[DataProvider('cases')]
    public function test_it(array $readings, ?float $min, ?float $max, array $expect): void
    {
        $first = Day::parse('2025-12-31');
        $drift = Drift::of(array_map(
            static fn(array $r): DriftReading => new DriftReading($first->plusDays($r[0]), $r[1], $r[2] ?? false),
            $readings,
        ), $min, $max)->toArray();
        self::assertEqualsWithDelta($expect, array_intersect_key($drift, $expect), 1e-8);
    }

    public function test_without_a_trend_one_is_seen_about_once_in_twenty(): void
    {
        $chance = Chance::seeded(3);
        $seen = 0;
        for ($n = 0; $n < 1000; $n++) {
            $readings = [];
            for ($i = 0; $i < 12; $i++) {
                $readings[] = new DriftReading(Day::fromNumber(20000 + $i), $chance->normal());
            }
            $seen += Drift::of($readings, -9, 9)->trend === 'none' ? 0 : 1;
        }
        self::assertEqualsWithDelta(50, $seen, 25);
    }

    public function test_its_limits_are_asked_for_at_the_sheet(): void
    {
        foreach ([[null, null, 'needs a min or a max'], [3.0, 2.0, 'has its min above its max']] as [$min, $max,
            $says]) {
            try {
                Drift::of([], $min, $max);
                self::fail();
            } catch (InputError $e) {
                self::assertSame(['', $says], [$e->path, $e->getMessage()]);
            }
        }
    }
}
