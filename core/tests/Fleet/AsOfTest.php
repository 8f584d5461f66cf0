<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Jorvel\Core\Fleet\AsOf;
use Jorvel\Core\Fleet\Stop;
use Jorvel\Core\Fleet\VisitSpan;
use Jorvel\Core\Shared\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whether an aircraft can fly on a day to come. */
final class AsOfTest extends TestCase
{
    /**
     * @return iterable<string, array{
     *   int, list<array{string, int, int}>, list<array{int, int, list<string>}>, bool, list<string>,
     * }>
     */
    public static function days(): iterable
    {
        // The day, stops (id, last day, latest), visits (from, to, what they take); flies, what keeps it.
        yield 'nothing stops it' => [9, [], [], true, []];
        yield 'on its last day it flies' => [5, [['a', 5, 5]], [], true, []];
        yield 'the day after it does not' => [6, [['a', 5, 5]], [], false, ['a']];
        yield 'a visit took it in time, and is over' => [8, [['a', 5, 5]], [[5, 7, ['a']]], true, []];
        yield 'on the last day of that visit it stands' => [7, [['a', 5, 5]], [[5, 7, ['a']]], false, ['a']];
        yield 'it stands in a visit that takes nothing' => [6, [], [[5, 7, []]], false, []];
        yield 'begun too late' => [9, [['a', 5, 5]], [[6, 7, ['a']]], false, ['a']];
        yield 'on a day on which it is washed' => [5, [['a', 5, 5]], [[5, 5, ['a'], true]], true, []];
        yield 'begun within its tolerance' => [9, [['a', 5, 6]], [[6, 7, ['a']]], true, []];
        yield 'past, and in the visit that goes on' => [4, [['a', -3, -3]], [[-1, 2, ['a']]], true, []];
        yield 'past, and planned for later only' => [9, [['a', -3, -3]], [[4, 6, ['a']]], false, ['a']];
        yield 'the earliest first, of those that stay' => [
            9, [['b', 7, 7], ['a', 5, 5], ['c', 3, 3]], [[3, 4, ['c']]], false, ['a', 'b'],
        ];
    }

    /**
     * @param list<array{string, int, int}> $stops
     * @param list<array{0: int, 1: int, 2: list<string>, 3?: bool}> $visits
     * @param list<string> $keeps
     */
    #[DataProvider('days')]
    public function test_it_flies_or_is_kept(int $day, array $stops, array $visits, bool $flies, array $keeps): void
    {
        $today = Day::parse('2026-05-05');
        $is = AsOf::on(
            $today->plusDays($day),
            $today,
            array_map(static fn(array $s): Stop => new Stop(
                'calendar',
                $s[0],
                $today->plusDays($s[1]),
                $today->plusDays($s[2]),
            ), $stops),
            array_map(
                static fn(array $v): VisitSpan
                    => VisitSpan::of($today->plusDays($v[0]), $today->plusDays($v[1]), $v[2], $v[3] ?? false),
                $visits,
            ),
        );
        self::assertSame([$flies, $keeps], [$is->flies(), array_map(static fn(Stop $s): string => $s->id, $is->stops)]);
    }

    public function test_what_runs_late_by_its_plan_may_still_stand_until_then(): void
    {
        $today = Day::parse('2026-05-05');
        $day = $today->plusDays(...);
        $visits = [VisitSpan::of($day(2), $day(3)), VisitSpan::of($day(5), $day(6), ['a'])];
        $stop = new Stop('calendar', 'a', $day(9), $day(9));
        // The second should be over on the 6th and is on the 8th.
        $is = static fn(int $n, array $until): AsOf => AsOf::on($day($n), $today, [$stop], $visits, $until);
        $states = static fn(array $until): array => array_map(
            static fn(int $n): string => $is($n, $until)->state()->value,
            [4, 5, 6, 7, 8, 9],
        );
        self::assertSame(['clear', 'waiting', 'waiting', 'clear', 'clear', 'clear'], $states([]));
        self::assertSame(['clear', 'waiting', 'waiting', 'watch', 'watch', 'clear'], $states([1 => $day(8)]));
        self::assertSame([[], [1], [1], []], array_map(
            static fn(int $n): array => $is($n, [1 => $day(8)])->late,
            [4, 5, 8, 9],
        ));
        // What stops it stops it all the same.
        $stopped = AsOf::on($day(12), $today, [new Stop('calendar', 'b', $day(9), $day(9))], $visits, [0 => $day(20)]);
        self::assertSame(['stop', [0]], [$stopped->state()->value, $stopped->late]);
    }
}
