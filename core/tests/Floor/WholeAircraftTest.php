<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Floor;

use Jorvel\Core\Floor\Acts;
use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Floor\How;
use Jorvel\Core\Floor\Interlock;
use Jorvel\Core\Floor\Lasting;
use Jorvel\Core\Floor\NotNow;
use Jorvel\Core\Floor\NotSigned;
use Jorvel\Core\Floor\StayAway;
use Jorvel\Core\Floor\TakeBack;
use Jorvel\Core\Floor\Touch;
use Jorvel\Core\Now\Acting;
use Jorvel\Core\Now\CardNow;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\DeviceOn;
use Jorvel\Core\Now\LoanOut;
use Jorvel\Core\Now\OnAircraft;
use Jorvel\Core\Now\PersonAt;
use Jorvel\Core\Now\StepNow;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The rules of the floor, asked of the whole aircraft: what holds what, from which card, in which zone. */
final class WholeAircraftTest extends TestCase
{
    private static function ref(string $id, CardProgress $state = CardProgress::InWork): CardRef
    {
        return new CardRef($id, "001-{$id}", "Card {$id}", $state);
    }

    private static function at(): Instant
    {
        return Instant::parse('2026-05-05T12:00:00Z');
    }

    /** @param list<string> $systems */
    private static function person(string $id, string $card, array $systems, string $zone = 'wing'): PersonAt
    {
        return new PersonAt($id, "Person {$id}", self::ref($card), new Touch($systems, $zone), self::at());
    }

    /** @param list<string> $against */
    private static function device(
        string $id,
        array $against,
        bool $open = false,
        string $kind = 'Lock',
        string $zone = 'wing',
    ): DeviceOn {
        return new DeviceOn($id, $kind, 'nose', new Touch($against, $zone), $open, self::ref('9'), 'Person 9');
    }

    /** @param list<string> $systems */
    private static function acting(string $id, string $card, array $systems, bool $running = true): Acting
    {
        return new Acting(
            $id,
            self::ref($card),
            3,
            'Hold',
            How::Pressurises,
            $systems,
            new Touch($systems, 'wing'),
            self::at(),
            $running,
            'Person 1',
        );
    }

    /**
     * @param list<StepNow> $steps
     * @param array<string, mixed> $more
     */
    private static function card(array $steps, OnAircraft $on = new OnAircraft, array $more = []): CardNow
    {
        return new CardNow(
            self::ref('1', $more['state'] ?? CardProgress::InWork),
            $more['touch'] ?? new Touch(['hydraulics'], 'wing'),
            false,
            $more['current'] ?? true,
            $steps,
            $more['hands'] ?? ['7'],
            $more['inspectors'] ?? [],
            $more['left'] ?? null,
            $more['waits'] ?? null,
            $on,
            over: $more['over'] ?? false,
        );
    }

    /** @param list<string> $systems */
    private static function moves(array $systems, int $no = 1): StepNow
    {
        return new StepNow($no, 'count', 'Pump', false, null, Acts::on(How::Moves, $systems, ['Gear pins']));
    }

    /**
     * @return iterable<string, array{list<string>, string, list<string>, string, bool}> systems and zone of the one and
     *   of the other, and whether they meet
     */
    public static function touches(): iterable
    {
        yield 'one system in common' => [['fuel', 'oxygen'], 'wing', ['oxygen'], 'tail', true];
        yield 'none in common, at one place' => [['fuel'], 'wing', ['oxygen'], 'wing', false];
        yield 'everything' => [['*'], 'wing', ['oxygen'], 'tail', true];
        yield 'everything, and what names none' => [['*'], 'wing', [], 'tail', true];
        yield 'what names none, in the same zone' => [[], 'wing', ['fuel'], 'wing', true];
        yield 'what names none, elsewhere' => [[], 'wing', ['fuel'], 'tail', false];
        yield 'what names none, over the whole aircraft' => [[], 'whole aircraft', ['fuel'], 'tail', true];
        yield 'what names a system, over the whole aircraft' => [['oxygen'], 'whole aircraft', ['fuel'], 'tail', false];
        yield 'neither names any, apart' => [[], 'wing', [], 'tail', false];
        yield 'neither names any, together' => [[], 'tail', [], 'tail', true];
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    #[DataProvider('touches')]
    public function test_what_touches_what(array $a, string $at, array $b, string $there, bool $meets): void
    {
        self::assertSame($meets, (new Touch($a, $at))->meets(new Touch($b, $there)));
        self::assertSame($meets, (new Touch($b, $there))->meets(new Touch($a, $at)), 'the same both ways');
    }

    /** @return list<string> ids of what holds it, with its class */
    private static function held(CardNow $card, StepNow $step, string $by = '7'): array
    {
        return array_map(
            static fn(PersonAt|Acting|DeviceOn $s): string => substr(strrchr($s::class, '\\') ?: '', 1, 1).$s->id,
            Interlock::holding($card, $step, $by),
        );
    }

    public function test_people_come_first_then_what_acts_then_open_lines_then_devices(): void
    {
        $on = new OnAircraft(
            [
                self::person('3', '2', ['hydraulics']), self::person('7', '2', ['hydraulics']),
                self::person('4', '2', ['oxygen']),
            ],
            [
                self::device('1', ['hydraulics']), self::device('2', ['hydraulics'], true),
                self::device('3', ['oxygen']), self::device('4', ['*']), self::device('5', ['*'], false, 'Gear pins'),
            ],
            [
                self::acting('1', '2', ['hydraulics']), self::acting('2', '1', ['hydraulics']),
                self::acting('3', '2', ['oxygen']),
            ],
        );
        $card = self::card([self::moves(['hydraulics'])], $on);
        self::assertSame(
            ['P3', 'A1', 'D2', 'D1', 'D4'],
            self::held($card, self::moves(['hydraulics'])),
            'neither who works it, nor its own card, nor what is meant to be on',
        );
        self::assertSame(['P7', 'P3'], array_slice(
            self::held(self::card([], new OnAircraft(array_reverse($on->people))), self::moves(['hydraulics']), '1'),
            0,
            2,
        ));
        self::assertSame(
            [],
            self::held($card, new StepNow(1, 'instruction', 'Look', false)),
            'what acts on nothing is never held',
        );
        self::assertSame(
            [],
            self::held($card, new StepNow(1, 'count', 'Pump', true, null, Acts::on(How::Moves, ['hydraulics']))),
            'nor what is done',
        );
    }

    public function test_a_lift_is_held_by_everybody_and_everything_but_what_is_meant_to_be_on(): void
    {
        $on = new OnAircraft([self::person('3', '2', ['oxygen'], 'tail'), self::person('4', '2', [], 'cabin')], [
            self::device('1', []), self::device('2', ['wheels'], false, 'Gear pins'),
            self::device('3', ['nose door']),
        ]);
        self::assertSame(['P3', 'P4', 'D1', 'D3'], self::held(self::card([], $on), self::moves(['*'])));
    }

    public function test_others_at_the_card_hold_its_step_unless_a_roll_call_before_it_called_them_clear(): void
    {
        $call = new StepNow(1, 'rollcall', 'Call', true);
        $on = new OnAircraft([self::person('3', '1', ['hydraulics']), self::person('4', '2', ['hydraulics'])]);
        self::assertSame(
            ['P3', 'P4'],
            self::held(self::card([self::moves(['hydraulics'], 2)], $on), self::moves(['hydraulics'], 2)),
        );
        self::assertSame(
            ['P4'],
            self::held(self::card([$call, self::moves(['hydraulics'], 2)], $on), self::moves(['hydraulics'], 2)),
        );
        self::assertSame(
            ['P3', 'P4'],
            self::held(
                self::card([self::moves(['hydraulics'], 1), new StepNow(2, 'rollcall', 'Call', true)], $on),
                self::moves(['hydraulics'], 1),
            ),
            'one after it calls nobody',
        );
    }

    public function test_nobody_comes_where_something_runs_or_is_live_wherever_whoever_began_it_is(): void
    {
        $on = new OnAircraft([self::person('5', '1', ['hydraulics'])], [], [
            self::acting('1', '2', ['hydraulics'], false), self::acting('2', '1', ['hydraulics']),
            self::acting('3', '2', ['oxygen']), self::acting('4', '2', ['hydraulics']),
        ]);
        $away = static fn(CardNow $c, string $by): array => array_column(StayAway::from($c, $by), 'id');
        self::assertSame(['1', '4'], $away(self::card([], $on), '7'));
        self::assertSame([], $away(self::card([], $on), '5'), 'who is there already is there with whoever acts');
        self::assertSame(
            [],
            $away(self::card([], $on, ['state' => CardProgress::Signed]), '7'),
            'nothing is left to come to',
        );
        self::assertSame(
            ['1', '3', '4'],
            $away(self::card([], $on, ['touch' => new Touch([], 'wing')]), '7'),
            'a card that names no system touches all of its zone',
        );
    }

    /**
     * @return iterable<string, array{array<string, mixed>, NotNow|null, NotNow|null}> a card, why it is not worked, why
     *   nothing is entered on it
     */
    public static function cards(): iterable
    {
        yield 'free' => [[], null, null];
        yield 'signed' => [['state' => CardProgress::Signed], NotNow::Worked, null];
        yield 'closed' => [['state' => CardProgress::Closed], NotNow::Worked, null];
        yield 'of a visit that is over' => [['over' => true, 'waits' => self::ref('2')], NotNow::Over, null];
        yield 'waits' => [['waits' => self::ref('2')], NotNow::Waits, null];
        yield 'to be re-read' => [['current' => false], NotNow::ToReRead, NotNow::ToReRead];
        yield 'signed, to be re-read'
            => [['state' => CardProgress::Signed, 'current' => false], NotNow::Worked, NotNow::ToReRead];
        yield 'handed over' => [['left' => '3'], NotNow::HandedOver, NotNow::HandedOver];
        yield 'handed over, then signed by an older rule'
            => [['left' => '3', 'state' => CardProgress::Signed], NotNow::Worked, null];
    }

    /** @param array<string, mixed> $more */
    #[DataProvider('cards')]
    public function test_when_a_card_is_not_worked(array $more, ?NotNow $work, ?NotNow $entry): void
    {
        self::assertSame([$work, $entry], [
            NotNow::toWork(self::card([], new OnAircraft, $more)),
            NotNow::ofAnyEntry(self::card([], new OnAircraft, $more)),
        ]);
    }

    public function test_when_a_card_is_not_signed(): void
    {
        $done = [new StepNow(1, 'instruction', 'Do', true)];
        $loan = new OnAircraft([], [], [], [
            new LoanOut('4', 'rags', 5, self::ref('1'), 'Person 7', self::at()),
            new LoanOut('5', 'wrench', 1, self::ref('2'), 'Person 7', self::at()),
        ]);
        $why = static fn(CardNow $c, string ...$back): ?NotSigned => NotSigned::why($c, '7', array_values($back));
        self::assertSame(
            NotSigned::AlreadySigned,
            $why(self::card($done, new OnAircraft, ['state' => CardProgress::Closed])),
        );
        self::assertSame(NotSigned::StepsOpen, $why(self::card([...$done, new StepNow(2, 'hold', 'Hold', false)])));
        self::assertSame(
            NotSigned::StillLive,
            $why(self::card($done, new OnAircraft([], [], [self::acting('1', '1', ['hydraulics'], false)]))),
        );
        self::assertNull(
            $why(self::card($done, new OnAircraft([], [], [self::acting('1', '2', ['hydraulics'])]))),
            'another card\'s is that card\'s',
        );
        self::assertSame(NotSigned::InspectedIt, $why(self::card($done, new OnAircraft, ['inspectors' => ['7']])));
        self::assertSame(NotSigned::NoHandInIt, $why(self::card($done, new OnAircraft, ['hands' => ['8']])));
        self::assertSame(NotSigned::LoansOut, $why(self::card($done, $loan)));
        self::assertSame(NotSigned::LoansOut, $why(self::card($done, $loan), '5'));
        self::assertNull($why(self::card($done, $loan), '4'));
    }

    /** @return iterable<string, array{int, list<int>}> a step taken back, and what falls */
    public static function takenBack(): iterable
    {
        yield 'a seal: every proof after it, and the inspection' => [2, [4, 5, 7]];
        yield 'a caution: the inspections' => [1, [7]];
        yield 'a reading: only what inspected it' => [5, [7]];
        yield 'the torque: what was proven after it' => [4, [5, 7]];
        yield 'the last' => [7, []];
        yield 'none such' => [12, []];
    }

    /** @param list<int> $falls */
    #[DataProvider('takenBack')]
    public function test_what_rests_on_a_step_falls_with_it(int $no, array $falls): void
    {
        $kinds = ['caution', 'part', 'finding_prompt', 'torque', 'measurement', 'safing_fit', 'inspection', 'hold'];
        $steps = array_map(
            static fn(string $kind, int $i): StepNow
                => new StepNow($i + 1, $kind, $kind, $i < 7),
            $kinds,
            array_keys($kinds),
        );
        self::assertSame($falls, TakeBack::falls(self::card($steps), $no), 'the hold after it is open, and stays so');
    }

    public function test_what_ended_a_pressure_falls_with_what_made_it(): void
    {
        $steps = [
            new StepNow(1, 'hold', 'Hold', true, null, Acts::on(How::Pressurises, ['hydraulics'])),
            new StepNow(2, 'instruction', 'Pump off', true, null, null, ['hydraulics']),
            new StepNow(3, 'instruction', 'Power off', true, null, null, ['power']),
        ];
        self::assertSame([2], TakeBack::falls(self::card($steps), 1));
    }

    public function test_power_and_pressure_last_until_a_step_ends_them_where_one_does(): void
    {
        $hold = new StepNow(1, 'hold', 'Hold', false, null, Acts::on(How::Pressurises, ['hydraulics']));
        $off = static fn(string $system): StepNow => new StepNow(2, 'instruction', 'Off', false, null, null, [$system]);
        self::assertTrue(Lasting::after(self::card([$hold, $off('hydraulics')]), $hold));
        self::assertFalse(Lasting::after(self::card([$hold, $off('oxygen')]), $hold));
        self::assertFalse(
            Lasting::after(
                self::card([$off('hydraulics'), new StepNow(3, 'hold', 'Hold', false, null, $hold->acts)]),
                new StepNow(3, 'hold', 'Hold', false, null, $hold->acts),
            ),
            'what came before ends nothing after',
        );
        self::assertFalse(
            Lasting::after(self::card([self::moves(['hydraulics']), $off('hydraulics')]), self::moves(['hydraulics'])),
            'a movement is over',
        );
        self::assertFalse(
            Lasting::after(self::card([$off('hydraulics')]), new StepNow(1, 'instruction', 'Look', false)),
        );
    }

    public function test_what_acts_names_a_system(): void
    {
        $this->expectException(InputError::class);
        Acts::on(How::Moves, []);
    }
}
