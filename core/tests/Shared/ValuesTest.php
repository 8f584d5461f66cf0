<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Shared;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Near;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Dates, instants, near comparison, and errors that know their place. */
final class ValuesTest extends TestCase
{
    /** @return iterable<string, array{string, bool}> */
    public static function dates(): iterable
    {
        $dates = [
            '2026-05-04' => true, '2024-02-29' => true, '2000-02-29' => true, '0001-01-01' => true,
            '9999-12-31' => true, '2026-02-29' => false, '1900-02-29' => false, '2026-04-31' => false,
            '2026-00-10' => false, '2026-13-01' => false, '0000-01-01' => false, '2026-5-4' => false,
            '26-05-04' => false, '2026/05/04' => false, '2026-05-04 ' => false, "2026-05-04\n" => false,
            '+2026-05-04' => false, '' => false,
        ];
        foreach ($dates as $text => $good) {
            yield json_encode($text).($good ? ' is a date' : ' is none') => [$text, $good];
        }
    }

    #[DataProvider('dates')]
    public function test_a_date(string $text, bool $good): void
    {
        try {
            self::assertSame($text, (string) Day::parse($text));
            self::assertTrue($good);
        } catch (InputError $e) {
            self::assertFalse($good, $e->getMessage());
            self::assertSame('', $e->path);
        }
    }

    /** @return iterable<string, array{string, ?string}> what is given, and how it is written again; null is refused */
    public static function instants(): iterable
    {
        $instants = [
            '2026-05-04T10:20:30Z' => '2026-05-04T10:20:30Z', '2026-05-04T10:20:30.250Z' => '2026-05-04T10:20:30Z',
            '2026-05-04T00:00:00Z' => '2026-05-04T00:00:00Z',
            '2026-05-04T23:59:59.999999999Z' => '2026-05-04T23:59:59Z', '2026-05-04T24:00:00Z' => null,
            '2026-05-04T10:60:00Z' => null, '2026-05-04T10:20:60Z' => null, '2026-02-30T10:20:30Z' => null,
            '2026-05-04T10:20:30+00:00' => null, '2026-05-04T10:20:30+02:00' => null, '2026-05-04T10:20:30' => null,
            '2026-05-04 10:20:30Z' => null, '2026-05-04T10:20Z' => null, '2026-05-04t10:20:30z' => null,
            '2026-05-04' => null,
        ];
        foreach ($instants as $text => $written) {
            yield $text => [$text, $written];
        }
    }

    #[DataProvider('instants')]
    public function test_an_instant(string $text, ?string $written): void
    {
        try {
            self::assertSame($written, (string) Instant::parse($text));
        } catch (InputError $e) {
            self::assertNull($written, $e->getMessage());
        }
    }

    public function test_fractions_of_a_second_order_instants(): void
    {
        $early = Instant::parse('2026-05-04T10:20:30.250Z');
        $late = Instant::parse('2026-05-04T10:20:30.251Z');
        self::assertTrue($early->isBefore($late));
        self::assertFalse($late->isBefore($early));
        self::assertFalse($early->isBefore($early));
        self::assertSame($early->epoch(), $late->epoch());
    }

    /** @return iterable<string, array{float, float, bool, bool}> value, bound, at most, at least */
    public static function bounds(): iterable
    {
        yield 'below' => [1.0, 2.0, true, false];
        yield 'at it' => [2.0, 2.0, true, true];
        yield 'above' => [3.0, 2.0, false, true];
        yield 'a sum that floats blur' => [0.1 + 0.2, 0.3, true, true];
        yield 'noise grows with the bound' => [1e9 + 0.5, 1e9, true, true];
        yield 'but not beyond it' => [1e9 + 1.5, 1e9, false, true];
        yield 'noise around nought' => [5e-10, 0.0, true, true];
        yield 'more than noise around nought' => [2e-9, 0.0, false, true];
        yield 'a negative bound' => [-1e9 - 0.5, -1e9, true, true];
        yield 'well below a negative bound' => [-1e9 - 2.0, -1e9, true, false];
    }

    #[DataProvider('bounds')]
    public function test_near_a_bound(float $value, float $bound, bool $atMost, bool $atLeast): void
    {
        self::assertSame([$atMost, $atLeast], [Near::atMost($value, $bound), Near::atLeast($value, $bound)]);
    }

    public function test_whole_parts_forgive_noise(): void
    {
        self::assertSame(
            [29, 28, 0, -1, 3],
            array_map(Near::floor(...), [0.29 * 100, 28.9999, 0.0, -0.5, 2.9999999999]),
        );
    }

    public function test_errors_gather_their_path_on_the_way_out(): void
    {
        $error = InputError::at('interval', 'must be greater than 0')->under('limits.0')->under('item')->under('');
        self::assertSame(
            ['error' => ['path' => 'item.limits.0.interval', 'message' => 'must be greater than 0']],
            $error->toArray(),
        );
        self::assertSame('item', InputError::at('', 'is wrong')->under('item')->path);
        self::assertSame(['a.b', 'is missing'], [
            InputError::missing('a.b')->path, InputError::missing('a.b')->getMessage(),
        ]);
    }

    public function test_a_reader_knows_where_it_stands(): void
    {
        $in = Input::of((object) ['a' => (object) [
            'list' => [(object) ['id' => 'x'], (object) ['id' => 'x']],
            'day' => '2026-02-30',
            'map' => (object) ['7' => 1, 'b' => 2.5],
        ]]);
        $a = $in->object('a');
        self::assertSame('a.list', $a->path('list'));
        self::assertSame(['7', 'b'], $a->object('map')->fields());
        self::assertEquals(['7' => 1.0, 'b' => 2.5], $a->numbers('map'));
        self::assertSame([[], [], null], [$a->strings('none'), $a->numbers('none'), $a->numberOrNull('none')]);
        foreach ([
            'a.day' => static fn() => $a->day('day'),
            'a.other' => static fn() => $a->string('other'),
            'a.list.1.id' => static fn() => $a->uniqueIds('list'),
        ] as $path => $read) {
            try {
                $read();
                self::fail("{$path} was read");
            } catch (InputError $e) {
                self::assertSame($path, $e->path);
            }
        }
        $paths = $a->each('list', static fn(Input $one): string => $one->path('id'));
        self::assertSame(['a.list.0.id', 'a.list.1.id'], $paths);
    }
}
