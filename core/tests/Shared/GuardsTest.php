<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Shared;

use Closure;
use Jorvel\Core\Bench\Instrument;
use Jorvel\Core\Bench\ReadingLimit;
use Jorvel\Core\Bench\Rigging\Adjuster;
use Jorvel\Core\Bench\Rigging\Turn;
use Jorvel\Core\Crew\AssignPerson;
use Jorvel\Core\Crew\AssignSlot;
use Jorvel\Core\Crew\Qualified;
use Jorvel\Core\Crew\Role;
use Jorvel\Core\Fleet\Allowance;
use Jorvel\Core\Fleet\DueLimit;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What each value refuses by itself, no schema before it: the last that is taken, and the first that is not. */
final class GuardsTest extends TestCase
{
    /**
     * @return iterable<string, array{Closure(float): mixed, float, float, string}> what is made, of what it may, of
     *   what it may not, and the place of the error
     */
    public static function guards(): iterable
    {
        $day = Day::parse('2026-05-05');
        $limit = static fn(?float $min, ?float $max): ReadingLimit => ReadingLimit::between(Unit::bar, $min, $max);
        yield 'a minimum below nothing at all' => [static fn(float $v) => $limit($v, 2000.0), 0.0, NAN, 'min'];
        yield 'a maximum that is none' => [static fn(float $v) => $limit(null, $v), 0.0, INF, 'max'];
        yield 'a temperature below absolute zero'
            => [static fn(float $v) => ReadingLimit::between(Unit::C, $v, null), -273.15, -273.16, 'min'];
        yield 'a minimum above its maximum' => [static fn(float $v) => $limit($v, 5.0), 5.0, 5.001, ''];
        yield 'a nominal value below absolute zero'
            => [static fn(float $v) => ReadingLimit::around(Unit::K, $v, 1, 1), 0.0, -0.001, 'nominal'];
        yield 'less than nothing above it'
            => [static fn(float $v) => ReadingLimit::around(Unit::bar, 5, $v, 1), 0.0, -0.001, 'plus'];
        yield 'less than nothing below it'
            => [static fn(float $v) => ReadingLimit::around(Unit::bar, 5, 1, $v), 0.0, -0.001, 'minus'];

        $gauge = static fn(float $resolution = 1, float $uncertainty = 1, float $low = 0, float $high = 10): Instrument
            => Instrument::of(Unit::bar, $resolution, $uncertainty, $low, $high, $day);
        yield 'an instrument of no resolution' => [static fn(float $v) => $gauge($v), 0.001, 0.0, 'resolution'];
        yield 'of less than no uncertainty' => [static fn(float $v) => $gauge(1, $v), 0.0, -0.001, 'uncertainty'];
        yield 'of a range that begins nowhere' => [static fn(float $v) => $gauge(low: $v), -1.0, NAN, 'range.0'];
        yield 'of a range that ends nowhere' => [static fn(float $v) => $gauge(high: $v), 10.0, INF, 'range.1'];
        yield 'of a range upside down' => [static fn(float $v) => $gauge(low: $v), 10.0, 10.001, 'range'];

        yield 'an adjuster of no step'
            => [static fn(float $v) => Adjuster::of('a', $v, -1, 1, Turn::Raise), 0.001, 0.0, 'step'];
        yield 'that cannot stay where it is, above'
            => [static fn(float $v) => Adjuster::of('a', 1, $v, 1, Turn::Raise), 0.0, 0.001, 'min'];
        yield 'that cannot stay where it is, below'
            => [static fn(float $v) => Adjuster::of('a', 1, -1, $v, Turn::Raise), 0.0, -0.001, 'max'];

        yield 'an interval of nothing' => [static fn(float $v) => DueLimit::of('fh', $v), 0.001, 0.0, 'interval'];
        yield 'a threshold before the beginning'
            => [static fn(float $v) => DueLimit::of('fh', 5, $v), 0.0, -0.001, 'threshold'];
        yield 'part of a day' => [static fn(float $v) => DueLimit::of('days', $v), 5.0, 5.5, 'interval'];
        yield 'more days than a calendar has'
            => [static fn(float $v) => DueLimit::of('days', $v), 1_000_000.0, 1_000_001.0, 'interval'];
        yield 'more months than a calendar has'
            => [static fn(float $v) => DueLimit::of('months', $v), 36_000.0, 36_001.0, 'interval'];
        yield 'a threshold of part of a month'
            => [static fn(float $v) => DueLimit::of('months', 5, $v), 4.0, 4.5, 'threshold'];
        yield 'a tolerance of part of a day' => [
            static fn(float $v) => DueLimit::of('days', 5, null, Allowance::of($v, null, null)),
            2.0,
            2.5,
            'tolerance.abs',
        ];
        yield 'a cap of part of a month' => [
            static fn(float $v) => DueLimit::of('months', 5, null, null, Allowance::of(null, 10, $v)),
            2.0,
            2.5,
            'early.cap',
        ];

        yield 'an allowance of less than nothing'
            => [static fn(float $v) => Allowance::of($v, null, null), 0.0, -0.001, 'abs'];
        yield 'of less than no per cent' => [static fn(float $v) => Allowance::of(null, $v, null), 0.0, -0.001, 'pct'];
        yield 'capped below nothing' => [static fn(float $v) => Allowance::of(null, 5, $v), 0.0, -0.001, 'cap'];

        yield 'a place of no hours' => [
            static fn(float $v) => AssignSlot::of('s', 'c', Role::Perform, null, 'SKV', $day, $v), 0.001, 0.0, 'hours',
        ];
        yield 'a place longer than a day' => [
            static fn(float $v) => AssignSlot::of('s', 'c', Role::Perform, null, 'SKV', $day, $v),
            24.0,
            24.001,
            'hours',
        ];
        yield 'a place of no number of hours' => [
            static fn(float $v) => AssignSlot::of('s', 'c', Role::Perform, null, 'SKV', $day, $v),
            1.0,
            NAN,
            'hours',
        ];
        yield 'somebody there for less than nothing'
            => [static fn(float $v) => AssignPerson::of('p', new Qualified([]), $v), 0.0, -0.001, 'hours'];
        yield 'somebody there longer than a day'
            => [static fn(float $v) => AssignPerson::of('p', new Qualified([]), $v), 24.0, 24.001, 'hours'];
        yield 'somebody there for no number of hours'
            => [static fn(float $v) => AssignPerson::of('p', new Qualified([]), $v), 8.0, NAN, 'hours'];
    }

    /** @param Closure(float): mixed $make */
    #[DataProvider('guards')]
    public function test_it_takes_the_last_and_refuses_the_first(
        Closure $make,
        float $last,
        float $first,
        string $path,
    ): void {
        self::assertIsObject($make($last));
        try {
            $make($first);
            self::fail("{$first} was taken");
        } catch (InputError $e) {
            self::assertSame($path, $e->path);
            self::assertNotSame('', $e->getMessage());
        }
    }

    public function test_an_allowance_is_one_of_two(): void
    {
        foreach ([[null, null, null], [1.0, 5.0, null], [1.0, null, 2.0]] as $parts) {
            try {
                Allowance::of(...$parts);
                self::fail((string) json_encode($parts));
            } catch (InputError $e) {
                self::assertContains($e->path, ['', 'cap']);
            }
        }
    }
}
