<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Deferrals;

use Jorvel\Core\Contract\Door;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Will the defect be closed before its time runs out. */
final class ClosureTest extends TestCase
{
    /**
     * @return iterable<string, array{array<string, mixed>, array<string, mixed>}> beside a good base; what comes out
     */
    public static function cases(): iterable
    {
        $slot = static fn(string $id, int $start, int $end, float $free): array
            => ['id' => $id, 'start' => "2026-05-{$start}", 'end' => "2026-05-{$end}", 'free_hours' => $free];
        yield 'nothing waits: as soon as there is a slot' => [
            [],
            [
                'verdict' => 'in_time', 'ready_on' => '2026-05-10', 'slot' => 'b', 'closes_on' => '2026-05-13',
                'days_to_spare' => 7, 'held_by' => [], 'ready_by' => '2026-05-16',
            ],
        ];
        yield 'the one that ends first, not the one that begins first' => [
            ['slots' => [$slot('long', 10, 18, 40), $slot('short', 12, 13, 6)]],
            ['slot' => 'short', 'ready_by' => '2026-05-12'],
        ];
        yield 'of equal ends the one that begins first, then the first listed' => [
            ['slots' => [$slot('a', 12, 14, 6), $slot('b', 11, 14, 6), $slot('c', 11, 14, 6)]], ['slot' => 'b'],
        ];
        yield 'hours that fit to a '
            .'hair' => [['hours' => 0.1 + 0.2, 'slots' => [$slot('a', 11, 12, 0.3)]], ['slot' => 'a']];
        yield 'the latest part decides, and is named' => [
            ['waits' => [['id' => 'tool', 'on' => '2026-05-11'], ['id' => 'part', 'on' => '2026-05-14'],
                ['id' => 'people', 'on' => '2026-05-14']]],
            ['ready_on' => '2026-05-14', 'slot' => 'c', 'held_by' => ['part', 'people'], 'days_to_spare' => 2],
        ];
        yield 'what is there already holds nothing' => [
            ['waits' => [['id' => 'part', 'on' => '2026-05-01'], ['id' => 'tool', 'on' => '2026-05-10']]],
            ['ready_on' => '2026-05-10', 'held_by' => []],
        ];
        yield 'late' => [
            ['last_date' => '2026-05-12'],
            ['verdict' => 'late', 'slot' => 'b', 'days_to_spare' => -1, 'ready_by' => null],
        ];
        yield 'on its last day' => [['last_date' => '2026-05-13'], ['verdict' => 'in_time', 'days_to_spare' => 0]];
        yield 'never late without a last day' => [
            ['last_date' => null], ['verdict' => 'in_time', 'days_to_spare' => null, 'ready_by' => '2026-05-20'],
        ];
        yield 'no slot has the hours' => [
            ['hours' => 99],
            ['verdict' => 'no_slot', 'slot' => null, 'closes_on' => null, 'days_to_spare' => null, 'ready_by' => null],
        ];
        yield 'no slot at all' => [['slots' => []], ['verdict' => 'no_slot', 'ready_by' => null]];
        yield 'a day not known beats everything, and both without one are named' => [
            ['waits' => [['id' => 'part', 'on' => null], ['id' => 'tool', 'on' => '2026-05-14'],
                ['id' => 'answer', 'on' => null]]],
            ['verdict' => 'unknown', 'ready_on' => null, 'slot' => null, 'held_by' => ['part', 'answer'],
                'ready_by' => '2026-05-16'],
        ];
        yield 'a slot before today serves nobody' => [
            ['as_of' => '2026-05-17'], ['slot' => 'd', 'verdict' => 'late', 'ready_by' => null],
        ];
        yield 'no hours fit anywhere' => [['hours' => 0], ['slot' => 'a', 'closes_on' => '2026-05-11']];
    }

    /**
     * @param array<string, mixed> $given
     * @param array<string, mixed> $expect
     */
    #[DataProvider('cases')]
    public function test_it(array $given, array $expect): void
    {
        $answer = json_decode(Door::compute('closure', (string) json_encode($given + [
            'as_of' => '2026-05-10', 'last_date' => '2026-05-20', 'hours' => 5, 'slots' => [
                ['id' => 'a', 'start' => '2026-05-11', 'end' => '2026-05-11', 'free_hours' => 4],
                ['id' => 'b', 'start' => '2026-05-12', 'end' => '2026-05-13', 'free_hours' => 8],
                ['id' => 'c', 'start' => '2026-05-16', 'end' => '2026-05-18', 'free_hours' => 20],
                ['id' => 'd', 'start' => '2026-05-20', 'end' => '2026-05-21', 'free_hours' => 20],
            ],
        ])), true);
        self::assertEquals($expect, array_intersect_key($answer, $expect));
    }
}
