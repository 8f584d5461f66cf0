<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Floor;

use Jorvel\Core\Fleet\Outlook;
use Jorvel\Core\Floor\DamageGrowth;
use Jorvel\Core\Floor\DamageLimits;
use Jorvel\Core\Floor\DamageSize;
use Jorvel\Core\Floor\DamageSpot;
use Jorvel\Core\Floor\DamageState;
use Jorvel\Core\Floor\FindingProgress;
use Jorvel\Core\Now\DamageNow;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Tests\Now\Pictures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Damage in numbers: against what is allowed, between two looks, and when it is looked at again. */
final class DamageTest extends TestCase
{
    /** @return iterable<string, array{DamageLimits, DamageSize, list<string>}> */
    public static function sizes(): iterable
    {
        $all = new DamageLimits(20, 1.5, 30, 25);
        yield 'nothing named' => [new DamageLimits, DamageSize::of(500), []];
        yield 'at every limit' => [$all, DamageSize::of(20, 1.5, 30, 25), []];
        yield 'too long' => [$all, DamageSize::of(20.1, 1.5, 30, 25), ['length']];
        yield 'too deep and too near' => [$all, DamageSize::of(3, 1.6, 29.9, 3), ['depth', 'edge', 'fastener']];
        yield 'not measured' => [$all, DamageSize::of(21), [
            'length', 'unmeasured:depth', 'unmeasured:edge', 'unmeasured:fastener',
        ]];
    }

    /** @param list<string> $against */
    #[DataProvider('sizes')]
    public function test_what_is_not_allowed_is_named(DamageLimits $limits, DamageSize $size, array $against): void
    {
        self::assertSame($against, $limits->against($size));
    }

    public function test_a_size_that_cannot_be_names_its_place(): void
    {
        foreach ([[0.0, null, 'length'], [NAN, null, 'length'], [1e9, null, 'length'], [3.0, -1.0, 'depth']] as $bad) {
            try {
                DamageSize::of($bad[0], $bad[1]);
                self::fail((string) json_encode($bad[2]));
            } catch (InputError $e) {
                self::assertSame($bad[2], $e->path);
            }
        }
    }

    /** @return iterable<string, array{list<array{float, float}>, float|null, float|null, float|null, float|null}> */
    public static function growth(): iterable
    {
        yield 'one look' => [[[1000, 11]], 20, null, null, null];
        // 11 mm, then 17 after 150 h: 4 in 100 h, and 3 mm to go are 75 h.
        yield 'a crack of 17 that was 11' => [[[1000, 11], [1150, 17]], 20, 6, 4, 75];
        yield 'the last two looks count' => [[[900, 2], [1000, 11], [1150, 17]], 20, 6, 4, 75];
        yield 'stands' => [[[1000, 11], [1150, 11]], 20, 0, 0, null];
        yield 'blended smaller' => [[[1000, 11], [1150, 9]], 20, -2, -4 / 3, null];
        yield 'nothing flown' => [[[1000, 11], [1000, 12]], 20, 1, null, null];
        yield 'no length named' => [[[1000, 11], [1150, 17]], null, 6, 4, null];
        yield 'beyond already' => [[[1000, 11], [1150, 23]], 20, 12, 8, 0];
    }

    /** @param list<array{float, float}> $looks hours and length */
    #[DataProvider('growth')]
    public function test_growth_between_two_looks_and_the_hours_it_leaves(
        array $looks,
        ?float $most,
        ?float $since,
        ?float $rate,
        ?float $left,
    ): void {
        $is = DamageGrowth::of(array_map(
            static fn(array $l): array => [(float) $l[0], DamageSize::of((float) $l[1])],
            $looks,
        ), $most);
        foreach ([[$since, $is->since], [$rate, $is->perHundred], [$left, $is->hoursLeft]] as [$want, $has]) {
            $want === null ? self::assertNull($has) : self::assertEqualsWithDelta($want, $has, 1e-9);
        }
    }

    /** @return iterable<string, array{float|null, string|null, string|null}> at hours, on a day: looked at again by */
    public static function looks(): iterable
    {
        yield 'never' => [null, null, null];
        yield 'in ten hours, two a day' => [1010.0, null, '2026-05-09'];
        yield 'on a day' => [null, '2026-05-06', '2026-05-06'];
        yield 'whichever comes first' => [1010.0, '2026-05-06', '2026-05-06'];
        yield 'the hours come first' => [1004.0, '2026-06-06', '2026-05-06'];
        yield 'passed' => [990.0, null, '2026-05-04'];
    }

    #[DataProvider('looks')]
    public function test_it_is_looked_at_again_and_stops_its_aircraft(?float $hours, ?string $day, ?string $by): void
    {
        $damage = new DamageNow('7', $hours, $day === null ? null : Day::parse($day));
        $is = $damage->lookBy(Pictures::flying());
        self::assertSame($by, $is === null ? null : (string) $is);
        $reach = Outlook::of(
            Pictures::aircraft(['damages' => [$damage]]),
            Day::parse('2026-05-04'),
            Instant::parse('2026-05-04T08:00:00Z'),
            14,
        )->reach;
        self::assertSame($by === null ? null : 'damage:7', $reach->driver?->id);
    }

    /** @return iterable<string, array{bool, list<string>, FindingProgress|null, string|null, float, DamageState}> */
    public static function states(): iterable
    {
        $no = ['length'];
        yield 'settled, whatever it was' => [false, $no, FindingProgress::Open, '2026-05-01', 5, DamageState::Settled];
        yield 'not allowed' => [true, $no, FindingProgress::Open, '2026-05-01', 5, DamageState::NotAllowed];
        yield 'not allowed, and nothing raised' => [true, $no, null, null, 0, DamageState::NotAllowed];
        yield 'carried' => [true, $no, FindingProgress::Deferred, '2026-05-01', 5, DamageState::Deferred];
        yield 'allowed, its look is past' => [true, [], null, '2026-05-04', 5, DamageState::Overdue];
        yield 'its look is today' => [true, [], null, '2026-05-05', 0, DamageState::Allowed];
        yield 'grows' => [true, [], null, '2026-05-09', 1, DamageState::Grows];
        yield 'shrank' => [true, [], null, null, -1, DamageState::Allowed];
    }

    /** @param list<string> $against */
    #[DataProvider('states')]
    public function test_how_a_damage_stands(
        bool $open,
        array $against,
        ?FindingProgress $raised,
        ?string $by,
        float $grown,
        DamageState $is,
    ): void {
        self::assertSame($is, DamageState::of(
            $open,
            $against,
            $raised,
            $by === null ? null : Day::parse($by),
            Day::parse('2026-05-05'),
            DamageGrowth::of([[1.0, DamageSize::of(10)], [2.0, DamageSize::of(10 + $grown)]], null),
        ));
    }

    public function test_it_is_raised_once_and_once_more_when_that_was_fixed(): void
    {
        foreach ([[null, true], [FindingProgress::Fixed, true], [FindingProgress::Open, false],
            [FindingProgress::Deferred, false]] as [$raised, $raises]) {
            self::assertSame($raises, DamageState::raises(['depth'], $raised));
            self::assertFalse(DamageState::raises([], $raised));
        }
    }

    public function test_two_that_lie_near_on_one_view_may_be_the_same(): void
    {
        $here = new DamageSpot('top', 9.5, -3.0);
        foreach ([[0.0, 0.0, true], [0.2, 0.3, true], [0.4, 0.0, false], [-0.3, 0.3, false]] as [$x, $y, $near]) {
            self::assertSame($near, $here->near(new DamageSpot('top', 9.5 + $x, -3.0 + $y)));
            self::assertFalse($here->near(new DamageSpot('side', 9.5 + $x, -3.0 + $y)));
        }
    }
}
