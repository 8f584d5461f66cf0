<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Stores;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Stores\PartStock;
use Jorvel\Core\Stores\ToolCheck;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StoresTest extends TestCase
{
    /**
     * @return iterable<string, array{
     *   list<array{string, int, int|null}>, int, int, array{int, int, string, string|null},
     * }>
     *   batches with days of life left, wanted, ordered; what stands
     */
    public static function stocks(): iterable
    {
        yield 'nothing and nothing wanted' => [[], 0, 0, [0, 0, 'enough', null]];
        yield 'just enough' => [[['a', 4, null]], 4, 0, [4, 0, 'enough', null]];
        yield 'short by one' => [[['a', 4, null]], 5, 0, [4, 1, 'short', null]];
        yield 'short by one, one is ordered' => [[['a', 4, null]], 5, 1, [4, 1, 'waiting', null]];
        yield 'short by two, one is ordered' => [[['a', 4, null]], 6, 1, [4, 2, 'short', null]];
        yield 'the last day still counts' => [[['a', 4, 0]], 4, 0, [4, 0, 'soon', 'a']];
        yield 'past its life is no piece' => [[['a', 4, -1]], 4, 0, [0, 4, 'short', null]];
        yield 'past its life, and enough beside it'
            => [[['old', 4, -1], ['new', 4, null]], 4, 0, [4, 0, 'expired', 'old']];
        yield 'thirty days are soon' => [[['a', 1, 30]], 0, 0, [1, 0, 'soon', 'a']];
        yield 'a day more is not' => [[['a', 1, 31]], 0, 0, [1, 0, 'enough', null]];
        yield 'the earliest is named, in whatever order'
            => [[['late', 1, 20], ['early', 1, 5]], 0, 0, [2, 0, 'soon', 'early']];
        yield 'an empty batch tells nothing' => [[['gone', 0, -1], ['a', 1, null]], 1, 0, [1, 0, 'enough', null]];
    }

    /**
     * @param list<array{string, int, int|null}> $batches
     * @param array{int, int, string, string|null} $stands
     */
    #[DataProvider('stocks')]
    public function test_how_a_part_stands(array $batches, int $wanted, int $ordered, array $stands): void
    {
        $on = Day::parse('2026-05-05');
        $made = array_map(
            static fn(array $b): array => [$b[0], $b[1], $b[2] === null ? null : $on->plusDays($b[2])],
            $batches,
        );
        $stock = PartStock::of($made, $wanted, $ordered, $on, 30);
        self::assertSame($stands, [$stock->usable, $stock->short, $stock->code, $stock->batch]);
    }

    /**
     * @return iterable<string, array{list<array{string, bool}>, string|null}> checks; last day known good before 5 May
     */
    public static function checks(): iterable
    {
        yield 'none' => [[], null];
        yield 'the latest of several'
            => [[['2026-01-05', true], ['2026-03-05', true], ['2026-02-05', true]], '2026-03-05'];
        yield 'a bad one is none' => [[['2026-01-05', true], ['2026-03-05', false]], '2026-01-05'];
        yield 'the day itself is too late' => [[['2026-01-05', true], ['2026-05-05', true]], '2026-01-05'];
        yield 'only bad ones' => [[['2026-01-05', false]], null];
    }

    /** @param list<array{string, bool}> $checks */
    #[DataProvider('checks')]
    public function test_until_when_a_tool_was_good(array $checks, ?string $last): void
    {
        $found = ToolCheck::lastGood(
            array_map(static fn(array $c): ToolCheck => new ToolCheck(Day::parse($c[0]), $c[1]), $checks),
            Day::parse('2026-05-05'),
        );
        self::assertSame($last, $found === null ? null : (string) $found);
    }
}
