<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Eris\Generators;
use Eris\TestTrait;
use Jorvel\Core\Fleet\Allowance;
use Jorvel\Core\Fleet\CountRules;
use Jorvel\Core\Fleet\Due;
use Jorvel\Core\Fleet\DueItem;
use Jorvel\Core\Fleet\DueLimit;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\LastDone;
use Jorvel\Core\Fleet\PlanPeriod;
use Jorvel\Core\Fleet\Rebase;
use Jorvel\Core\Fleet\Rule;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DueTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{Rebase, string|float, string|float|null, string|float|null, string|float}> */
    public static function bases(): iterable
    {
        // rebase, done at, planned for, early window, next base
        yield 'late work, plan kept: gains nothing' => [Rebase::Planned, 1012.0, 1000.0, null, 1000.0];
        yield 'late work, counted from when done' => [Rebase::Actual, 1012.0, 1000.0, null, 1012.0];
        yield 'early without a window: the actual value' => [Rebase::Planned, 990.0, 1000.0, null, 990.0];
        yield 'early inside its window: the plan' => [Rebase::Planned, 990.0, 1000.0, 10.0, 1000.0];
        yield 'a noise below the window still counts' => [Rebase::Planned, 990.0 - 1e-10, 1000.0, 10.0, 1000.0];
        yield 'early outside its window: the actual value' => [Rebase::Planned, 989.9, 1000.0, 10.0, 989.9];
        yield 'no plan known' => [Rebase::Planned, 1012.0, null, null, 1012.0];
    }

    #[DataProvider('bases')]
    public function test_where_the_next_interval_starts(
        Rebase $rebase,
        float $done,
        ?float $planned,
        ?float $early,
        float $base,
    ): void {
        $limit = DueLimit::of('fh', 300, null, null, $early === null ? null : Allowance::of($early, null, null));
        $last = LastDone::on(Day::parse('2026-01-01'), ['fh' => $done], $planned === null ? [] : ['fh' => $planned]);
        $result = Due::of(
            Flying::of(Day::parse('2026-05-04'), ['fh' => 1100.0], ['fh' => 1.0]),
            DueItem::of(Rule::First, $rebase, [$limit], $last),
        );
        self::assertEqualsWithDelta([$base, $base + 300], [$result->limits[0]->base, $result->limits[0]->next], 1e-6);
    }

    /** @return iterable<string, array{string, string, float, string}> */
    public static function months(): iterable
    {
        foreach ([
            ['2026-01-31', 1, '2026-02-28'],
            ['2026-01-31', 2, '2026-03-31'],
            ['2024-01-31', 1, '2024-02-29'],
            ['2024-02-29', 12, '2025-02-28'],
            ['2026-11-30', 3, '2027-02-28'],
            ['2026-12-15', 30, '2029-06-15'],
        ] as [$from, $n, $to]) {
            yield "{$from} and {$n} months" => [$from, '2026-05-04', (float) $n, $to];
        }
    }

    #[DataProvider('months')]
    public function test_months_keep_their_anchor_day(string $from, string $asOf, float $months, string $due): void
    {
        $flying = Flying::of(Day::parse($asOf), [], [], [], Day::parse($from));
        self::assertSame(
            $due,
            (string) Due::of(
                $flying,
                DueItem::of(Rule::First, Rebase::Actual, [DueLimit::of('months', $months)]),
            )->forecast,
        );
    }

    /**
     * @return iterable<string, array{float, string, ?string, string}> counter now, forecast, latest, status; limit 100
     *   with 10 % tolerance, one a day
     */
    public static function statuses(): iterable
    {
        yield 'far' => [50.0, '2026-06-23', '2026-07-03', 'ok'];
        yield 'inside the warning days' => [90.0, '2026-05-14', '2026-05-24', 'due_soon'];
        yield 'exactly at the limit: not beyond it' => [100.0, '2026-05-04', '2026-05-14', 'due_soon'];
        yield 'float noise is not beyond' => [100.0 + 5e-8, '2026-05-04', '2026-05-14', 'due_soon'];
        yield 'within tolerance' => [104.0, '2026-05-04', '2026-05-10', 'in_tolerance'];
        yield 'at the end of the tolerance' => [110.0, '2026-05-04', '2026-05-04', 'in_tolerance'];
        yield 'beyond it' => [110.5, '2026-05-04', '2026-05-04', 'overdue'];
    }

    #[DataProvider('statuses')]
    public function test_how_a_counter_stands(float $now, string $forecast, ?string $latest, string $status): void
    {
        $limit = DueLimit::of('fh', 100, null, Allowance::of(null, 10, null));
        $result = Due::of(
            Flying::of(Day::parse('2026-05-04'), ['fh' => $now], ['fh' => 1.0]),
            DueItem::of(Rule::First, Rebase::Actual, [$limit]),
        );
        self::assertSame([$forecast, $latest, $status], [
            (string) $result->forecast, (string) $result->latest, $result->status->value,
        ]);
    }

    /**
     * @return iterable<string, array{int, int, string}> days since it was done, of an interval of 100; days of
     *   tolerance; status
     */
    public static function calendar(): iterable
    {
        yield 'fifteen days before' => [85, 0, 'ok'];
        yield 'fourteen days before' => [86, 0, 'due_soon'];
        yield 'on its day' => [100, 0, 'due_soon'];
        yield 'a day late' => [101, 0, 'overdue'];
        yield 'a day late with a day of tolerance' => [101, 1, 'in_tolerance'];
        yield 'beyond the tolerance' => [102, 1, 'overdue'];
    }

    #[DataProvider('calendar')]
    public function test_how_a_date_stands(int $since, int $tolerance, string $status): void
    {
        $limit = DueLimit::of('days', 100, null, $tolerance === 0 ? null : Allowance::of($tolerance, null, null));
        $today = Day::parse('2026-05-04');
        $result = Due::of(
            Flying::of($today, [], []),
            DueItem::of(Rule::First, Rebase::Actual, [$limit], LastDone::on($today->plusDays(-$since), [])),
        );
        self::assertSame($status, $result->status->value);
        self::assertSame((string) $today->plusDays(100 - $since + $tolerance), (string) $result->latest);
    }

    public function test_in_tolerance_is_worse_than_due_soon(): void
    {
        $limits = [DueLimit::of('days', 100, null, Allowance::of(5, null, null)), DueLimit::of('fh', 100)];
        $today = Day::parse('2026-05-04');
        $last = LastDone::on($today->plusDays(-103), ['fh' => 0.0]);
        $result = Due::of(
            Flying::of($today, ['fh' => 95.0], ['fh' => 1.0]),
            DueItem::of(Rule::First, Rebase::Actual, $limits, $last),
        );
        self::assertSame(
            ['in_tolerance', 'due_soon'],
            array_map(static fn($l): string => $l->status->value, $result->limits),
        );
        self::assertSame('in_tolerance', $result->status->value);
    }

    /** @return iterable<string, array{int|null, bool}> anchor day of a plan for 30 April, and whether it may be */
    public static function anchors(): iterable
    {
        yield 'its own day' => [30, true];
        yield 'a day that April has not' => [31, true];
        yield 'before its own day' => [29, false];
        yield 'a day that no month has' => [32, false];
    }

    #[DataProvider('anchors')]
    public function test_the_day_of_the_month_that_a_plan_stands_for(?int $anchor, bool $may): void
    {
        if (! $may) {
            $this->expectException(InputError::class);
        }
        self::assertSame(
            $anchor,
            LastDone::on(Day::parse('2026-03-31'), [], [], ['months' => Day::parse('2026-04-30')], $anchor)->anchorDay,
        );
    }

    /** @return iterable<string, array{string, float, bool}> counter, flown in a day, and whether it may be */
    public static function flown(): iterable
    {
        yield 'nothing' => ['fh', 0.0, true];
        yield 'a whole day' => ['fh', 24.0, true];
        yield 'more than a day' => ['fh', 24.1, false];
        yield 'less than nothing' => ['fh', -0.1, false];
        yield 'half a landing' => ['ldg', 1.5, false];
        yield 'sixty cycles' => ['cyc', 60.0, true];
        yield 'one more' => ['cyc', 61.0, false];
        yield 'no number' => ['ldg', NAN, false];
    }

    #[DataProvider('flown')]
    public function test_what_fits_into_a_day(string $counter, float $amount, bool $may): void
    {
        if (! $may) {
            $this->expectException(InputError::class);
        }
        CountRules::requireFlown($counter, $amount);
        $this->addToAssertionCount(1);
    }

    public function test_first_and_last_combine_as_the_contract_says(): void
    {
        $flying = Flying::of(
            Day::parse('2026-05-04'),
            ['fh' => 90.0, 'ldg' => 0.0],
            ['fh' => 1.0, 'ldg' => 0.0],
            [],
            Day::parse('2026-04-01'),
        );
        $limits = [DueLimit::of('fh', 100), DueLimit::of('days', 400), DueLimit::of('ldg', 10)];
        $first = Due::of($flying, DueItem::of(Rule::First, Rebase::Actual, $limits));
        $last = Due::of($flying, DueItem::of(Rule::Last, Rebase::Actual, $limits));
        self::assertSame(['fh', '2026-05-14', 'due_soon'], [
            $first->driver?->unit, (string) $first->latest, $first->status->value,
        ]);
        self::assertSame(['ldg', null, null, 'ok'], [
            $last->driver?->unit, $last->forecast, $last->latest, $last->status->value,
        ]);
        $none = Due::of($flying, DueItem::of(Rule::First, Rebase::Actual, []));
        self::assertNull($none->driver);
    }

    public function test_forecasts_agree_with_a_simulation_day_by_day(): void
    {
        $this->limitTo(300)->forAll(
            Generators::choose(0, 600),
            Generators::choose(1, 700),
            Generators::choose(0, 70),
            Generators::choose(-30, 120),
            Generators::choose(0, 90),
            Generators::choose(0, 50),
            Generators::choose(0, 40),
        )->then(function (int $now, int $interval, int $rate, int $from, int $length, int $planRate, int $tolerance): void {
            [$now, $rate, $planRate] = [$now / 10, $rate / 10, $planRate / 10];
            $today = Day::parse('2026-05-04');
            $period = PlanPeriod::of($today->plusDays($from), $today->plusDays($from + $length), ['fh' => $planRate]);
            $limit = DueLimit::of('fh', (float) $interval, null, Allowance::of((float) $tolerance, null, null));
            $result = Due::of(
                Flying::of($today, ['fh' => $now], ['fh' => $rate], [$period]),
                DueItem::of(Rule::First, Rebase::Actual, [$limit]),
            );
            foreach ([[$result->forecast, $interval], [$result->latest, $interval + $tolerance]] as [$said, $bound]) {
                $value = $now;
                $expected = null;
                for ($k = 0; $k <= Flying::HORIZON; $k++) {
                    $value += $k === 0 ? 0 : ($k >= $from && $k <= $from + $length ? $planRate : $rate);
                    if ($value > $bound + 1e-6) {
                        $expected = (string) $today->plusDays(max(0, $k - 1));
                        break;
                    }
                }
                self::assertSame($expected, $said === null ? null : (string) $said);
            }
        });
    }

    public function test_days_agree_with_the_calendar(): void
    {
        $this->limitTo(300)->forAll(Generators::choose(-200_000, 900_000), Generators::choose(1, 500))
            ->then(function (int $number, int $months): void {
                $day = Day::fromNumber($number);
                $date = (new \DateTimeImmutable('1970-01-01T00:00:00Z'))->modify("{$number} days");
                self::assertSame($date->format('Y-m-d'), (string) $day);
                self::assertSame($number, Day::parse((string) $day)->number);
                $then = $day->plusMonths($months);
                $first = $date->modify('first day of this month')->modify("+{$months} months");
                self::assertSame(
                    $first->format('Y-m-').sprintf('%02d', min((int) $date->format('j'), (int) $first->format('t'))),
                    (string) $then,
                );
            });
    }
}
