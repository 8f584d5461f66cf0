<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Floor;

use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Floor\Counted;
use Jorvel\Core\Floor\DisturbanceAct;
use Jorvel\Core\Floor\DisturbedHow;
use Jorvel\Core\Floor\Handling;
use Jorvel\Core\Floor\MayNotApply;
use Jorvel\Core\Floor\Proof;
use Jorvel\Core\Floor\ProofOffer;
use Jorvel\Core\Floor\ShortestProof;
use Jorvel\Core\Floor\StepOrder;
use Jorvel\Core\Floor\StepPlace;
use Jorvel\Core\Floor\TakeBack;
use Jorvel\Core\Floor\Touch;
use Jorvel\Core\Floor\Wholeness;
use Jorvel\Core\Now\CardNow;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\Disturbance;
use Jorvel\Core\Now\OnAircraft;
use Jorvel\Core\Now\StepNow;
use Jorvel\Core\Release\Leaving;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What was disturbed is joined and proven again, after the last time it was touched. */
final class WholenessTest extends TestCase
{
    private static function event(int $id, string $said): Disturbance
    {
        [$what, $act, $more] = explode(' ', "{$said} ");
        $how = DisturbedHow::tryFrom($act);

        return new Disturbance(
            $id,
            $what,
            match (true) {
                $how !== null => DisturbanceAct::Disturbed,
                $act === 'joined' => DisturbanceAct::Joined,
                default => DisturbanceAct::Proven,
            },
            $how,
            $how === null || $more === '' ? [] : array_map(Proof::from(...), explode(',', $more)),
            $how === null && $act !== 'joined' ? Proof::from($act) : null,
            new CardRef('7', '001-07', 'A card', CardProgress::InWork, '1', 'A visit'),
            $id,
            'Oda Fenn',
            Instant::parse('2026-05-04T08:00:00Z'),
        );
    }

    /** @return iterable<string, array{list<string>, array<string, string>}> what happens, what is missing by what */
    public static function courses(): iterable
    {
        $leak = 'u slackened torque,leak';
        yield 'nothing touched' => [[], []];
        yield 'apart' => [[$leak], ['u' => 'apart: torque, leak']];
        yield 'joined' => [[$leak, 'u joined'], ['u' => 'torque, leak']];
        yield 'half proven' => [[$leak, 'u joined', 'u torque'], ['u' => 'leak']];
        yield 'whole' => [[$leak, 'u joined', 'u torque', 'u leak'], []];
        yield 'in another order' => [[$leak, 'u joined', 'u leak', 'u torque'], []];
        yield 'a proof while apart is none' => [
            [$leak, 'u leak', 'u joined', 'u torque'], ['u' => 'leak; before: leak'],
        ];
        yield 'a proof of what was whole is none later' => [['u leak', $leak, 'u joined', 'u torque'], ['u' => 'leak']];
        yield 'apart again after it was proven' => [
            [$leak, 'u joined', 'u torque', 'u parted bleed', 'u joined', 'u bleed'],
            ['u' => 'torque, leak; before: torque'],
        ];
        yield 'both ask, both are given' => [
            [$leak, 'u joined', 'u parted bleed', 'u joined', 'u bleed', 'u torque', 'u leak'],
            [],
        ];
        yield 'worked once more: not apart, and unproven' => [
            [$leak, 'u joined', 'u torque', 'u leak', 'u redone torque,leak'],
            ['u' => 'torque, leak'],
        ];
        yield 'worked once more while it is apart: apart still' => [
            [$leak, 'u redone torque,leak'],
            ['u' => 'apart: torque, leak'],
        ];
        yield 'nothing to prove: joined is whole' => [['panel opened', 'panel joined'], []];
        yield 'nothing to prove, and open' => [['panel opened'], ['panel' => 'apart: ']];
        yield 'each for itself' => [
            [$leak, 'v parted leak', 'u joined', 'v joined', 'u torque', 'u leak'],
            ['v' => 'leak'],
        ];
        yield 'joined, never disturbed' => [['u joined', 'u leak'], []];
    }

    /**
     * @param list<string> $events
     * @param array<string, string> $missing
     */
    #[DataProvider('courses')]
    public function test_what_is_missing(array $events, array $missing): void
    {
        $of = array_map(static fn(int $i): Disturbance => self::event($i + 1, $events[$i]), array_keys($events));
        self::assertSame($missing, self::say($of));
        // As they happened, however they are handed over.
        self::assertSame($missing, self::say(array_reverse($of)));
    }

    /**
     * @param list<Disturbance> $of
     *
     * @return array<string, string> what is missing, by what
     */
    private static function say(array $of): array
    {
        $said = [];
        foreach (Wholeness::missing($of) as $n) {
            $before = array_map(static fn(Disturbance $d): string => (string) $d->proof?->value, $n->before);
            $said[$n->what] = ($n->joined === null ? 'apart: ' : '')
                .implode(', ', array_column($n->missing, 'value'))
                .($before === [] ? '' : '; before: '.implode(', ', $before));
        }

        return $said;
    }

    /** Whatever happens: it is whole only if every proof that was ever asked for came after the last touch. */
    public function test_at_chance_it_is_whole_only_when_everything_was_proven_after_the_last_touch(): void
    {
        mt_srand(5);
        for ($run = 0; $run < 400; $run++) {
            $events = ['u parted torque,leak'];
            for ($i = mt_rand(0, 9); $i > 0; $i--) {
                $events[] = ['u joined', 'u torque', 'u leak', 'u parted torque,leak'][mt_rand(0, 3)];
            }
            $last = max([0, ...array_keys($events, 'u parted torque,leak', true)]);
            $after = array_slice($events, $last + 1);
            $joined = array_search('u joined', $after, true);
            $since = $joined === false ? [] : array_slice($after, $joined);
            self::assertSame(
                in_array('u torque', $since, true) && in_array('u leak', $since, true),
                Wholeness::missing(array_map(self::event(...), range(1, count($events)), $events)) === [],
                implode(' · ', $events),
            );
        }
    }

    public function test_an_aircraft_does_not_leave_with_it_and_nothing_apart_is_proven(): void
    {
        $on = new OnAircraft(disturbances: [self::event(3, 'u parted leak'), self::event(4, 'v parted leak'),
            self::event(5, 'v joined')]);
        self::assertSame(
            [['code' => 'not_whole', 'id' => '3'], ['code' => 'not_whole', 'id' => '4']],
            Leaving::blockers($on, '1'),
        );
        self::assertSame(['u'], array_column(Wholeness::apart($on->notWhole(), ['u', 'v', 'w']), 'what'));
        self::assertSame([], Leaving::blockers(new OnAircraft(disturbances: [
            ...$on->disturbances, self::event(6, 'v leak'), self::event(7, 'u joined'), self::event(8, 'u leak'),
        ]), '1'));
    }

    public function test_the_least_work_that_proves_it_is_found(): void
    {
        $open = Wholeness::missing([self::event(1, 'a parted leak,torque'), self::event(2, 'b parted leak')]);
        $offer = static fn(string $id, float $cost, string $of): ProofOffer => new ProofOffer(
            $id,
            $cost,
            array_map(
                static fn(string $p): array => array_map(Proof::from(...), explode('+', $p)),
                array_column(array_map(static fn(string $x): array => explode(':', $x), explode(' ', $of)), 1, 0),
            ),
        );
        $among = static fn(ProofOffer ...$of): array => ShortestProof::among($open, array_values($of));
        self::assertSame(['both'], $among(
            $offer('one', 1, 'a:leak+torque'),
            $offer('two', 1, 'b:leak'),
            $offer('both', 1.5, 'a:leak+torque b:leak'),
        ));
        self::assertSame(['one', 'two'], $among(
            $offer('one', 1, 'a:leak+torque'),
            $offer('two', 0, 'b:leak'),
            $offer('both', 1.5, 'a:leak+torque b:leak'),
        ));
        self::assertSame(['half'], $among($offer('half', 3, 'a:torque'), $offer('none', 0, 'c:leak a:travel')));
        self::assertSame([], $among());
        // Of many, everything that any of them gives is still given.
        $many = array_map(
            static fn(int $i): ProofOffer => $offer("x{$i}", 1 + $i, ['a:leak', 'a:torque', 'b:leak'][$i % 3]),
            range(0, 19),
        );
        self::assertSame(['x0', 'x1', 'x2'], ShortestProof::among($open, $many));
    }

    /** @param array<string, mixed> $with */
    private static function step(int $no, string $kind, array $with = []): StepNow
    {
        return new StepNow(...['no' => $no, 'kind' => $kind, 'title' => "step {$no}", 'done' => true, ...$with]);
    }

    /** @param list<StepNow> $steps */
    private static function card(array $steps, ?OnAircraft $on = null): CardNow
    {
        return new CardNow(
            new CardRef('7', '001-07', 'A card', CardProgress::InWork, '1', 'A visit'),
            new Touch([], 'wing'),
            false,
            true,
            $steps,
            [],
            [],
            null,
            null,
            $on ?? new OnAircraft,
        );
    }

    public function test_what_falls_when_a_step_of_a_block_or_one_with_an_answer_is_taken_back(): void
    {
        $lane = static fn(string $lane): array => ['group' => 'each door', 'lane' => $lane];
        $card = self::card([
            self::step(1, 'torque', $lane('left')),
            self::step(2, 'measurement', $lane('left')),
            self::step(3, 'inspection', $lane('left')),
            self::step(4, 'measurement', $lane('right')),
            self::step(5, 'inspection', $lane('right')),
            self::step(6, 'answer', ['id' => 'kind']),
            self::step(7, 'instruction', ['restsOn' => ['kind'], 'notApplicable' => true]),
            self::step(8, 'instruction', ['handling' => Handling::of(['joins' => ['u']])]),
            self::step(
                9,
                'instruction',
                ['handling' => Handling::of(['proves' => [['by' => 'leak', 'of' => ['u', 'v']]]])],
            ),
            self::step(
                10,
                'instruction',
                ['handling' => Handling::of(['proves' => [['by' => 'leak', 'of' => ['v']]]])],
            ),
        ]);
        self::assertSame([2, 3, 6], TakeBack::falls($card, 1));
        self::assertSame([7], TakeBack::falls($card, 6));
        self::assertSame([9], TakeBack::falls($card, 8));
    }

    public function test_the_positions_of_a_block_are_worked_in_any_order_and_each_in_its_own(): void
    {
        $place = static fn(int $no, ?string $lane = null, bool $done = false): StepPlace
            => new StepPlace($no, $done, false, $lane === null ? null : 'each door', $lane);
        $steps = [
            $place(1, done: true), $place(2, 'left'), $place(3, 'left'), $place(4, 'right'), $place(5, 'right'),
            $place(6),
        ];
        $blocking = static fn(int $no): ?int => StepOrder::blocking($steps, $no);
        self::assertSame([null, 2, null, 4, 2], array_map($blocking, [2, 3, 4, 5, 6]));
    }

    public function test_who_may_say_that_a_step_does_not_apply(): void
    {
        $handling = static fn(array $of): array => ['done' => false, 'handling' => Handling::of($of)];
        $disturbs = ['disturbs' => [['what' => 'u', 'how' => 'parted', 'proofs' => ['leak']]]];
        $plain = [
            self::step(1, 'instruction', ['done' => false]), self::step(2, 'rollcall', ['done' => false]),
            self::step(3, 'instruction', ['done' => false, 'ends' => ['fuel']]),
            self::step(4, 'instruction', $handling($disturbs)),
            self::step(5, 'instruction', $handling(['joins' => ['u']])),
        ];
        $may = static fn(CardNow $card): array => array_map(
            static fn(StepNow $s): bool => MayNotApply::by($card, $s),
            $card->steps,
        );
        self::assertSame([true, false, false, true, false], $may(self::card($plain)));
        $both = self::step(9, 'part', $handling([...$disturbs, 'joins' => ['u']]));
        self::assertTrue(MayNotApply::by(self::card([$both]), $both), 'what it alone takes off and puts on');
        // Once nothing is parted, there is nothing to join; unless it stands apart from somewhere else.
        $plain[3] = self::step(4, 'instruction', [...$handling($disturbs), 'notApplicable' => true]);
        self::assertTrue($may(self::card($plain))[4]);
        $apart = new OnAircraft(disturbances: [self::event(1, 'u parted leak')]);
        self::assertFalse($may(self::card($plain, $apart))[4]);
    }

    /** @return iterable<array{string, float, float|null}> */
    public static function counts(): iterable
    {
        yield ['47', 1, 47.0];
        yield ['1,5', 0.25, 1.5];
        yield ['1 1/2', 0.25, 1.5];
        yield ['3/4', 0.25, 0.75];
        yield ['0', 1, 0.0];
        foreach (['1.5', '1/2', '-1', '', 'a', '1e3', '1/0', '4 7', '123456'] as $none) {
            yield [$none, 1, null];
        }
        yield ['1/3', 0.25, null];
        yield ['0.1', 0.25, null];
    }

    #[DataProvider('counts')]
    public function test_turns_are_counted_in_parts_where_the_step_says_so(string $entry, float $part, ?float $is): void
    {
        self::assertSame($is, Counted::parse($entry, $part));
    }

    public function test_a_count_is_within_its_bounds_or_has_none(): void
    {
        self::assertSame([true, false, false, true], [
            Counted::within(2.5, 2, 3), Counted::within(1.75, 2, null), Counted::within(4, null, 3),
            Counted::within(0, null, null),
        ]);
    }
}
