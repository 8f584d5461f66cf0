<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Floor;

use Jorvel\Core\Floor\Recent;
use Jorvel\Core\Floor\RollCall;
use Jorvel\Core\Floor\StepOrder;
use Jorvel\Core\Floor\StepPlace;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Stores\PartFit;
use Jorvel\Core\Stores\PartStock;
use Jorvel\Core\Stores\ToolCheck;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The small rules of the floor and the store. */
final class FloorRulesTest extends TestCase
{
    /**
     * @return iterable<string, array{string, list<int|null>}> a card as `done!`, `question?`, `group:name`, and what
     *   each step waits for
     */
    public static function orders(): iterable
    {
        yield 'in order' => ['x! x x', [null, null, 2]];
        yield 'a question holds nothing up' => ['x! ? x x', [null, null, null, 3]];
        yield 'a group in any order, once all before it is done' => ['x g g g x', [null, 1, 1, 1, 1]];
        yield 'a group that is reached' => ['x! g g! g x', [null, null, null, null, 2]];
        yield 'groups that are mixed' => ['g! h g h', [null, null, 2, 3]];
        yield 'nothing left' => ['x! g! x!', [null, null, null]];
    }

    /** @param list<int|null> $waits */
    #[DataProvider('orders')]
    public function test_what_a_step_waits_for(string $card, array $waits): void
    {
        $steps = [];
        foreach (explode(' ', $card) as $i => $s) {
            $steps[] = new StepPlace(
                $i + 1,
                str_contains($s, '!'),
                $s === '?',
                in_array($s[0], ['g', 'h'], true) ? $s[0] : null,
            );
        }
        self::assertSame(
            $waits,
            array_map(static fn(StepPlace $s): ?int => StepOrder::blocking($steps, $s->no), $steps),
        );
    }

    public function test_a_call_stands_for_its_time(): void
    {
        $now = Instant::parse('2026-05-05T12:00:00Z');
        $calls = [
            'nose' => Instant::parse('2026-05-05T11:55:00Z'), 'tail' => Instant::parse('2026-05-05T11:54:59Z'),
            '3' => $now,
        ];
        self::assertSame(
            ['tail', 'left wing'],
            RollCall::missing(['nose', 'tail', '3', 'left wing'], $calls, $now, 300),
        );
        self::assertSame([], RollCall::missing([], [], $now, 0));
    }

    /** @return iterable<string, array{string|null, string|null, bool}> who signs, who signed, and if that stands */
    public static function briefings(): iterable
    {
        yield 'none is asked' => [null, null, true];
        yield 'not signed' => ['nose', null, false];
        yield 'by whoever is there' => ['nose', '7', true];
        yield 'by somebody who was there before' => ['nose', '8', false];
        yield 'nobody is there' => ['tail', '7', false];
    }

    #[DataProvider('briefings')]
    public function test_a_briefing_stands_while_its_signer_does(?string $signs, ?string $signed, bool $stands): void
    {
        self::assertSame($stands, RollCall::briefed(['nose' => '7', 'wing' => '9'], $signs, $signed));
    }

    public function test_whoever_leads_confirms(): void
    {
        foreach ([[null, '9', true], ['nose', '7', true], ['nose', '9', false], ['tail', '7', false]] as $case) {
            self::assertSame($case[2], RollCall::confirms(['nose' => '7', 'wing' => '9'], $case[0], $case[1]));
        }
    }

    /** @return iterable<string, array{string, int, bool, bool}> day, flights since, by days, by flights */
    public static function recents(): iterable
    {
        yield 'today' => ['2026-05-05', 0, true, true];
        yield 'ninety days ago, many flights' => ['2026-02-04', 200, true, false];
        yield 'a day more, few flights' => ['2026-02-03', 30, false, true];
        yield 'long ago either way' => ['2025-12-01', 31, false, false];
        yield 'not yet' => ['2026-05-06', 0, false, false];
    }

    #[DataProvider('recents')]
    public function test_what_is_recent(string $of, int $flown, bool $byDays, bool $byFlights): void
    {
        $recent = Recent::usual();
        [$day, $today] = [Day::parse($of), Day::parse('2026-05-05')];
        self::assertSame([$byDays, $byFlights, $byDays || $byFlights], [
            $recent->byDays($day, $today), $recent->byFlights($day, $today, $flown),
            $recent->holds($day, $today, $flown),
        ]);
    }

    public function test_a_place_is_the_same_however_it_is_written(): void
    {
        self::assertTrue(Recent::samePlace('Propeller 1, blade 3', ' propeller 1 - Blade 3.'));
        self::assertFalse(Recent::samePlace('propeller 1, blade 3', 'propeller 1, blade 4'));
    }

    /** @return iterable<string, array{list<string>|null, string|null, bool, bool, int, int, list<string>}> */
    public static function parts(): iterable
    {
        yield 'fits' => [['A', 'B'], '2026-05-05', true, false, 2, 2, []];
        yield 'fits every tail' => [null, null, false, false, 1, 1, []];
        yield 'another tail\'s' => [['B'], null, false, false, 1, 1, ['not_effective']];
        yield 'shelf life over since yesterday' => [null, '2026-05-04', false, false, 1, 1, ['shelf_life']];
        yield 'a seal a second time' => [null, null, true, true, 1, 0, ['used_before']];
        yield 'a bracket a second time' => [null, null, false, true, 1, 0, []];
        yield 'not enough in the batch' => [null, null, true, false, 3, 2, ['too_few']];
        yield 'everything at once' => [
            [], '2026-01-01', true, true, 3, 2, ['not_effective', 'shelf_life', 'used_before'],
        ];
    }

    /**
     * @param list<string>|null $codes
     * @param list<string> $refusals
     */
    #[DataProvider('parts')]
    public function test_whether_a_part_may_be_fitted(
        ?array $codes,
        ?string $expires,
        bool $oneTime,
        bool $again,
        int $wanted,
        int $inBatch,
        array $refusals,
    ): void {
        self::assertSame($refusals, PartFit::refusals(
            $codes,
            'A',
            $expires === null ? null : Day::parse($expires),
            Day::parse('2026-05-05'),
            $oneTime,
            $again,
            $wanted,
            $inBatch,
        ));
    }

    /**
     * @return iterable<string, array{
     *   list<array{string, int, string|null}>, int, int, array{int, int, string, string|null},
     * }>
     *   batches, wanted, ordered; usable, short, code, batch
     */
    public static function stocks(): iterable
    {
        yield 'nothing, and nothing wanted' => [[], 0, 0, [0, 0, 'enough', null]];
        yield 'enough' => [[['A', 4, null]], 4, 0, [4, 0, 'enough', null]];
        yield 'short, none ordered' => [[['A', 4, null]], 5, 0, [4, 1, 'short', null]];
        yield 'short, too few ordered' => [[['A', 1, null]], 5, 3, [1, 4, 'short', null]];
        yield 'short until the order comes' => [[['A', 1, null]], 5, 4, [1, 4, 'waiting', null]];
        yield 'what is past its shelf life cannot be taken'
            => [[['A', 3, '2026-05-04'], ['B', 1, null]], 2, 0, [1, 1, 'short', null]];
        yield 'past, but enough without it' => [[['A', 3, '2026-05-04'], ['B', 2, null]], 2, 0, [2, 0, 'expired', 'A']];
        yield 'the last day itself is still good' => [[['A', 3, '2026-05-05']], 3, 0, [3, 0, 'soon', 'A']];
        yield 'thirty days on is soon, a day more is not'
            => [[['A', 1, '2026-06-05'], ['B', 1, '2026-06-04']], 2, 0, [2, 0, 'soon', 'B']];
        yield 'later than soon' => [[['A', 1, '2026-06-05']], 1, 0, [1, 0, 'enough', null]];
        yield 'an empty batch tells nothing'
            => [[['A', 0, '2026-01-01'], ['B', 1, null]], 1, 0, [1, 0, 'enough', null]];
        yield 'the earliest of several'
            => [[['A', 1, '2026-05-03'], ['B', 1, '2026-05-01'], ['C', 1, null]], 0, 0, [1, 0, 'expired', 'B']];
    }

    /**
     * @param list<array{string, int, string|null}> $batches
     * @param array{int, int, string, string|null} $stands
     */
    #[DataProvider('stocks')]
    public function test_how_a_part_stands_in_the_store(array $batches, int $wanted, int $ordered, array $stands): void
    {
        $stock = PartStock::of(
            array_map(
                static fn(array $b): array => [$b[0], $b[1], $b[2] === null ? null : Day::parse($b[2])],
                $batches,
            ),
            $wanted,
            $ordered,
            Day::parse('2026-05-05'),
            30,
        );
        self::assertSame($stands, [$stock->usable, $stock->short, $stock->code, $stock->batch]);
    }

    public function test_the_last_check_that_found_a_tool_good(): void
    {
        $check = static fn(string $day, bool $good): ToolCheck => new ToolCheck(Day::parse($day), $good);
        $checks = [
            $check('2026-03-02', true), $check('2025-09-01', true), $check('2026-04-01', false),
            $check('2026-05-05', true),
        ];
        self::assertSame('2026-03-02', (string) ToolCheck::lastGood($checks, Day::parse('2026-05-05')));
        self::assertSame('2025-09-01', (string) ToolCheck::lastGood($checks, Day::parse('2026-03-02')));
        self::assertNull(ToolCheck::lastGood($checks, Day::parse('2025-09-01')));
    }
}
