<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench\Rigging;

use Jorvel\Core\Contract\Door;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The contract of `rig`, clause by clause, on sheets small enough to see the answer. */
final class RigContractTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, array<string, mixed>}> */
    public static function sheets(): iterable
    {
        $point = static fn(string $id, float $value, float $min, float $max, mixed ...$more): array => [
            'id' => $id,
            'value' => $value,
            'min' => $min,
            'max' => $max,
            ...$more,
        ];
        $screw = static fn(string $id, float $step = 1, float $min = -10, float $max = 10, string $positive = 'cw'): array
            => ['id' => $id, 'step' => $step, 'min' => $min, 'max' => $max, 'positive' => $positive];
        $move = static fn(string $id, float $amount, string $direction = 'cw'): array => [
            'adjuster' => $id, 'amount' => $amount, 'direction' => $direction,
        ];

        yield 'a limit is met even though the cost then grows elsewhere' => [
            [
                'points' => [$point('a', 5, 0, 1), $point('b', 0.5, 0, 1, weight: 100)],
                'adjusters' => [$screw('s')],
                'effects' => ['s' => ['a' => -1, 'b' => 0.05]],
            ],
            ['moves' => [$move('s', 4)], 'within' => true],
        ];
        yield 'one adjuster rather than two, though two would come nearer' => [
            [
                'points' => [$point('a', 3, 0, 2, aim: 0)],
                'adjusters' => [$screw('s', 1, -1, 1), $screw('t', 1, -1, 1)],
                'effects' => ['s' => ['a' => -1], 't' => ['a' => -1]],
            ],
            ['moves' => [$move('s', 1)], 'predicted' => ['a' => 2]],
        ];
        yield 'two adjusters where one cannot do it' => [
            [
                'points' => [$point('a', 3, 0, 1)],
                'adjusters' => [$screw('s', 1, -1, 1), $screw('t', 1, -1, 1)],
                'effects' => ['s' => ['a' => -1], 't' => ['a' => -1]],
            ],
            ['moves' => [$move('s', 1), $move('t', 1)], 'within' => true],
        ];
        yield 'already within: nothing is moved, however far from the aim' => [
            [
                'points' => [$point('a', 1.99, 0, 2, aim: 1)], 'adjusters' => [$screw('s', 0.25)],
                'effects' => ['s' => ['a' => 1]],
            ],
            ['moves' => [], 'within' => true, 'recheck' => []],
        ];
        yield 'mid-range is the aim where none is given' => [
            ['points' => [$point('a', 10, 0, 4)], 'adjusters' => [$screw('s')], 'effects' => ['s' => ['a' => -1]]],
            ['moves' => [$move('s', 8)], 'predicted' => ['a' => 2]],
        ];
        yield 'the aim, where it is given' => [
            [
                'points' => [$point('a', 10, 0, 4, aim: 3.5)], 'adjusters' => [$screw('s', 0.5)],
                'effects' => ['s' => ['a' => -1]],
            ],
            ['moves' => [$move('s', 6.5)], 'predicted' => ['a' => 3.5]],
        ];
        yield 'weights decide between two aims; 7 and 8 cost the same, so the lesser' => [
            [
                'points' => [$point('a', 10, 0, 8, aim: 0, weight: 3), $point('b', 0, 0, 8, aim: 0)],
                'adjusters' => [$screw('s')],
                'effects' => ['s' => ['a' => -1, 'b' => 1]],
            ],
            ['moves' => [$move('s', 7)], 'predicted' => ['a' => 3, 'b' => 7]],
        ];
        yield 'of equal cost the lesser amount' => [
            [
                'points' => [$point('a', 0, 0, 9, weight: 0), $point('b', 5, 0, 4, weight: 0)],
                'adjusters' => [$screw('s')],
                'effects' => ['s' => ['b' => -1]],
            ],
            ['moves' => [$move('s', 1)], 'predicted' => ['a' => 0, 'b' => 4]],
        ];
        yield 'the other way has the opposite name' => [
            [
                'points' => [$point('a', -3, 0, 0)], 'adjusters' => [$screw('s', 1, -5, 5, 'ccw')],
                'effects' => ['s' => ['a' => -1]],
            ],
            ['moves' => [$move('s', 3, 'cw')]],
        ];
        yield 'rods shorten' => [
            [
                'points' => [$point('a', 3, 0, 0)], 'adjusters' => [$screw('s', 1, -5, 5, 'lengthen')],
                'effects' => ['s' => ['a' => 1]],
            ],
            ['moves' => [$move('s', 3, 'shorten')]],
        ];
        yield 'washers raise' => [
            [
                'points' => [$point('a', 3, 0, 0)], 'adjusters' => [$screw('s', 1, -5, 5, 'lower')],
                'effects' => ['s' => ['a' => 1]],
            ],
            ['moves' => [$move('s', 3, 'raise')]],
        ];
        yield 'only whole steps: as near as they come' => [
            [
                'points' => [$point('a', 1, 0, 0.1)], 'adjusters' => [$screw('s', 0.3, -3, 3)],
                'effects' => ['s' => ['a' => -1]],
            ],
            ['moves' => [$move('s', 0.9)], 'within' => true],
        ];
        yield 'the ends of the travel, through float noise' => [
            [
                'points' => [$point('a', 0.3, 0, 0)], 'adjusters' => [$screw('s', 0.1, -0.3, 0.3)],
                'effects' => ['s' => ['a' => -1]],
            ],
            ['moves' => [$move('s', 0.3)], 'within' => true],
        ];
        yield 'out of reach: nothing met, so nothing moved' => [
            ['points' => [$point('a', 50, 0, 1)], 'adjusters' => [$screw('s')], 'effects' => ['s' => ['a' => -1]]],
            ['moves' => [], 'within' => false, 'unmet' => ['a']],
        ];
        yield 'what can be met is, what cannot is named' => [
            [
                'points' => [$point('far', 50, 0, 1), $point('near', 3, 0, 1)], 'adjusters' => [$screw('s')],
                'effects' => ['s' => ['near' => -1]],
            ],
            ['unmet' => ['far'], 'recheck' => ['near'], 'within' => false],
        ];
        yield 'a match counts like a limit' => [
            [
                'points' => [$point('a', 1, 0, 9), $point('b', 4, 0, 9)],
                'adjusters' => [$screw('s')],
                'effects' => ['s' => ['a' => 1]],
                'match' => [['points' => ['a', 'b'], 'within' => 1]],
            ],
            ['predicted' => ['a' => 4, 'b' => 4], 'within' => true],
        ];
        yield 'an unmet match is named after the points' => [
            [
                'points' => [$point('a', 5, 0, 1), $point('b', 50, 0, 99)],
                'adjusters' => [],
                'effects' => (object) [],
                'match' => [['points' => ['b', 'a'], 'within' => 2]],
            ],
            ['unmet' => ['a', 'b=a'], 'predicted' => ['a' => 5, 'b' => 50]],
        ];
        yield 'a match of nought within float noise' => [
            [
                'points' => [$point('a', 0.3, 0, 1), $point('b', 0.1, 0, 1)],
                'adjusters' => [$screw('s', 0.1)],
                'effects' => ['s' => ['b' => 1]],
                'match' => [['points' => ['a', 'b'], 'within' => 0]],
            ],
            ['moves' => [$move('s', 0.2)], 'within' => true],
        ];
        yield 'to be read again: all it touches, in the points\' order' => [
            [
                'points' => [$point('c', 0, 0, 9), $point('a', 5, 0, 1), $point('b', 0, 0, 9)],
                'adjusters' => [$screw('s')],
                'effects' => ['s' => ['b' => 0.1, 'a' => -1, 'c' => 0]],
            ],
            ['recheck' => ['a', 'b']],
        ];
        yield 'an adjuster that cannot move' => [
            [
                'points' => [$point('a', 5, 0, 1)], 'adjusters' => [$screw('s', 1, 0, 0)],
                'effects' => ['s' => ['a' => -1]],
            ],
            ['moves' => [], 'unmet' => ['a'], 'proven' => true],
        ];
        yield 'points named like numbers' => [
            [
                'points' => [$point('1', 5, 0, 1), $point('2', 0, 0, 1)], 'adjusters' => [$screw('3')],
                'effects' => ['3' => ['1' => -1]],
            ],
            ['recheck' => ['1'], 'predicted' => ['1' => 1, '2' => 0]],
        ];
    }

    /**
     * @param array<string, mixed> $sheet
     * @param array<string, mixed> $expected
     */
    #[DataProvider('sheets')]
    public function test_a_sheet(array $sheet, array $expected): void
    {
        if (is_array($sheet['effects'])) {
            $sheet['effects'] = (object) array_map(static fn(array $row): object => (object) $row, $sheet['effects']);
        }
        $answer = json_decode(Door::compute('rig', (string) json_encode($sheet)), true);
        self::assertEqualsWithDelta($expected, array_intersect_key($answer, $expected), 1e-9);
    }
}
