<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Visits;

use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Floor\FindingProgress;
use Jorvel\Core\Now\CardInVisit;
use Jorvel\Core\Now\FoundNow;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Tests\Now\Pictures;
use Jorvel\Core\Visits\Configured;
use Jorvel\Core\Visits\CourseCause;
use Jorvel\Core\Visits\CourseDay;
use Jorvel\Core\Visits\ExitForecast;
use Jorvel\Core\Visits\Leaves;
use Jorvel\Core\Visits\LookWork;
use Jorvel\Core\Visits\PeopleUse;
use Jorvel\Core\Visits\VisitStage;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is asked of a visit's picture. */
final class VisitNowTest extends TestCase
{
    /**
     * A card planned from and to a time such as `06T10:00`.
     *
     * @param array<string, mixed> $with
     */
    private static function card(
        string $id,
        ?string $from,
        ?string $to,
        array $with = [],
        CardProgress $state = CardProgress::Open,
    ): CardInVisit {
        $at = static fn(?string $t): ?string => $t === null ? null : "2026-05-{$t}:00Z";
        foreach (['begun', 'closed'] as $time) {
            $with[$time] = $at($with[$time] ?? null);
        }

        return Pictures::card($id, ['planned' => $at($from), 'plannedEnd' => $at($to), ...$with], $state);
    }

    /**
     * @return iterable<string, array{list<CardInVisit>, string|null, string, string, int, int}> cards, the plan's
     *   problem; how it leaves, its state, days to spare, cards behind; asked on 5 May at noon
     */
    public static function exits(): iterable
    {
        $ends = static fn(string $to): array => [self::card('1', '06T08:00', $to)];
        [$begun, $closed] = [['begun' => '05T08:00'], ['begun' => '04T08:00', 'closed' => '05T09:00']];
        yield 'no plan' => [$ends('06T12:00'), 'Nobody is rated', 'no_plan', 'stop', 2, 0];
        yield 'a card without a time'
            => [[...$ends('06T12:00'), self::card('2', null, null)], null, 'unplanned', 'watch', 0, 0];
        yield 'two days to spare' => [$ends('06T12:00'), null, 'in_time', 'clear', 2, 0];
        yield 'one' => [$ends('07T12:00'), null, 'tight', 'watch', 1, 0];
        yield 'on its last day, by the hour it must' => [$ends('08T22:00'), null, 'tight', 'watch', 0, 0];
        yield 'an hour later' => [$ends('08T23:00'), null, 'too_late', 'stop', 0, 0];
        yield 'two days late' => [$ends('10T09:00'), null, 'too_late', 'stop', -2, 0];
        yield 'in time, but work is behind'
            => [[...$ends('06T12:00'), self::card('2', '05T08:00', '05T13:00')], null, 'in_time', 'watch', 2, 1];
        yield 'begun, and over its end' => [
            [...$ends('06T12:00'), self::card('2', '05T08:00', '05T11:00', $begun, CardProgress::InWork)],
            null, 'in_time', 'watch', 2, 1,
        ];
        yield 'planned for when nothing is worked' => [
            [...$ends('06T12:00'), self::card('2', '06T14:00', '06T17:00')], null, 'in_time', 'watch', 2, 0,
        ];
        yield 'everything is worked' => [
            [self::card('1', '04T08:00', '04T12:00', $closed, CardProgress::Closed)],
            null, 'worked', 'clear', 3, 0,
        ];
    }

    /** @param list<CardInVisit> $cards */
    #[DataProvider('exits')]
    public function test_whether_it_leaves_in_time(
        array $cards,
        ?string $problem,
        string $how,
        string $state,
        int $spare,
        int $behind,
    ): void {
        $leaves = Leaves::of(Pictures::visit($cards, [], $problem), self::at('05T12:00'), new \DateTimeZone('UTC'));
        self::assertSame(
            [$how, $state, $spare, $behind],
            [$leaves->how->value, $leaves->state->value, $leaves->spare, $leaves->behind],
        );
    }

    public function test_cards_that_are_planned_for_when_their_people_are_not_there(): void
    {
        $idle = static fn(?string $from, ?string $to, array $with = [], CardProgress $state = CardProgress::Open): int
            => Leaves::of(
                Pictures::visit([self::card('1', $from, $to, $with, $state)]),
                self::at('05T12:00'),
                new \DateTimeZone('UTC'),
            )->idle;
        // Work goes on from eight to four, every day.
        self::assertSame([0, 0], [$idle('06T08:00', '06T16:00'), $idle('06T15:30', '07T08:30')]);
        self::assertSame([1, 1, 1], [
            $idle('06T07:30', '06T10:00'), $idle('06T15:00', '06T16:30'), $idle('06T16:00', '07T10:00'),
        ]);
        // With two who know airframes, and nobody who knows engines.
        $needs = static fn(array $of): int => $idle('06T08:00', '06T16:00', ['needs' => $of]);
        self::assertSame([0, 1, 1], [
            $needs(['airframe' => 2]), $needs(['airframe' => 3]), $needs(['airframe' => 1, 'engine' => 1]),
        ]);
        self::assertSame(0, $idle(null, null), 'without a time it is not planned at all');
        self::assertSame(0, $idle('05T06:00', '05T09:00'), 'what is past is behind, no more');
        self::assertSame(0, $idle('06T07:00', '06T10:00', ['begun' => '05T11:00'], CardProgress::InWork), 'begun');
        self::assertSame(1, $idle('05T11:00', '06T17:00', ['begun' => '05T11:00'], CardProgress::InWork));
    }

    public function test_when_it_is_on_jacks_and_powered(): void
    {
        $power = ['configuration' => ['power' => 'on']];
        $cards = [
            self::card('1', '05T08:00', '05T10:00', $power),
            self::card('2', '04T10:00', '04T12:00', ['configuration' => ['jacks' => 'on', 'power' => 'on']]),
            self::card('3', '04T12:00', '04T13:00', $power),
            self::card('4', null, null, $power),
        ];
        $asked = ['jacks' => ['on', 'off'], 'power' => ['on', 'off']];
        $told = static fn(CardInVisit ...$cards): array => array_map(
            static fn(Configured $c): array => ["{$c->what} {$c->how}", $c->spans],
            Configured::of(Pictures::visit(array_values($cards)), $asked),
        );
        // Half hours from 8 o'clock on; a day has sixteen.
        self::assertSame([['jacks on', [[4.0, 8.0]]], ['power on', [[4.0, 10.0], [16.0, 20.0]]]], $told(...$cards));
        // Raised until it is lowered, whoever works meanwhile.
        $lift = [
            self::card('8', '04T09:00', '04T09:30', ['makes' => 'raise']),
            self::card('9', '06T08:00', '06T09:00', ['makes' => 'lower']),
        ];
        self::assertSame(['jacks on', [[2.0, 34.0]]], $told(...$cards, ...$lift)[0]);
        self::assertNull(Configured::raised(Pictures::visit([$lift[0]])), 'not lowered again');
    }

    public function test_whom_it_takes(): void
    {
        $use = PeopleUse::of(Pictures::visit([
            self::card('1', '04T08:00', '04T10:00'),
            self::card('2', '04T09:00', '04T10:00'),
            self::card('3', '04T10:00', '04T11:00', ['needs' => ['airframe' => 3]]),
            self::card('4', '04T10:00', '04T11:00', ['needs' => ['engine' => 1]]),
            self::card('5', null, null),
        ]), 8);
        self::assertCount(1, $use, 'nobody of the other skill is there, and a card of three rests');
        self::assertSame('airframe', $use[0]->skill);
        self::assertSame([[0, 2, 1, 2], [2, 4, 2, 2], [4, 8, 0, 2]], $use[0]->spans);
        self::assertSame(2, $use[0]->most);
    }

    public function test_how_far_the_look_has_come(): void
    {
        $visit = Pictures::visit([
            self::card('1', null, null, [
                'hours' => 8.0, 'spent' => 12.0, 'begun' => '04T08:00', 'closed' => '04T16:00',
            ], CardProgress::Closed),
            self::card('2', null, null, ['hours' => 10.0, 'left' => 5.0, 'begun' => '05T08:00'], CardProgress::InWork),
            self::card('3', null, null, [
                'hours' => 20.0, 'spent' => 20.0, 'stage' => VisitStage::Close, 'begun' => '04T08:00',
                'closed' => '05T10:00',
            ], CardProgress::Closed),
            self::card('4', null, null, ['hours' => 6.0, 'stage' => VisitStage::Fix, 'findingId' => 'a']),
        ], [
            Pictures::found('a', '2026-05-04T09:00:00Z', null, FindingProgress::Open, 1.0),
            Pictures::found('b', '2026-05-04T10:00:00Z', null, FindingProgress::Open, 2.5),
            Pictures::found('c', '2026-05-04T11:00:00Z'),
            Pictures::found('d', '2026-05-04T12:00:00Z', '2026-05-05T09:00:00Z', FindingProgress::Fixed, 3.0),
            Pictures::found('e', '2026-05-04T12:00:00Z', '2026-05-05T11:00:00Z', FindingProgress::Deferred, 4.0),
            Pictures::found('f', '2026-05-05T13:00:00Z'),
        ]);
        $told = static function (string $at) use ($visit): array {
            $w = LookWork::at($visit, self::at($at), self::at('05T12:00'), 1.5);

            return [$w->look, $w->looked, $w->found, $w->openFix, round($w->otherWork, 6)];
        };
        // By noon of the fourth half of the first card is done, five findings are in, and nothing is fixed.
        self::assertSame([18.0, 4.0, 5, 17.0, round(4 + 10 + 20 * 22 / 26, 6)], $told('04T12:00'));
        // Now: half of the second; one is fixed, one deferred; closed work took 32 hours for 28.
        self::assertSame([18.0, 13.0, 5, 10.0, round(5 * 32 / 28, 6)], $told('05T12:00'));
    }

    public function test_its_course_day_by_day(): void
    {
        $visit = Pictures::visit([
            self::card('1', null, null, ['spent' => 5.0, 'closed' => '04T23:59'], CardProgress::Closed),
            self::card('2', null, null, ['spent' => 3.0, 'closed' => '05T00:00'], CardProgress::Closed),
        ], [
            Pictures::found('a', '2026-05-04T09:00:00Z', '2026-05-05T10:00:00Z', FindingProgress::Fixed),
            Pictures::found('b', '2026-05-05T00:00:00Z', '2026-05-06T08:00:00Z', FindingProgress::Deferred),
            Pictures::found('c', '2026-05-06T09:00:00Z'),
        ]);
        $days = CourseDay::all($visit, [
            '2026-05-04' => new ExitForecast(self::at('04T08:00'), self::at('07T10:00')),
            '2026-05-06' => new ExitForecast(self::at('06T09:30'), self::at('07T16:30')),
        ], self::at('06T10:00'), new \DateTimeZone('UTC'));
        self::assertSame([
            ['2026-05-04', 1, 4.0, 5.0, 1.0, 1, 1, '2026-05-07T10:00:00Z', 0.0],
            ['2026-05-05', 1, 4.0, 3.0, -1.0, 1, 1, '2026-05-07T10:00:00Z', 0.0],
            ['2026-05-06', 0, 0.0, 0.0, 0.0, 1, 1, '2026-05-07T16:30:00Z', 6.5],
        ], array_map(static fn(CourseDay $d): array => [
            (string) $d->day, $d->work->closed, $d->work->planned, $d->work->spent, $d->work->longer(),
            $d->work->raised, $d->open, (string) $d->exit, $d->moved,
        ], $days));
        self::assertSame([[], [], [CourseCause::Found, CourseCause::Unworked]], array_map(
            static fn(CourseDay $d): array => $d->causes(),
            $days,
        ));
        // What moved it is what came between the two forecasts, on whatever days.
        self::assertSame([null, null], [$days[0]->since, $days[1]->since]);
        self::assertSame([2, 0.0, 3, 8.0], [
            $days[2]->since?->closed, $days[2]->since?->longer(), $days[2]->since?->raised, $days[2]->since?->planned,
        ]);
    }

    /** @return iterable<string, array{float, string, int, list<CourseCause>}> spent, forecast, findings; why */
    public static function causes(): iterable
    {
        [$found, $longer, $unworked] = [CourseCause::Found, CourseCause::Longer, CourseCause::Unworked];
        yield 'a finding' => [8.0, '08T16:00', 1, [$found]];
        yield 'cards that took longer' => [9.0, '08T16:00', 0, [$longer]];
        yield 'by less than tells' => [8.4, '08T16:00', 0, []];
        yield 'both' => [12.0, '08T16:00', 2, [$found, $longer]];
        yield 'sooner all the same' => [12.0, '06T16:00', 2, []];
        yield 'as before' => [12.0, '07T16:00', 2, []];
    }

    /** @param list<CourseCause> $why */
    #[DataProvider('causes')]
    public function test_why_it_leaves_later(float $spent, string $exit, int $findings, array $why): void
    {
        // Of sixteen hours of people eight are worked: half is no cause yet.
        $visit = Pictures::visit([self::card('1', null, null, [
            'hours' => 8.0, 'begun' => '04T08:00', 'closed' => '04T16:00', 'spent' => $spent,
        ], CardProgress::Closed)], array_map(
            static fn(int $n): FoundNow => Pictures::found("f{$n}", '2026-05-04T12:00:00Z'),
            $findings === 0 ? [] : range(1, $findings),
        ));
        $days = CourseDay::all($visit, [
            '2026-05-04' => new ExitForecast(self::at('04T08:00'), self::at('07T16:00')),
            '2026-05-05' => new ExitForecast(self::at('05T08:00'), self::at($exit)),
        ], self::at('05T08:00'), new \DateTimeZone('UTC'));
        self::assertSame($why, $days[1]->causes());
        self::assertSame($days[1]->moved > 0, $days[1]->later());
    }

    public function test_a_forecast_that_could_not_be_made_leaves_the_one_before(): void
    {
        $days = CourseDay::all(Pictures::visit([]), [
            '2026-05-04' => new ExitForecast(self::at('04T08:00'), self::at('07T10:00')),
            '2026-05-05' => new ExitForecast(self::at('05T08:00'), null),
            '2026-05-06' => new ExitForecast(self::at('06T08:00'), self::at('07T11:00')),
        ], self::at('06T10:00'), new \DateTimeZone('UTC'));
        self::assertSame(
            [['2026-05-07T10:00:00Z', 0.0], ['2026-05-07T10:00:00Z', 0.0], ['2026-05-07T11:00:00Z', 1.0]],
            array_map(static fn(CourseDay $d): array => [(string) $d->exit, $d->moved], $days),
        );
    }

    public function test_what_a_day_brought_of_work_and_of_people(): void
    {
        $visit = Pictures::visit([
            self::card('1', null, null, ['begun' => '04T10:00', 'closed' => '05T10:00'], CardProgress::Closed),
            self::card('2', null, null, ['begun' => '06T09:00', 'left' => 1.0], CardProgress::InWork),
            self::card('3', null, null, ['findingId' => 'b', 'hours' => 6.0]),
        ], [
            Pictures::found('a', '2026-05-04T09:00:00Z', hours: 2.5),
            Pictures::found('b', '2026-05-04T11:00:00Z', hours: 9.0),
            Pictures::found('c', '2026-05-06T09:00:00Z'),
        ]);
        $days = CourseDay::all($visit, [], self::at('06T12:00'), new \DateTimeZone('UTC'));
        // Of two people for eight hours a day, today so far for four; a fix takes what its card does, once it has one.
        self::assertSame([[8.5, 2.333, 16.0], [0.0, 1.667, 16.0], [0.0, 3.0, 8.0]], array_map(
            static fn(CourseDay $d): array => [$d->work->fixes, round($d->work->worked, 3), $d->work->there],
            $days,
        ));
    }

    private static function at(string $time): Instant
    {
        return Instant::parse("2026-05-{$time}:00Z");
    }
}
