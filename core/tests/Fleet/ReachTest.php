<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Jorvel\Core\Fleet\Reach;
use Jorvel\Core\Fleet\Stop;
use Jorvel\Core\Shared\Day;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ReachTest extends TestCase
{
    /** @return iterable<string, array{list<int>, list<array{int, int, list<string>}>, string, ?string}> days of the stops a, b …; visits; state; driver */
    public static function cases(): iterable
    {
        yield 'nothing stops it' => [[], [], 'clear', null];
        yield 'far off' => [[60, 40], [], 'clear', 'b'];
        yield 'in a month, no visit' => [[25], [], 'watch', 'a'];
        yield 'in a month, a visit in time that takes it away' => [[25], [[20, 22, ['a']]], 'clear', 'a'];
        yield 'in a month, a visit that leaves it' => [[25], [[20, 22, ['b']]], 'watch', 'a'];
        yield 'soon, no visit' => [[14], [], 'stop', 'a'];
        yield 'soon, a visit in time' => [[14], [[14, 15, ['a']]], 'clear', 'a'];
        yield 'soon, a visit too late' => [[14], [[15, 16, ['a']]], 'stop', 'a'];
        yield 'far off, but planned too late' => [[60], [[61, 62, ['a']]], 'watch', 'a'];
        yield 'past, whatever is planned' => [[-1], [[3, 4, ['a']]], 'stop', 'a'];
        yield 'in a visit' => [[-1], [[0, 4, []]], 'waiting', 'a'];
        yield 'the first listed wins a tie' => [[5, 5], [], 'stop', 'a'];
    }

    /**
     * @param list<int> $stops
     * @param list<array{int, int, list<string>}> $visits
     */
    #[DataProvider('cases')]
    public function test_the_state(array $stops, array $visits, string $state, ?string $driver): void
    {
        $today = Day::parse('2026-05-05');
        $reach = Reach::of(
            $today,
            array_map(static fn(int $days, int $i): Stop => new Stop('usage', chr(97 + $i), $today->plusDays($days)), $stops, array_keys($stops)),
            array_map(static fn(array $v): array => [$today->plusDays($v[0]), $today->plusDays($v[1]), $v[2]], $visits),
        );
        self::assertSame([$state, $driver], [$reach->state, $reach->driver?->id]);
    }
}
