<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Fleet\Depletion;
use Jorvel\Core\Fleet\GasReading;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\GasPressure;
use Jorvel\Core\Shared\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DepletionTest extends TestCase
{
    /**
     * Readings as a gauge would show them: the true line at 21 °C, taken at all temperatures.
     *
     * @param list<int> $days
     *
     * @return list<GasReading>
     */
    private static function line(float $start, float $slope, array $days, Unit $unit = Unit::bar): array
    {
        return array_map(static function (int $d, int $i) use ($start, $slope, $unit): GasReading {
            $temp = [-12.0, 4.0, 21.0, 33.0][$i % 4];

            return GasReading::of(
                Day::parse('2026-01-01')->plusDays($d),
                GasPressure::at($start + $slope * $d, $unit, 21, $temp),
                $temp,
                $unit,
            );
        }, $days, array_keys($days));
    }

    /**
     * @return iterable<string, array{float, float, list<int>, float, string|null, int|null}> start, slope, days,
     *   minimum, last day, days left
     */
    public static function lines(): iterable
    {
        yield 'meets it on a whole day, which still counts' => [120, -0.5, [0, 10, 20], 90, '2026-03-02', 40];
        yield 'meets it within a day' => [120, -0.7, [0, 7, 30], 90, '2026-02-12', 12];
        yield 'is below it already' => [120, -1.0, [0, 20, 40], 90, '2026-01-31', -10];
        yield 'rises' => [100, 0.1, [0, 5, 9], 90, null, null];
        yield 'stands still' => [100, 0.0, [0, 5, 9], 90, null, null];
        yield 'falls so slowly that no calendar holds it' => [100, -1e-6, [0, 50, 90], 50, null, null];
    }

    /** @param list<int> $days */
    #[DataProvider('lines')]
    public function test_where_the_line_meets_the_minimum(
        float $start,
        float $slope,
        array $days,
        float $minimum,
        ?string $on,
        ?int $left,
    ): void {
        foreach ([Unit::bar, Unit::psi, Unit::kPa] as $unit) {
            $by = Unit::bar->to($unit, 1.0);
            $result = Depletion::of(self::line($start * $by, $slope * $by, $days, $unit), $unit, $minimum * $by);
            self::assertEqualsWithDelta($slope * $by, $result->line->slope, 1e-9 * $by);
            self::assertSame(
                [$on, $left],
                [$result->crossesOn === null ? null : (string) $result->crossesOn, $result->daysLeft],
                $unit->value,
            );
        }
    }

    public function test_one_stray_reading_in_seven_does_not_bend_the_line(): void
    {
        $readings = self::line(120, -0.3, [0, 6, 12, 19, 25, 31, 40]);
        $whole = Depletion::of($readings, Unit::bar, 90);
        $stray = GasReading::of($readings[3]->date, 60.0, 20.0, Unit::bar);
        $bent = Depletion::of([...array_slice($readings, 0, 3), $stray, ...array_slice($readings, 4)], Unit::bar, 90);
        self::assertEqualsWithDelta($whole->line->slope, $bent->line->slope, 0.02);
        self::assertEqualsWithDelta($whole->crossesOn->number ?? 0, $bent->crossesOn->number ?? 0, 4);
    }

    public function test_the_line_says_what_it_is_on_a_day(): void
    {
        $result = Depletion::of(self::line(120, -0.5, [0, 10, 20]), Unit::bar, 90);
        $first = $result->points[0][0];
        foreach ([0 => 120.0, 20 => 110.0, 60 => 90.0] as $days => $pressure) {
            self::assertEqualsWithDelta($pressure, $result->on($first->plusDays($days)), 1e-6);
        }
    }

    public function test_a_reading_that_was_not_a_change_says_so_or_nothing(): void
    {
        $ask = static fn(?bool $replaced): string
            => Door::compute('depletion', (string) json_encode(['unit' => 'bar', 'min_pressure' => 90, 'readings' => [
                ['date' => '2026-03-01', 'pressure' => 140, 'temp_c' => 21], [
                    'date' => '2026-03-11',
                    'pressure' => 130,
                    'temp_c' => 21,
                    ...$replaced === null ? [] : ['replaced' => $replaced],
                ],
                ['date' => '2026-03-21', 'pressure' => 129, 'temp_c' => 21],
                ['date' => '2026-03-31', 'pressure' => 128, 'temp_c' => 21],
            ]]));
        self::assertSame($ask(null), $ask(false));
        self::assertNotSame($ask(false), $ask(true));
    }

    public function test_a_change_of_the_bottle_starts_anew(): void
    {
        $old = self::line(100, -2, [0, 3, 6, 9]);
        $new = array_map(
            static fn(int $d): GasReading
                => GasReading::of(Day::parse('2026-01-10')->plusDays($d), 124 - 0.1 * $d, 21, Unit::bar, $d === 0),
            [0, 5, 10],
        );
        $result = Depletion::of([...$old, ...$new], Unit::bar, 90, 21, 0.04);
        self::assertCount(3, $result->points);
        self::assertEqualsWithDelta(
            [-0.1, 124.0, 123.0],
            [$result->line->slope, $result->on(Day::parse('2026-01-10')), $result->latest()],
            1e-9,
        );
        self::assertTrue($result->leakSuspect, 'more than twice what is expected');
        self::assertFalse(Depletion::of($new, Unit::bar, 90, 21, 0.05)->leakSuspect, 'twice is still use');
        self::assertNull(Depletion::of($new, Unit::bar, 90)->leakSuspect);
    }

    public function test_two_readings_of_one_day_give_a_slope_with_the_others_only(): void
    {
        $day = Day::parse('2026-01-01');
        $reading = static fn(int $d, float $p): GasReading => GasReading::of($day->plusDays($d), $p, 21, Unit::bar);
        $result = Depletion::of([$reading(0, 100), $reading(0, 102), $reading(10, 91)], Unit::bar, 90);
        self::assertEqualsWithDelta(-1.0, $result->line->slope, 1e-9, 'the median of −0.9 and −1.1');
        self::assertEqualsWithDelta(101.0, $result->on($day), 1e-9, 'the median of 100, 102 and 101');
    }
}
