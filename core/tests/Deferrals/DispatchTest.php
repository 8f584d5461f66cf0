<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Deferrals;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Deferrals\Carried;
use Jorvel\Core\Deferrals\Dispatch;
use Jorvel\Core\Deferrals\Procedure;
use Jorvel\Core\Deferrals\Sector;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** May it fly this sector with what is open. */
final class DispatchTest extends TestCase
{
    private const ITEM = ['system' => '78-31', 'inoperative' => 1, 'installed' => 2, 'required' => 1,
        'expires_at' => null];

    /**
     * Items beside a good one; verdict; reasons as `id code`; restrictions; flight.
     *
     * @return iterable<string, list<mixed>>
     */
    public static function cases(): iterable
    {
        yield 'nothing carried' => [[], 'go', []];
        yield 'enough left' => [[[]], 'go', []];
        yield 'one more than may be' => [[['inoperative' => 2]], 'no_go', ['a too_few']];
        yield 'none required' => [[['inoperative' => 2, 'required' => 0]], 'go', []];
        yield 'what it needs is carried too' => [
            [['needs_operative' => ['32-42', '78-31']], ['system' => '32-42']], 'no_go', ['a depends_on:b'],
        ];
        yield 'each other' => [
            [['needs_operative' => ['32-42']], ['system' => '32-42', 'needs_operative' => ['78-31']]],
            'no_go',
            ['a depends_on:b', 'b depends_on:a'],
        ];
        yield 'its own system does not count' => [[['needs_operative' => ['78-31']], []], 'go', []];
        yield 'two of one system that it needs, each once' => [
            [['needs_operative' => ['x', 'x']], ['system' => 'x'], ['system' => 'x']],
            'no_go',
            ['a depends_on:b', 'a depends_on:c'],
        ];
        yield 'met on the way' => [[['forbid' => ['icing' => true]]], 'no_go', ['a forbidden:icing'], [],
            ['icing' => true]];
        yield 'not met' => [[['forbid' => ['icing' => true, 'night' => true]]], 'go', []];
        yield 'stated but not forbidden' => [[['forbid' => ['icing' => false]]], 'go', [], [], ['icing' => true]];
        yield 'runs out just after arrival' => [[['expires_at' => '2026-05-06T06:10:00Z']], 'go', []];
        yield 'runs out on the way' => [[['expires_at' => '2026-05-06T06:09:59Z']], 'no_go', ['a expired']];
        yield 'ran out before it is asked' => [
            [['expires_at' => '2026-05-06T06:09:59Z']],
            'no_go',
            ['a expired'],
            [],
            ['arrives' => '2026-05-06T05:30:00Z', 'at' => '2026-05-06T07:00:00Z'],
        ];
        yield 'no placard, procedure open' => [
            [['placard' => false, 'procedure' => 'open']], 'no_go', ['a placard_missing', 'a procedure_open'],
        ];
        yield 'done and placarded' => [[['placard' => true, 'procedure' => 'done']], 'go', []];
        yield 'restrictions merge' => [
            [
                ['restrict' => ['max_altitude_ft' => 25000, 'min_fuel_kg' => 400]],
                ['restrict' => ['max_altitude_ft' => 10000, 'min_fuel_kg' => 300]],
            ],
            'go_restricted',
            [],
            ['max_altitude_ft' => 10000, 'min_fuel_kg' => 400],
        ];
        yield 'also where it may not go' => [
            [['restrict' => ['max_speed_kt' => 180], 'placard' => false]],
            'no_go',
            ['a placard_missing'],
            ['max_speed_kt' => 180],
        ];
        yield 'a conflict is the later one\'s, equal values the earlier\'s' => [
            [
                ['restrict' => ['max_altitude_ft' => 9000]],
                ['restrict' => ['min_altitude_ft' => 9500]],
                ['restrict' => ['min_altitude_ft' => 9500]],
            ],
            'no_go',
            ['b restrictions_conflict'],
            ['max_altitude_ft' => 9000, 'min_altitude_ft' => 9500],
        ];
        yield 'two conflicts of one item are one reason' => [
            [['restrict' => ['max_a' => 1, 'min_a' => 2, 'max_b' => 1, 'min_b' => 2]]],
            'no_go',
            ['a restrictions_conflict'],
            ['max_a' => 1, 'min_a' => 2, 'max_b' => 1, 'min_b' => 2],
        ];
        yield 'a hair above is none' => [
            [['restrict' => ['max_a' => 0.3, 'min_a' => 0.1 + 0.2]]], 'go_restricted', [],
            ['max_a' => 0.3, 'min_a' => 0.3],
        ];
    }

    /**
     * @param list<array<string, mixed>> $items
     * @param list<string> $reasons
     * @param array<string, float> $restrictions
     * @param array<string, mixed> $flight
     */
    #[DataProvider('cases')]
    public function test_it(
        array $items,
        string $verdict,
        array $reasons,
        array $restrictions = [],
        array $flight = [],
    ): void {
        $at = $flight['at'] ?? '2026-05-05T12:00:00Z';
        unset($flight['at']);
        $answer = json_decode(Door::compute('dispatch', (string) json_encode([
            'deferred' => array_map(
                static fn(array $item, int $i): array => ['id' => chr(97 + $i)] + $item + self::ITEM,
                $items,
                array_keys($items),
            ),
            'flight' => $flight + [
                'departs' => '2026-05-06T05:00:00Z', 'arrives' => '2026-05-06T06:10:00Z', 'icing' => false,
                'night' => false,
            ],
            'at' => $at,
        ])), true);
        self::assertSame($verdict, $answer['verdict']);
        self::assertSame(
            $reasons,
            array_map(static fn(array $r): string => $r['id'].' '.$r['code'], $answer['reasons']),
        );
        self::assertEqualsWithDelta($restrictions, $answer['restrictions'], 1e-9);
    }

    public function test_the_quick_answer_is_the_long_one(): void
    {
        $chance = Chance::seeded(14);
        $at = Instant::parse('2026-05-05T12:00:00Z');
        for ($n = 0; $n < 2000; $n++) {
            $items = [];
            for ($i = $chance->below(4); $i > 0; $i--) {
                $expires = ['2026-05-05T11:00:00Z', '2026-05-05T18:30:00Z', '2026-05-09T22:00:00Z'][$chance->below(3)];
                $items[] = Carried::of(
                    "i{$i}",
                    'system '.$chance->below(3),
                    $chance->below(2),
                    2,
                    1 + $chance->below(2),
                    $chance->below(3) === 0 ? ['system '.$chance->below(3)] : [],
                    ['icing' => $chance->below(3) === 0],
                    $chance->below(2) === 0 ? [] : ['max_a' => $chance->below(9), 'min_a' => $chance->below(3)],
                    $chance->below(6) > 0,
                    [Procedure::None, Procedure::Open, Procedure::Done, Procedure::Done][$chance->below(4)],
                    $chance->below(2) === 0 ? null : Instant::parse($expires),
                );
            }
            $sector = Sector::of(
                's',
                Instant::parse('2026-05-05T17:00:00Z'),
                Instant::parse('2026-05-05T19:00:00Z'),
                ['icing' => $chance->below(2) === 0],
            );
            $dispatch = Dispatch::with($items);
            $whole = $dispatch->judge($sector, $at);
            self::assertSame($whole->verdict !== 'no_go', $dispatch->allows($sector, $at));
            self::assertSame($whole->verdict !== 'no_go', $whole->reasons === []);
        }
    }

    public function test_what_a_flight_does_not_state_is_not_guessed(): void
    {
        $dispatch = Dispatch::with([Carried::of('a', 's', 0, 1, 1, forbid: ['overwater' => true])]);
        $sector = Sector::of('1', Instant::parse('2026-05-05T05:00:00Z'), Instant::parse('2026-05-05T06:00:00Z'), []);
        $this->expectExceptionObject(InputError::missing('overwater'));
        $dispatch->allows($sector, Instant::parse('2026-05-05T04:00:00Z'));
    }
}
