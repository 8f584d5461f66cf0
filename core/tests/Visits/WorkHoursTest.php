<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Visits;

use DateTimeZone;
use InvalidArgumentException;
use Jorvel\Core\Crew\OnRota;
use Jorvel\Core\Crew\Qualified;
use Jorvel\Core\Crew\Rota;
use Jorvel\Core\Crew\Shift;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\CardNeeds;
use Jorvel\Core\Visits\Shortage;
use Jorvel\Core\Visits\Shortages;
use Jorvel\Core\Visits\Spell;
use Jorvel\Core\Visits\WorkHours;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Real hours: who is on shift, which slots that makes, and what a card will lack on its day. */
final class WorkHoursTest extends TestCase
{
    /** @param array<string, string|null> $until lapse by what is held */
    private static function person(string $shift, array $until = [], string ...$skills): OnRota
    {
        $held = ['rating:SKV' => null, 'authority:perform' => null];
        foreach ($skills as $skill) {
            $held["skill:{$skill}"] = null;
        }
        foreach ($until as $what => $day) {
            $held[$what] = $day === null ? null : Day::parse($day);
        }

        return new OnRota($shift, [1, 2, 3, 4, 5], array_values($skills), new Qualified($held));
    }

    private static function rota(): Rota
    {
        return new Rota([
            self::person('early', [], 'airframe', 'engine'), self::person('early', [], 'airframe'), self::person(
                'early',
                ['rating:SKV' => '2026-05-06'],
                'airframe',
            ), self::person('late', [], 'airframe'),
        ], ['early' => new Shift('06:00', '14:00'), 'late' => new Shift('14:00', '22:00')], new DateTimeZone('Europe/Oslo'));
    }

    /** @var array<int, array{string, string}> */
    private const OPEN = [
        1 => ['07:00', '20:00'], 2 => ['07:00', '20:00'], 3 => ['07:00', '20:00'], 4 => ['07:00', '20:00'],
        5 => ['07:00', '20:00'], 6 => ['07:00', '20:00'],
    ];

    public function test_spells_are_shifts_within_the_bays_hours_with_who_may_work_that_day(): void
    {
        $spells = self::rota()->spells(Day::parse('2026-05-06'), 4, 'SKV', self::OPEN);
        self::assertSame([
            [
                '2026-05-06T05:00:00Z',
                '2026-05-06T12:00:00Z',
                ['airframe' => 3, 'engine' => 1, '*' => 3],
            ], ['2026-05-06T12:00:00Z', '2026-05-06T18:00:00Z', ['airframe' => 1, '*' => 1]],
            [
                '2026-05-07T05:00:00Z',
                '2026-05-07T12:00:00Z',
                ['airframe' => 2, 'engine' => 1, '*' => 2],
            ], ['2026-05-07T12:00:00Z', '2026-05-07T18:00:00Z', ['airframe' => 1, '*' => 1]],
            [
                '2026-05-08T05:00:00Z',
                '2026-05-08T12:00:00Z',
                ['airframe' => 2, 'engine' => 1, '*' => 2],
            ], ['2026-05-08T12:00:00Z', '2026-05-08T18:00:00Z', ['airframe' => 1, '*' => 1]],
        ], array_map(static function (Spell $s): array {
            $people = $s->people;
            uksort($people, static fn(string $a, string $b): int => [$a === '*', $a] <=> [$b === '*', $b]);

            return [(string) $s->from, (string) $s->until, $people];
        }, $spells), 'a rating lapsed on the 7th, nobody works on Saturday');
        self::assertSame([], self::rota()->spells(Day::parse('2026-05-06'), 3, 'TRK', self::OPEN), 'nobody is rated');
        self::assertSame(
            ['*' => 2],
            array_intersect_key(self::rota()->spells(Day::parse('2026-05-06'), 1, 'SKV', self::OPEN, 2)[0]->people, [
                '*' => 0,
            ]),
            'the bay holds two',
        );
    }

    public function test_a_night_in_which_the_clocks_change_is_a_night(): void
    {
        $hours = WorkHours::of(self::rota()->spells(Day::parse('2026-10-23'), 4, 'SKV', self::OPEN), 60);
        self::assertSame(26, $hours->count(), 'thirteen hours on each of two working days');
        self::assertSame(
            ['2026-10-23T05:00:00Z', '2026-10-26T06:00:00Z'],
            [(string) $hours->begins(0), (string) $hours->begins(13)],
            'an hour later by the world\'s clock',
        );
        self::assertSame(
            '2026-10-23T18:00:00Z',
            (string) $hours->ends(13),
            'what ends with the shift ends that evening, not on Monday',
        );
    }

    public function test_slots_and_instants_are_each_others_inverse(): void
    {
        $hours = WorkHours::of(self::rota()->spells(Day::parse('2026-05-04'), 12, 'SKV', self::OPEN));
        for ($slot = 0; $slot < $hours->count(); $slot++) {
            self::assertSame($slot, $hours->at($hours->begins($slot)));
            self::assertEqualsWithDelta(
                $slot + 0.5,
                $hours->place(Instant::fromEpoch($hours->begins($slot)->epoch() + 900)),
                1e-9,
            );
            self::assertSame(
                $slot === 0 ? 1800 : $hours->ends($slot)->epoch(),
                $slot === 0 ? 1800 : $hours->begins($slot - 1)->epoch() + 1800,
            );
        }
        $night = Instant::parse('2026-05-04T23:00:00Z');
        self::assertSame(
            [26, 26.0],
            [$hours->at($night), $hours->place($night)],
            'at night it stands where work goes on',
        );
        self::assertSame([3, 1], [$hours->slots(1.5), $hours->slots(0.1)]);
        self::assertSame(0.0, $hours->place(Instant::parse('2026-05-01T00:00:00Z')));
        self::assertSame(14 * 3 * 0.5 + 12 * 1 * 0.5, $hours->personHours(0, 26));
        self::assertSame(array_fill(0, 14, 1), array_slice($hours->people()['engine'], 0, 14));
        self::assertSame(
            array_fill(0, 12, 0),
            array_slice($hours->people()['engine'], 14, 12),
            'no engine on the late shift',
        );
        $last = $hours->count() - 1;
        self::assertSame(
            $hours->begins($last)->epoch() + 3 * 1800,
            $hours->begins($last + 3)->epoch(),
            'beyond the end as if round the clock',
        );
    }

    public function test_spells_that_overlap_are_refused(): void
    {
        $this->expectException(InvalidArgumentException::class);
        WorkHours::of([
            new Spell(Instant::parse('2026-05-04T06:00:00Z'), Instant::parse('2026-05-04T10:00:00Z'), []),
            new Spell(Instant::parse('2026-05-04T09:00:00Z'), Instant::parse('2026-05-04T12:00:00Z'), []),
        ]);
    }

    /**
     * @return iterable<string, array{
     *   list<array{string, string, array<string, int>, list<string>, array<string, int>}>,
     *   list<array{string, string, string, string|null, int}>,
     * }>
     *   cards as id, day, parts, tools, people; shortages as card, code, what, day, how many
     */
    public static function shortages(): iterable
    {
        yield 'nothing lacks' => [[['a', '2026-05-06', ['seal' => 2], ['gauge'], ['airframe' => 2]]], []];
        yield 'parts go by day, not by list' => [
            [['late', '2026-05-08', ['seal' => 2], [], []], ['soon', '2026-05-06', ['seal' => 2], [], []]],
            [['late', 'part_late', 'seal', '2026-05-09', 0]],
        ];
        yield 'in time' => [[['a', '2026-05-09', ['seal' => 4], [], []]], []];
        yield 'more than there will ever be'
            => [[['a', '2026-05-20', ['seal' => 9], [], []]], [['a', 'part_missing', 'seal', null, 4]]];
        yield 'a part nobody knows' => [
            [['a', '2026-05-06', ['pin' => 1], [], []]], [['a', 'part_missing', 'pin', null, 1]],
        ];
        yield 'calibration runs out that day: still good' => [[['a', '2026-05-08', [], ['gauge'], []]], []];
        yield 'calibration has run out' => [
            [['a', '2026-05-11', [], ['gauge', 'wrench'], []]],
            [['a', 'tool_out', 'gauge', '2026-05-08', 1], ['a', 'tool_out', 'wrench', null, 1]],
        ];
        yield 'nobody with the skill' => [
            [['a', '2026-05-06', [], [], ['avionics' => 1, 'engine' => 2]]],
            [['a', 'nobody', 'avionics', '2026-05-06', 1], ['a', 'too_few', 'engine', '2026-05-06', 1]],
        ];
        yield 'a Sunday' => [
            [['a', '2026-05-10', [], [], ['airframe' => 1]]], [['a', 'nobody', 'airframe', '2026-05-10', 1]],
        ];
    }

    /**
     * @param list<array{string, string, array<string, int>, list<string>, array<string, int>}> $cards
     * @param list<array{string, string, string, string|null, int}> $expect
     */
    #[DataProvider('shortages')]
    public function test_what_a_card_will_lack(array $cards, array $expect): void
    {
        $stores = new Shortages(
            ['seal' => 2],
            ['seal' => [[3, Day::parse('2026-05-09')]]],
            ['gauge' => [Day::parse('2026-05-08'), null], 'wrench' => [null]],
            self::rota(),
        );
        $found = $stores->of(
            array_map(
                static fn(array $c): CardNeeds => new CardNeeds($c[0], Day::parse($c[1]), $c[2], $c[3], $c[4]),
                $cards,
            ),
            'SKV',
        );
        self::assertSame($expect, array_map(
            static fn(Shortage $s): array
                => [$s->card, $s->code, $s->what, $s->day === null ? null : (string) $s->day, $s->lacking],
            $found,
        ));
    }
}
