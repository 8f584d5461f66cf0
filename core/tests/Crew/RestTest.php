<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Crew;

use DateTimeZone;
use Jorvel\Core\Crew\OnRota;
use Jorvel\Core\Crew\Qualified;
use Jorvel\Core\Crew\Rest;
use Jorvel\Core\Crew\Rota;
use Jorvel\Core\Crew\Shift;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rest between shifts, and days that differ from the usual week. */
final class RestTest extends TestCase
{
    /** @return iterable<string, array{list<array{string, string}>, list<array{string, string, float}>}> */
    public static function cases(): iterable
    {
        yield 'nothing worked' => [[], []];
        yield 'eleven hours to the minute are enough' => [[['05T06', '05T14'], ['06T01', '06T09']], []];
        yield 'an hour too few' => [[['05T14', '05T22'], ['06T08', '06T14']], [['rest_short', '06T08', 10.0]]];
        yield 'in any order' => [[['06T08', '06T14'], ['05T14', '05T22']], [['rest_short', '06T08', 10.0]]];
        yield 'two shifts on end are one stretch, too long'
            => [[['05T06', '05T14'], ['05T14', '05T22']], [['too_long', '05T14', 16.0]]];
        yield 'a short one on end is not' => [[['05T06', '05T14'], ['05T14', '05T18']], []];
        yield 'overlapping ones count once' => [[['05T06', '05T14'], ['05T12', '05T18']], []];
        yield 'both at once' => [
            [['05T06', '05T14'], ['05T15', '06T05']], [['rest_short', '05T15', 1.0], ['too_long', '05T15', 14.0]],
        ];
    }

    /**
     * @param list<array{string, string}> $shifts
     * @param list<array{string, string, float}> $breaches
     */
    #[DataProvider('cases')]
    public function test_breaches(array $shifts, array $breaches): void
    {
        $at = static fn(string $t): Instant => Instant::parse("2026-05-{$t}:00:00Z");
        $found = Rest::of(11, 12)->breaches(array_map(static fn(array $s): array => [$at($s[0]), $at($s[1])], $shifts));
        self::assertEquals(
            $breaches,
            array_map(static fn($b): array => [$b->code, substr((string) $b->at, 8, 5), $b->hours], $found),
        );
    }

    public function test_rules_that_are_none(): void
    {
        $errors = [];
        foreach ([[-1, 8], [11, 0]] as [$between, $most]) {
            try {
                Rest::of($between, $most);
            } catch (InputError $e) {
                $errors[] = $e->path;
            }
        }
        self::assertSame(['between', 'most'], $errors);
    }

    public function test_leave_and_a_changed_shift_go_before_the_usual_week(): void
    {
        $held = new Qualified(['skill:a' => null, 'rating:T' => null, 'authority:perform' => null]);
        $rota = new Rota(
            [new OnRota('early', [1, 2, 3, 4, 5], ['a'], $held, ['2026-05-05' => null, '2026-05-06' => 'late', '2026-05-09' => 'early'])],
            ['early' => new Shift('06:00', '14:00'), 'late' => new Shift('14:00', '22:00')],
            new DateTimeZone('UTC'),
        );
        $counts = static fn(string $shift): array => array_map(
            static fn(int $d): int => $rota->counts($shift, Day::parse("2026-05-0{$d}"), 'T')['a'] ?? 0,
            [4, 5, 6, 7, 8, 9],
        );
        self::assertSame([1, 0, 0, 1, 1, 1], $counts('early'));
        self::assertSame([0, 0, 1, 0, 0, 0], $counts('late'));
        self::assertSame(0, $rota->able(Day::parse('2026-05-05'), 'T', 'a'));
    }

    public function test_nobody_is_there_after_their_last_day_whatever_else_is_entered(): void
    {
        $held = new Qualified(['skill:a' => null, 'rating:T' => null, 'authority:perform' => null]);
        $leaving = new OnRota(
            'early',
            [1, 2, 3, 4, 5],
            ['a'],
            $held,
            ['2026-05-09' => 'late'],
            Day::parse('2026-05-06'),
        );
        $there = array_map(static fn(int $d): ?string => $leaving->shiftOn(Day::parse("2026-05-0{$d}")), [5, 6, 7, 9]);
        self::assertSame(['early', 'early', null, null], $there, 'the last day itself is worked');
        self::assertFalse($leaving->worksOn(Day::parse('2026-05-07')));
        self::assertSame(
            'late',
            (new OnRota('early', [], ['a'], $held, ['2026-05-09' => 'late']))->shiftOn(Day::parse('2026-05-09')),
            'without an end',
        );
    }
}
