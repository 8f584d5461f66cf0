<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Jorvel\Core\Fleet\Due;
use Jorvel\Core\Fleet\DueItem;
use Jorvel\Core\Fleet\DueLimit;
use Jorvel\Core\Fleet\DueResult;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\LastDone;
use Jorvel\Core\Fleet\NextBase;
use Jorvel\Core\Fleet\Rebase;
use Jorvel\Core\Fleet\Rule;
use Jorvel\Core\Shared\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is kept of a plan when something is done, release after release. */
final class NextBaseTest extends TestCase
{
    private static function due(string $today, ?LastDone $last, DueLimit ...$limits): DueResult
    {
        $flying = Flying::of(Day::parse($today), ['fh' => 1000.0], ['fh' => 2.0], [], Day::parse('2020-01-31'));

        return Due::of($flying, DueItem::of(Rule::First, Rebase::Planned, array_values($limits), $last));
    }

    /** @param array<string, float|string|int> $planned */
    private static function done(string $on, array $planned): LastDone
    {
        $months = isset($planned['months']) ? ['months' => Day::parse((string) $planned['months'])] : [];
        $anchor = $planned['anchor_day'] ?? null;

        return LastDone::on(
            Day::parse($on),
            ['fh' => 1000.0],
            array_map(floatval(...), array_diff_key($planned, ['months' => 0, 'anchor_day' => 0])),
            $months,
            $anchor === null ? null : (int) $anchor,
        );
    }

    /**
     * @return iterable<string, array{string, int, list<string>}> first done, every so many months, when it falls due
     *   each time
     */
    public static function calendars(): iterable
    {
        yield 'the last of January, a year of months' => [
            '2026-01-31',
            1,
            [
                '2026-02-28', '2026-03-31', '2026-04-30', '2026-05-31', '2026-06-30', '2026-07-31', '2026-08-31',
                '2026-09-30', '2026-10-31', '2026-11-30', '2026-12-31', '2027-01-31', '2027-02-28',
            ],
        ];
        yield 'the thirtieth keeps the thirtieth'
            => ['2026-01-30', 1, ['2026-02-28', '2026-03-30', '2026-04-30', '2026-05-30']];
        yield 'over a leap year' => ['2027-12-31', 2, ['2028-02-29', '2028-04-30', '2028-06-30', '2028-08-31']];
        yield 'a day that every month has' => ['2026-01-28', 1, ['2026-02-28', '2026-03-28', '2026-04-28']];
        yield 'the last of a short month is not the last of every month'
            => ['2026-02-28', 1, ['2026-03-28', '2026-04-28']];
    }

    /** @param list<string> $dates */
    #[DataProvider('calendars')]
    public function test_a_day_of_the_month_is_kept_through_short_months(string $first, int $months, array $dates): void
    {
        $limit = DueLimit::of('months', $months);
        $last = LastDone::on(Day::parse($first), ['fh' => 1000.0]);
        foreach ($dates as $n => $date) {
            $due = self::due($first, $last, $limit);
            self::assertSame($date, (string) $due->forecast, "the {$n}th time");
            // Done on its very day, each time.
            $last = self::done($date, NextBase::planned($due, $last));
        }
    }

    public function test_each_limit_keeps_its_own_plan(): void
    {
        $due = self::due(
            '2026-03-01',
            LastDone::on(Day::parse('2026-02-10'), ['fh' => 950.0]),
            DueLimit::of('fh', 100),
            DueLimit::of('months', 6),
        );
        self::assertEquals(['fh' => 1050.0, 'months' => '2026-08-10'], NextBase::planned($due, null));
    }

    public function test_what_was_done_far_too_early_counts_from_when_it_was_done(): void
    {
        $planned = NextBase::planned(
            self::due('2026-01-31', LastDone::on(Day::parse('2026-01-31'), ['fh' => 900.0]), DueLimit::of('months', 6)),
            null,
        );
        self::assertSame(['months' => '2026-07-31'], $planned);
        $early = self::done('2026-03-15', $planned);
        self::assertSame('2026-09-15', (string) self::due('2026-03-15', $early, DueLimit::of('months', 6))->forecast);
    }
}
