<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Jorvel\Core\Fleet\Due;
use Jorvel\Core\Fleet\DueItem;
use Jorvel\Core\Fleet\DueLimit;
use Jorvel\Core\Fleet\DueStatus;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\LineCheck;
use Jorvel\Core\Fleet\LineState;
use Jorvel\Core\Fleet\Rebase;
use Jorvel\Core\Fleet\Rule;
use Jorvel\Core\Fleet\Turnarounds;
use Jorvel\Core\Fleet\Validity;
use Jorvel\Core\Shared\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Checks that are good for a day or two, and items that are new. */
final class LineCheckTest extends TestCase
{
    /** @return iterable<string, array{int, string, bool, bool}> */
    public static function days(): iterable
    {
        yield 'signed today, until tomorrow' => [1, '2026-05-05', true, false];
        yield 'on its last day' => [1, '2026-05-06', true, true];
        yield 'the day after' => [1, '2026-05-07', false, false];
        yield 'for the same day only' => [0, '2026-05-05', true, true];
        yield 'and no longer' => [0, '2026-05-06', false, false];
    }

    #[DataProvider('days')]
    public function test_it_is_good_until_the_end_of_its_last_day(int $days, string $on, bool $good, bool $ending): void
    {
        $is = Validity::from(Day::parse('2026-05-05'), $days);
        self::assertEquals($is, Validity::until($is->until));
        self::assertSame([$good, $ending], [$is->good(Day::parse($on)), $is->ending(Day::parse($on))]);
    }

    /** @return iterable<string, array{list<string>, list<string>, list<string>, LineState}> flights, signed, wanting */
    public static function flights(): iterable
    {
        yield 'no flight is known' => [[], [], [], LineState::BetweenFlights];
        yield 'one flight flies on the daily' => [['A01'], [], [], LineState::BetweenFlights];
        yield 'before the second' => [['A01', 'A02'], [], ['A02'], LineState::BeforeFlight];
        yield 'signed for it' => [['A01', 'A02'], ['A02'], [], LineState::Turned];
        yield 'a third after it' => [['A01', 'A02', 'A03'], ['A02'], ['A03'], LineState::BeforeFlight];
        yield 'a missed one is not made up for' => [['A01', 'A02', 'A03'], ['A03'], [], LineState::Turned];
        yield 'one that flies no more counts not' => [['A01', 'A03'], ['A02'], ['A03'], LineState::BeforeFlight];
    }

    /**
     * @param list<string> $flights
     * @param list<string> $signed
     * @param list<string> $wanting
     */
    #[DataProvider('flights')]
    public function test_an_aircraft_is_turned_round_before_each_flight_but_the_first(
        array $flights,
        array $signed,
        array $wanting,
        LineState $is,
    ): void {
        $turns = new Turnarounds($flights, $signed);
        self::assertSame([$wanting, $wanting[0] ?? null], [$turns->wanting(), $turns->next()]);
        foreach ([...$flights, 'A99'] as $flight) {
            self::assertSame(in_array($flight, $wanting, true), $turns->wants($flight));
        }
        $on = Day::parse('2026-05-05');
        self::assertSame($is, LineState::of(LineCheck::Turnaround, null, null, $on, $turns));
        self::assertSame(LineState::ToSign, LineState::of(LineCheck::Turnaround, null, true, $on, $turns));
        self::assertSame(LineState::Never, LineState::of(LineCheck::Daily, null, null, $on, $turns));
    }

    /** @return iterable<string, array{string|null, int, string, DueStatus}> in force from, days, due, how it stands */
    public static function first(): iterable
    {
        yield 'without a first day it is overdue from the past' => [null, 0, '2016-01-01', DueStatus::Overdue];
        yield 'in force from now, at once' => ['2026-05-05', 0, '2026-05-05', DueStatus::DueSoon];
        yield 'with a quarter to phase it in' => ['2026-05-01', 90, '2026-07-30', DueStatus::Ok];
        yield 'soon over' => ['2026-04-01', 40, '2026-05-11', DueStatus::DueSoon];
        yield 'over' => ['2026-01-01', 30, '2026-01-31', DueStatus::Overdue];
    }

    #[DataProvider('first')]
    public function test_a_new_item_is_not_overdue_from_the_past(
        ?string $from,
        int $days,
        string $due,
        DueStatus $status,
    ): void {
        $flying = Flying::of(
            Day::parse('2026-05-05'),
            ['fh' => 6000.0],
            ['fh' => 4.0],
            [],
            Day::parse('2015-01-01'),
            ['fh' => 0.0],
        );
        $item = DueItem::of(Rule::First, Rebase::Planned, [
            DueLimit::of('months', 12.0), DueLimit::of('fh', 300.0),
        ]);
        $is = Due::of($flying, $from === null ? $item : $item->phasedIn(Day::parse($from), $days));
        self::assertSame($status, $is->status);
        if ($from !== null) {
            self::assertSame($due, (string) $is->latest);
            self::assertSame('days', $is->driver?->unit);
        }
        // A limit that would come later by itself stays as it is; so does one with intervals shortened by harsh use.
        $far = DueItem::of(Rule::First, Rebase::Planned, [DueLimit::of('fh', 9000.0)]);
        if ($from !== null) {
            self::assertSame('fh', Due::of($flying, $far->phasedIn(Day::parse($from), $days))->driver?->unit);
            self::assertEquals(
                Due::of($flying, $item->phasedIn(Day::parse($from), $days)->shortened(0.5))->latest,
                $is->latest,
            );
        }
    }

    /** @return iterable<string, array{LineCheck, string|null, bool|null, LineState}> last day, worked, how it stands */
    public static function states(): iterable
    {
        yield 'never' => [LineCheck::Daily, null, null, LineState::Never];
        yield 'ran out' => [LineCheck::Daily, '2026-05-04', null, LineState::RanOut];
        yield 'tonight' => [LineCheck::Daily, '2026-05-05', null, LineState::Ending];
        yield 'good' => [LineCheck::Daily, '2026-05-06', null, LineState::Good];
        yield 'begun, though one is good' => [LineCheck::Daily, '2026-05-06', false, LineState::Begun];
        yield 'worked' => [LineCheck::Daily, null, true, LineState::ToSign];
        yield 'between flights' => [LineCheck::Turnaround, '2026-05-04', null, LineState::BetweenFlights];
        yield 'never between flights' => [LineCheck::Turnaround, null, null, LineState::BetweenFlights];
        yield 'a turnaround of today' => [LineCheck::Turnaround, '2026-05-05', null, LineState::Ending];
        yield 'on a report' => [LineCheck::Report, '2026-05-01', null, LineState::OnReport];
        yield 'a report that is followed' => [LineCheck::Report, null, false, LineState::Begun];
    }

    #[DataProvider('states')]
    public function test_how_a_check_stands(LineCheck $line, ?string $until, ?bool $worked, LineState $is): void
    {
        $last = $until === null ? null : Validity::until(Day::parse($until));
        self::assertSame($is, LineState::of($line, $last, $worked, Day::parse('2026-05-05')));
        self::assertSame(in_array($is, [LineState::Never, LineState::RanOut], true), $is->lacks());
    }
}
