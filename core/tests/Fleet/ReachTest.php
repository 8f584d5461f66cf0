<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Fleet\PlannedAway;
use Jorvel\Core\Fleet\Reach;
use Jorvel\Core\Fleet\Stop;
use Jorvel\Core\Fleet\VisitPlans;
use Jorvel\Core\Fleet\VisitSpan;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ReachTest extends TestCase
{
    /**
     * @return iterable<string, array{list<int|array{int, int}>, list<array{int, int, list<string>}>, string, ?string}>
     *   days of the stops a, b …, with their tolerance; visits; state; driver
     */
    public static function cases(): iterable
    {
        yield 'nothing stops it' => [[], [], 'clear', null];
        yield 'far off' => [[60, 40], [], 'clear', 'b'];
        yield 'a day beyond what is watched' => [[29], [], 'clear', 'a'];
        yield 'on the last day that is watched' => [[28], [], 'watch', 'a'];
        yield 'in a month, no visit' => [[25], [], 'watch', 'a'];
        yield 'in a month, a visit in time that takes it away' => [[25], [[20, 22, ['a']]], 'clear', null];
        yield 'in a month, a visit that leaves it' => [[25], [[20, 22, ['b']]], 'watch', 'a'];
        yield 'the visit takes the first, and the second stops it' => [[12, 16], [[8, 9, ['a']]], 'watch', 'b'];
        yield 'two of a kind, and the visit takes one' => [[12, 12], [[11, 12, ['a']]], 'stop', 'b'];
        yield 'two visits, one of them in time' => [[25], [[26, 27, ['a']], [20, 21, ['a']]], 'clear', null];
        yield 'two visits, the late one listed last' => [[25], [[20, 21, ['a']], [26, 27, ['a']]], 'clear', null];
        yield 'soon, no visit' => [[14], [], 'stop', 'a'];
        yield 'a day later' => [[15], [], 'watch', 'a'];
        yield 'soon, a visit in time' => [[14], [[14, 15, ['a']]], 'clear', null];
        yield 'soon, a visit too late' => [[14], [[15, 16, ['a']]], 'stop', 'a'];
        yield 'soon, a visit within its tolerance' => [[[14, 16]], [[15, 16, ['a']]], 'clear', null];
        yield 'far off, but planned too late' => [[60], [[61, 62, ['a']]], 'watch', 'a'];
        yield 'past, whatever is planned' => [[-1], [[3, 4, ['a']]], 'stop', 'a'];
        yield 'past, planned within its tolerance' => [[[-1, 5]], [[3, 4, ['a']]], 'stop', 'a'];
        yield 'in a visit' => [[-1], [[0, 4, []]], 'waiting', 'a'];
        yield 'in the visit that takes it' => [[-1, 9], [[-2, 0, ['a']]], 'waiting', 'b'];
        yield 'a visit that is over takes nothing' => [[5], [[-3, -1, ['a']]], 'stop', 'a'];
        yield 'the first listed wins a tie' => [[5, 5], [], 'stop', 'a'];
    }

    /**
     * @param list<int|array{int, int}> $stops
     * @param list<array{int, int, list<string>}> $visits
     */
    #[DataProvider('cases')]
    public function test_the_state(array $stops, array $visits, string $state, ?string $driver): void
    {
        $today = Day::parse('2026-05-05');
        $plans = VisitPlans::of($today, array_map(
            static fn(array $v): VisitSpan
                => VisitSpan::of($today->plusDays($v[0]), $today->plusDays($v[1]), $v[2]),
            $visits,
        ));
        $made = [];
        foreach ($stops as $i => $days) {
            [$last, $latest] = is_array($days) ? $days : [$days, $days];
            $made[] = new Stop('usage', chr(97 + $i), $today->plusDays($last), $today->plusDays($latest));
        }
        $reach = Reach::of($today, $made, $plans);
        self::assertSame([$state, $driver], [$reach->state->value, $reach->driver?->id]);
        // A list that shows the driver says the same of it.
        if ($driver !== null && $state !== 'waiting') {
            self::assertSame($reach->state, FleetState::of($today, $reach->driver?->last, $reach->away, 14));
        }
    }

    public function test_other_warning_days(): void
    {
        $today = Day::parse('2026-05-05');
        $state = static fn(int $days, int $warn): FleetState => Reach::of(
            $today,
            [new Stop('usage', 'a', $today->plusDays($days))],
            VisitPlans::of($today, []),
            $warn,
        )->state;
        self::assertSame([FleetState::Stop, FleetState::Watch, FleetState::Watch, FleetState::Clear], [
            $state(3, 3), $state(4, 3), $state(6, 3), $state(7, 3),
        ]);
        self::assertSame(FleetState::Clear, FleetState::of($today, null, PlannedAway::No, 14));
    }

    public function test_a_visit_s_days(): void
    {
        $day = static fn(int $n): Day => Day::parse('2026-05-05')->plusDays($n);
        $span = VisitSpan::of($day(2), $day(4));
        self::assertSame([false, true, true, false], [
            $span->holds($day(1)), $span->holds($day(2)), $span->holds($day(4)), $span->holds($day(5)),
        ]);
        self::assertSame([true, true, false, false, true], [
            $span->overlaps($day(4), $day(9)), $span->overlaps($day(0), $day(2)), $span->overlaps($day(5), $day(9)),
            $span->overlaps($day(0), $day(1)), $span->overlaps($day(0), $day(9)),
        ]);
        $this->expectException(InputError::class);
        VisitSpan::of($day(2), $day(1));
    }
}
