<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Visits;

use DateTimeZone;
use Jorvel\Core\Crew\Rota;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\CardNeeds;
use Jorvel\Core\Visits\Shortage;
use Jorvel\Core\Visits\Shortages;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What cards will lack, when several want the same. */
final class ShortagesTest extends TestCase
{
    /**
     * @return iterable<string, array{
     *   array<string, int>, list<array{int, int}>, list<array{string, int, int}>, list<string>,
     * }>
     *   stock of P; lots on order: how many, on which day of May; cards: id, day, how many; what is lacking
     */
    public static function parts(): iterable
    {
        yield 'two cards share what there is' => [['P' => 2], [], [['a', 6, 1], ['b', 7, 1]], []];
        yield 'the earlier card has it, in whatever order they come'
            => [['P' => 1], [], [['b', 7, 1], ['a', 6, 1]], ['b part_missing 1']];
        yield 'just enough is enough' => [['P' => 3], [], [['a', 6, 3]], []];
        yield 'one short' => [['P' => 2], [], [['a', 6, 3]], ['a part_missing 1']];
        yield 'a lot that comes on the day is in time' => [['P' => 0], [[1, 6]], [['a', 6, 1]], []];
        yield 'a lot that comes the day after is late' => [['P' => 0], [[1, 7]], [['a', 6, 1]], ['a part_late 7']];
        yield 'of two lots the earlier is taken first, in whatever order they were ordered'
            => [['P' => 0], [[1, 9], [1, 5]], [['a', 6, 1]], []];
        yield 'then the later one is what the next card waits for'
            => [['P' => 0], [[1, 9], [1, 5]], [['a', 6, 1], ['b', 7, 1]], ['b part_late 9']];
        yield 'one lot does for two cards' => [['P' => 0], [[2, 5]], [['a', 6, 1], ['b', 7, 1]], []];
        yield 'and is used up by them' => [['P' => 0], [[2, 5]], [['a', 6, 1], ['b', 7, 2]], ['b part_missing 1']];
        yield 'a card that takes two lots waits for the later'
            => [['P' => 1], [[1, 5], [1, 8]], [['a', 6, 3]], ['a part_late 8']];
        yield 'what the first leaves of the stock is the second\'s'
            => [['P' => 5], [[1, 9]], [['a', 6, 4], ['b', 7, 2]], ['b part_late 9']];
    }

    /**
     * @param array<string, int> $stock
     * @param list<array{int, int}> $lots
     * @param list<array{string, int, int}> $cards
     * @param list<string> $lacking
     */
    #[DataProvider('parts')]
    public function test_parts(array $stock, array $lots, array $cards, array $lacking): void
    {
        $day = static fn(int $n): Day => Day::parse(sprintf('2026-05-%02d', $n));
        $coming = ['P' => array_map(static fn(array $l): array => [$l[0], $day($l[1])], $lots)];
        $needs = array_map(
            static fn(array $c): CardNeeds => new CardNeeds($c[0], $day($c[1]), ['P' => $c[2]], [], []),
            $cards,
        );
        $found = (new Shortages($stock, $coming, [], new Rota([], [], new DateTimeZone('UTC'))))->of($needs, 'SKV');
        self::assertSame($lacking, array_map(
            static fn(Shortage $s): string
                => "{$s->card} {$s->code} ".($s->day === null ? $s->lacking : (int) substr((string) $s->day, 8)),
            $found,
        ));
    }

    public function test_a_kind_of_tool_is_good_to_the_last_day_of_any_of_them(): void
    {
        $tools = ['gauge' => [Day::parse('2026-05-04'), null, Day::parse('2026-05-06')], 'pump' => [null]];
        $all = new Shortages([], [], $tools, new Rota([], [], new DateTimeZone('UTC')));
        $ask = static fn(string $day, string $kind): array => array_map(
            static fn(Shortage $s): string => "{$s->code} {$s->day}",
            $all->of([new CardNeeds('a', Day::parse($day), [], [$kind], [])], 'SKV'),
        );
        self::assertSame([[], ['tool_out 2026-05-06'], ['tool_out '], ['tool_out ']], [
            $ask('2026-05-06', 'gauge'), $ask('2026-05-07', 'gauge'), $ask('2026-05-05', 'pump'),
            $ask('2026-05-05', 'rig'),
        ]);
    }
}
