<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Library;

use Jorvel\Core\Library\Applies;
use Jorvel\Core\Library\AppliesTo;
use Jorvel\Core\Library\Expression;
use Jorvel\Core\Library\Flowing;
use Jorvel\Core\Library\Steps;
use Jorvel\Core\Library\Subject;
use Jorvel\Core\Library\Unmet;
use Jorvel\Core\Shared\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The steps of a template: what is written, what a card has of it, and what is wrong with it. */
final class StepsTest extends TestCase
{
    /** @return list<\stdClass> */
    private static function steps(string ...$json): array
    {
        return array_map(
            static fn(string $s): \stdClass => json_decode($s, false, 32, JSON_THROW_ON_ERROR),
            array_values($json),
        );
    }

    /** @param array<string, mixed> $spec */
    private static function step(string $kind, array $spec = [], string $title = 'a step'): string
    {
        return (string) json_encode(['kind' => $kind, 'title' => $title, 'spec' => (object) $spec]);
    }

    public function test_a_block_is_worked_at_each_of_its_positions_with_its_own_names(): void
    {
        $steps = self::steps(
            self::step('instruction'),
            self::step('each', ['positions' => ['left', 'right'], 'steps' => [
                ['kind' => 'safing_fit', 'title' => 'Pin {position}', 'spec' => [
                    'id' => 'pin', 'device' => 'pin', 'place' => '{position} door', 'flag' => 'red',
                    'disturbs' => [['what' => '{position} door', 'how' => 'opened', 'proofs' => ['travel']]],
                ]],
                [
                    'kind' => 'safing_remove', 'title' => 'Off',
                    'spec' => ['of' => 'pin', 'joins' => ['{position} door']],
                ],
                ['kind' => 'answer', 'title' => 'Feel', 'spec' => [
                    'id' => 'feel', 'choices' => [
                        ['id' => 'a', 'title' => 'a', 'verdict' => 'pass'],
                        ['id' => 'b', 'title' => 'b', 'verdict' => 'fail'],
                    ],
                ]],
                [
                    'kind' => 'instruction', 'title' => 'So',
                    'spec' => ['applies' => ['answer' => ['step' => 'feel', 'is' => ['b']]]],
                ],
            ]], 'Doors'),
            self::step('instruction', [], 'last'),
        );
        self::assertSame([], self::said(Steps::faults($steps)));
        $out = Steps::expand(json_decode((string) json_encode($steps), true));
        self::assertCount(10, $out);
        self::assertSame('Pin right', $out[5]['title']);
        self::assertSame('right door', $out[5]['spec']['disturbs'][0]['what']);
        self::assertSame([2, 6], [$out[2]['spec']['of'], $out[6]['spec']['of']]);
        self::assertSame('feel@right', $out[8]['spec']['applies']['answer']['step']);
        self::assertSame(['title' => 'Doors', 'position' => 'right', 'n' => 2, 'of' => 2], $out[8]['spec']['each']);
        self::assertArrayNotHasKey('each', $out[9]['spec']);
    }

    /**
     * @param list<InputError> $faults
     *
     * @return list<string>
     */
    private static function said(array $faults): array
    {
        return array_map(static fn(InputError $e): string => $e->path, $faults);
    }

    /** @return iterable<string, array{list<string>, list<string>}> steps, and where their faults are */
    public static function faulty(): iterable
    {
        $choices = [
            ['id' => 'a', 'title' => 'a', 'verdict' => 'pass'], ['id' => 'b', 'title' => 'b', 'verdict' => 'fail'],
        ];
        $each = static fn(array ...$steps): string
            => self::step('each', ['positions' => ['l', 'r'], 'steps' => $steps], 'Doors');
        $reading = static fn(array $limit, array $more = []): array
            => ['reading' => ['point' => 'p', 'limit' => $limit, ...$more]];
        yield 'none' => [[], ['steps']];
        yield 'a shape' => [[self::step('instruction'), self::step('count')], ['steps.1.spec.counts']];
        yield 'a name twice' => [
            [
                self::step('mark', ['id' => 'm', 'what' => 'x']),
                self::step('answer', ['id' => 'm', 'choices' => $choices]),
            ],
            ['steps.1.spec.id'],
        ];
        yield 'an answer that comes later' => [
            [self::step('instruction', ['applies' => ['answer' => ['step' => 'q', 'is' => ['a']]]]),
                self::step('answer', ['id' => 'q', 'choices' => $choices])],
            ['steps.0.spec.applies.answer.step'],
        ];
        yield 'a row with nothing in it, at a step without a title' => [
            [self::step('instruction', ['disturbs' => [['what' => '']]], '')],
            ['steps.0.title', 'steps.0.spec.disturbs.0.how', 'steps.0.spec.disturbs.0.proofs',
                'steps.0.spec.disturbs.0.what'],
        ];
        yield 'a mark that was not made' => [[self::step('meet', ['mark' => 'm'])], ['steps.0.spec.mark']];
        yield 'a mark with a unit and no tolerance' => [
            [self::step('mark', ['id' => 'm', 'what' => 'x', 'unit' => 'mm']), self::step('meet', ['mark' => 'm'])],
            ['steps.1.spec.within'],
        ];
        yield 'a unit that is none' => [[self::step('mark', ['what' => 'x', 'unit' => 'ells'])], ['steps.0.spec.unit']];
        yield 'what was never fitted' => [[self::step('safing_remove', ['of' => 1])], ['steps.0.spec.of']];
        yield 'halves that are not counted' => [
            [self::step('count', ['counts' => 'turns', 'max' => 1.5])], ['steps.0.spec.max'],
        ];
        yield 'thirds' => [
            [self::step('count', ['counts' => 'turns', 'min' => 0.3, 'fraction' => 0.25])], ['steps.0.spec.min'],
        ];
        yield 'a count upside down' => [
            [self::step('count', ['counts' => 'turns', 'min' => 3, 'max' => 2])], ['steps.0.spec.min'],
        ];
        yield 'a limit upside down' => [
            [self::step('measurement', $reading(['kind' => 'range', 'unit' => 'bar', 'min' => 3, 'max' => 2]))],
            ['steps.0.spec.reading.limit'],
        ];
        yield 'advice outside the limit' => [
            [self::step('measurement', $reading(
                ['kind' => 'max', 'unit' => 'bar', 'max' => 2],
                ['advised' => ['min' => 1, 'max' => 2.5]],
            ))],
            ['steps.0.spec.reading.advised.max'],
        ];
        yield 'a round with one place twice, and nothing to count' => [
            [self::step('circuit', ['ask' => 'count', 'points' => [
                ['id' => '1', 'place' => 'a'], ['id' => '1', 'place' => 'b'],
            ]])],
            ['steps.0.spec.points.0.id', 'steps.0.spec.points.1.id', 'steps.0.spec.counts'],
        ];
        yield 'a block in a block, and a group in one' => [
            [$each(
                [
                    'kind' => 'each', 'title' => 'x',
                    'spec' => ['positions' => ['a'], 'steps' => [['kind' => 'instruction', 'title' => 't']]],
                ],
                ['kind' => 'instruction', 'title' => 't', 'spec' => ['group' => 'g']],
            )],
            ['steps.0.spec.steps.0.kind', 'steps.0.spec.steps.1.spec.group'],
        ];
        yield 'inside a block, at its place' => [
            [
                $each(
                    ['kind' => 'instruction', 'title' => 't'],
                    ['kind' => 'meet', 'title' => 't', 'spec' => ['mark' => 'm']],
                ),
            ],
            ['steps.0.spec.steps.1.spec.mark'],
        ];
        yield 'from outside of the block, where it is several' => [
            [
                $each(['kind' => 'mark', 'title' => 't', 'spec' => ['id' => 'm', 'what' => 'x']]),
                self::step('meet', ['mark' => 'm']),
            ],
            ['steps.1.spec.mark'],
        ];
        $flows = static fn(string $min, string $unit = 'bar'): array => [
            self::step('measurement', ['id' => 'found', ...$reading(['kind' => 'min', 'unit' => 'psi', 'min' => 4])]),
            self::step('measurement', $reading(['kind' => 'min', 'unit' => $unit, 'min' => $min])),
        ];
        yield 'a limit over an earlier reading, in another unit of its dimension' => [
            $flows('max(found, last_found) * 0.9'), [],
        ];
        yield 'over one of another dimension' => [$flows('found', 'mm'), ['steps.1.spec.reading.limit.min']];
        yield 'over none' => [$flows('foumd - 2'), ['steps.1.spec.reading.limit.min']];
        yield 'no expression' => [$flows('found -'), ['steps.1.spec.reading.limit.min']];
        yield 'more than numbers' => [$flows('constant("PHP_OS")'), ['steps.1.spec.reading.limit.min']];
        $rig = static fn(array $more): array => [self::step('rig', [
            'tool_kind' => 'protractor',
            'points' => [
                ['id' => 'a', 'title' => 'a', 'unit' => 'deg', 'min' => 1, 'max' => 2],
                ['id' => 'b', 'title' => 'b', 'unit' => 'deg', 'min' => 1, 'max' => 2],
            ],
            'adjusters' => [[
                'id' => 's', 'title' => 's', 'unit' => 'turns', 'step' => 1, 'min' => -1, 'max' => 1,
                'positive' => 'cw',
            ]],
            'effects' => ['s' => ['a' => 1, 'b' => ['mean' => 1, 'sd' => 0.2]]],
            ...$more,
        ])];
        yield 'a rig model' => [$rig(['drawing' => ['width' => 90, 'height' => 90, 'parts' => [
            ['kind' => 'lever', 'id' => 'arm', 'at' => [9, 9], 'length' => 5, 'point' => 'a'],
            ['kind' => 'rod', 'from' => [1, 1], 'to' => 'arm', 'adjuster' => 's'],
        ]]]), []];
        yield 'an effect on a point that there is not' => [
            $rig(['effects' => ['s' => ['c' => 1]]]), ['steps.0.spec.effects.s.c'],
        ];
        yield 'a match of a point with itself' => [
            $rig(['match' => [['points' => ['a', 'a'], 'within' => 1]]]), ['steps.0.spec.match.0.points'],
        ];
        yield 'a drawing of what there is not' => [
            $rig(['drawing' => ['width' => 90, 'height' => 90, 'parts' => [
                ['kind' => 'lever', 'id' => 'arm', 'at' => [9, 9], 'length' => 5, 'point' => 'c'],
                ['kind' => 'rod', 'from' => 'leg', 'to' => 'arm', 'adjuster' => 't'],
            ]]]),
            [
                'steps.0.spec.drawing.parts.0.point', 'steps.0.spec.drawing.parts.1.adjuster',
                'steps.0.spec.drawing.parts.1.from',
            ],
        ];
        yield 'what must hold, the wrong way round, in no unit' => [
            $rig(['requires' => [['id' => 'oil', 'title' => 'oil', 'unit' => 'warm', 'min' => 9, 'max' => 1]]]),
            ['steps.0.spec.requires.0.unit', 'steps.0.spec.requires.0'],
        ];
        $many = array_map(static fn(int $i): string => "p{$i}", range(1, 60));
        yield 'more than a card has' => [
            array_fill(
                0,
                14,
                self::step('each', ['positions' => $many, 'steps' => [['kind' => 'instruction', 'title' => 't']]]),
            ),
            ['steps'],
        ];
    }

    /**
     * @param list<string> $steps
     * @param list<string> $paths
     */
    #[DataProvider('faulty')]
    public function test_every_fault_is_named_at_its_place(array $steps, array $paths): void
    {
        self::assertSame($paths, self::said(Steps::faults(self::steps(...$steps))));
    }

    public function test_what_is_said_of_a_fault_has_its_values_in_it(): void
    {
        $said = array_map(
            static fn(InputError $e): string => "{$e->path} {$e->getMessage()}",
            Steps::faults(self::steps(self::step('mark', ['id' => 'Line 1', 'what' => str_repeat('x', 300)]))),
        );
        self::assertSame([
            'steps.0.spec.what has 300 characters; at most 200',
            'steps.0.spec.id must be small letters, digits and _, a letter first, 40 at most',
        ], $said);
    }

    /** @return iterable<string, array{array<string, mixed>, string|null}> a condition, and by what it is not met */
    public static function conditions(): iterable
    {
        yield 'this tail' => [['tail' => ['QA-VFA', 'QA-VFC']], null];
        yield 'another tail' => [['tail' => ['QA-VFA']], 'tail: QA-VFC'];
        yield 'this variant' => [['variant' => ['K1']], null];
        yield 'another variant' => [['variant' => ['K2'], 'why' => 'bulletin 4'], 'variant: K1'];
        yield 'fitted' => [['option' => ['skis', 'cargo hook']], null];
        yield 'not fitted' => [['option' => ['skis']], 'option: cargo hook, winch'];
        yield 'this position' => [['position' => ['left']], null];
        yield 'another position' => [['position' => ['right']], 'position: left'];
        yield 'answered so' => [['answer' => ['step' => 'kind', 'is' => ['wet']]], null];
        yield 'answered otherwise' => [['answer' => ['step' => 'kind', 'is' => ['dry']]], 'answer: wet'];
        yield 'not answered yet' => [['answer' => ['step' => 'other', 'is' => ['dry']]], null];
        yield 'all of them' => [['tail' => ['QA-VFC'], 'variant' => ['K2']], 'variant: K1'];
    }

    /** @param array<string, mixed> $spec */
    #[DataProvider('conditions')]
    public function test_what_a_step_applies_to(array $spec, ?string $unmet): void
    {
        $on = new Subject('QA-VFC', 'K1', ['cargo hook', 'winch'], ['kind' => 'wet']);
        $is = Applies::of($spec)->unmet($on, 'left');
        self::assertSame($unmet, $is === null ? null : "{$is->by->value}: {$is->is}");
        self::assertSame($unmet === null ? null : $spec['why'] ?? null, $is?->why);
    }

    public function test_outside_of_a_block_no_position_is_met_and_a_condition_without_values_is_none(): void
    {
        $is = Applies::of(['position' => ['left']])->unmet(new Subject('QA-VFC', 'K1'));
        self::assertEquals(new Unmet(AppliesTo::Position, ['left'], null), $is);
        $this->expectExceptionObject(InputError::empty('variant'));
        Applies::of(['variant' => []]);
    }

    /**
     * @return iterable<array{string, array<string, float>, float|string}> an expression, values, what it comes to or
     *   is refused with
     */
    public static function expressions(): iterable
    {
        yield ['2.5', [], 2.5];
        yield ['found - 2.5', ['found' => 97.0], 94.5];
        yield ['max(left, right) - min(left, right)', ['left' => 33.0, 'right' => 39.0], 6.0];
        yield ['abs(a - b) / 2', ['a' => 1.0, 'b' => 4.0], 1.5];
        yield ['a / b', ['a' => 1.0, 'b' => 0.0], 'divides by 0'];
        yield ['a + b', ['a' => 1.0], 'needs b'];
        yield ['system("ls")', [], 'must be numbers'];
        yield ['constant(1)', [], 'is no expression'];
        yield ['a b', ['a' => 1.0, 'b' => 1.0], 'is no expression'];
        yield ['', [], 'must be numbers'];
    }

    /** @param array<string, float> $values */
    #[DataProvider('expressions')]
    public function test_an_expression_comes_to_a_number_or_says_why_not(
        string $text,
        array $values,
        float|string $is,
    ): void {
        try {
            self::assertSame($is, Expression::of($text)->value($values));
        } catch (InputError $e) {
            self::assertStringContainsString((string) $is, $e->getMessage());
        }
    }

    public function test_a_limit_is_resolved_in_its_own_unit(): void
    {
        $limit = ['kind' => 'range', 'unit' => 'bar', 'min' => 'a', 'max' => 'a + 1'];
        self::assertSame(['a'], Flowing::waitsFor($limit, []));
        $resolved = Flowing::resolve($limit, ['a' => [100.0, 'kPa']]);
        self::assertEqualsWithDelta([1.0, 2.0], [$resolved['min'], $resolved['max']], 1e-9);
        self::assertSame($resolved, Flowing::resolve($resolved, []));
        $this->expectExceptionObject(InputError::at('min', 'a is in mm; the limit is in bar'));
        Flowing::resolve($limit, ['a' => [100.0, 'mm']]);
    }
}
