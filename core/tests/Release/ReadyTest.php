<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Release;

use Jorvel\Core\Floor\CardProgress;
use Jorvel\Core\Floor\FindingProgress;
use Jorvel\Core\Floor\How;
use Jorvel\Core\Floor\Touch;
use Jorvel\Core\Now\Acting;
use Jorvel\Core\Now\CardRef;
use Jorvel\Core\Now\DeviceOn;
use Jorvel\Core\Now\LoanOut;
use Jorvel\Core\Now\OnAircraft;
use Jorvel\Core\Now\PartGone;
use Jorvel\Core\Now\PersonAt;
use Jorvel\Core\Release\CardState;
use Jorvel\Core\Release\Certifier;
use Jorvel\Core\Release\Ready;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Tests\Now\Pictures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What keeps an aircraft from flying, each thing alone, wherever on it it is. */
final class ReadyTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, list<string>}> the aircraft, and what is said */
    public static function aircraft(): iterable
    {
        $card = new CardRef('8', '002-01', 'of another visit', CardProgress::Closed, '2');
        $pin = static fn(?string $by): array => ['on' => new OnAircraft(devices: [
            new DeviceOn('d', 'lock pin', 'nose leg', new Touch([], 'nose'), false, $card, 'Oda Fenn', $by),
        ])];
        $deferred = ['findings' => ['f3' => FindingProgress::Deferred]];
        yield 'nothing' => [[], []];
        yield 'a finding open' => [['findings' => ['4' => FindingProgress::Open]], ['finding_open:4']];
        yield 'a finding fixed' => [['findings' => ['4' => FindingProgress::Fixed]], []];
        yield 'carried' => [[...$deferred, 'deferrals' => [Pictures::deferral('3', 5)]], []];
        yield 'carried by nothing' => [$deferred, ['deferral_invalid:f3']];
        yield 'carried, its procedure not done'
            => [[...$deferred, 'deferrals' => [Pictures::deferral('3', 5, 1e6, false)]], ['deferral_invalid:f3']];
        yield 'carried, run out by the calendar'
            => [[...$deferred, 'deferrals' => [Pictures::deferral('3', 0)]], ['deferral_invalid:f3']];
        yield 'a pin' => [$pin(null), ['safing_left:d']];
        yield 'a pin that a deferral carries'
            => [[...$deferred, ...$pin('f3'), 'deferrals' => [Pictures::deferral('3', 5)]], []];
        yield 'a pin whose deferral has run out' => [
            [...$deferred, ...$pin('f3'), 'deferrals' => [Pictures::deferral('3', 0)]],
            ['deferral_invalid:f3', 'safing_left:d'],
        ];
        yield 'a tool out on a card of another visit' => [
            ['on' => new OnAircraft(loans: [
                new LoanOut('l', 'rags', 7, $card, 'Oda Fenn', Instant::parse('2026-05-05T10:00:00Z')),
            ])],
            ['tool_out:l'],
        ];
        yield 'somebody at it, and a system live, in this visit'
            => [['on' => self::busy('1')], ['person_at:p', 'system_live:a']];
        yield 'in another visit: that a card is begun, too'
            => [['on' => self::busy('2')], ['person_at:p', 'system_live:a', 'begun_elsewhere:k2']];
        yield 'a part missing' => [['gone' => [new PartGone('9', Day::parse('2026-05-01'))]], ['part_missing:9']];
    }

    private static function busy(string $visit): OnAircraft
    {
        $card = new CardRef("k{$visit}", '001-01', 'a card', CardProgress::InWork, $visit);
        $touch = new Touch(['hydraulics'], 'nose');
        $at = Instant::parse('2026-05-05T10:00:00Z');

        return new OnAircraft(
            people: [new PersonAt('p', 'Oda Fenn', $card, $touch, $at)],
            acting: [new Acting('a', $card, 3, 'pump', How::Pressurises, ['hydraulics'], $touch, $at, true, 'O')],
            begun: [$card],
        );
    }

    /**
     * @param array<string, mixed> $with
     * @param list<string> $said
     */
    #[DataProvider('aircraft')]
    public function test_the_rest_of_the_aircraft_is_asked(array $with, array $said): void
    {
        self::assertSame($said, self::ask($with, [], 'pass'));
    }

    public function test_so_are_its_cards_and_who_signs(): void
    {
        $cards = [
            new CardState('1', false, 2, false, ['p'], null, [], true),
            CardState::inDoubt('7', 'what PG-28 read'),
        ];
        $said = ['card_open:1', 'steps_open:1', 'recheck_open:7', 'reading_bad:5', 'not_authorised:x'];
        self::assertSame($said, self::ask([], $cards, 'fail', false));
    }

    /**
     * @param array<string, mixed> $with
     * @param list<CardState> $cards
     *
     * @return list<string>
     */
    private static function ask(array $with, array $cards, string $verdict, bool $may = true): array
    {
        return array_map(static fn(array $b): string => "{$b['code']}:{$b['id']}", Ready::blockers(
            Pictures::aircraft($with),
            '1',
            $cards,
            ['5' => $verdict],
            new Certifier('x', $may, true),
            Instant::parse('2026-05-05T12:00:00Z'),
        ));
    }
}
