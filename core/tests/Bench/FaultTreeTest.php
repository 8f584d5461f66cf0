<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench;

use Jorvel\Core\Bench\FaultTree;
use Jorvel\Core\Bench\TreeDrawing;
use Jorvel\Core\Contract\Schema;
use Jorvel\Core\Shared\InputError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Fault trees: whole, walked in their order, and drawn without one question on another. */
final class FaultTreeTest extends TestCase
{
    /** @return list<array<string, mixed>> */
    private static function nodes(): array
    {
        return [
            ['id' => 'look', 'title' => 'Sound?', 'ask' => 'answer', 'branches' => [
                ['id' => 'yes', 'title' => 'yes', 'to' => 'read'],
                ['id' => 'no', 'title' => 'no', 'cause' => 'worn', 'to' => 'again'],
            ]],
            ['id' => 'read', 'title' => 'Pressure', 'ask' => 'measure', 'unit' => 'bar', 'branches' => [
                ['id' => 'low', 'title' => 'low', 'max' => 3, 'cause' => 'leak'],
                ['id' => 'good', 'title' => 'good', 'min' => 3, 'to' => 'desk'],
            ]],
            ['id' => 'again', 'title' => 'Again', 'ask' => 'test', 'branches' => [
                ['id' => 'pass', 'title' => 'passed'],
                ['id' => 'fail', 'title' => 'failed', 'to' => 'look'],
            ]],
            ['id' => 'desk', 'title' => 'End', 'ask' => 'end', 'whom' => 'the desk'],
        ];
    }

    public function test_it_is_walked_in_its_order_back_over_the_test_and_names_the_last_cause(): void
    {
        $tree = FaultTree::from(self::nodes());
        $path = [];
        self::assertSame('look', $tree->at($path)?->id);
        $way = [['look', 'no', 'again'], ['again', 'fail', 'look'], ['look', 'yes', 'read']];
        foreach ($way as [$node, $branch, $to]) {
            $path[] = ['node' => $node, 'branch' => $branch];
            self::assertSame($to, $tree->at($path)?->id);
        }
        self::assertSame('worn', $tree->cause($path));
        self::assertSame(
            ['low', 'good'],
            [$tree->node('read')->measured(2.99)->id, $tree->node('read')->measured(3.0)->id],
        );
        $path[] = ['node' => 'read', 'branch' => 'low'];
        self::assertSame([null, 'leak'], [$tree->at($path), $tree->cause($path)]);
        foreach ([
            [['node' => 'read', 'branch' => 'low']], [...$path, ['node' => 'look', 'branch' => 'no']],
        ] as $wrong) {
            try {
                $tree->at($wrong);
                self::fail('it was taken');
            } catch (InputError $e) {
                self::assertStringStartsWith('path.', $e->path);
            }
        }
    }

    /** @return iterable<string, array{array<array-key, mixed>, string}> what is put in its place, where the fault is */
    public static function faults(): iterable
    {
        yield 'a question that there is not' => [[0 => ['branches' => [0 => ['to' => 'z']]]], 'nodes.0.branches.0.to'];
        yield 'one name twice' => [[1 => ['id' => 'look']], 'nodes.1.id'];
        yield 'an answer that leads nowhere' => [[1 => ['branches' => [0 => ['cause' => null]]]], 'nodes.1.branches.0'];
        yield 'a value on no branch' => [[1 => ['branches' => [1 => ['min' => 4]]]], 'nodes.1.branches'];
        yield 'a value on two' => [[1 => ['branches' => [1 => ['min' => 2]]]], 'nodes.1.branches'];
        yield 'no unit' => [[1 => ['unit' => null]], 'nodes.1.unit'];
        yield 'nobody to ask' => [[3 => ['whom' => null]], 'nodes.3.whom'];
        yield 'a test that only passes' => [[2 => ['branches' => [1 => ['id' => 'other']]]], 'nodes.2.branches'];
        yield 'a circle without a test' => [[1 => ['branches' => [1 => ['to' => 'look']]]], 'nodes.0'];
        yield 'nothing leads to it' => [[0 => ['branches' => [1 => ['to' => 'desk']]]], 'nodes.2'];
    }

    /** @param array<array-key, mixed> $change */
    #[DataProvider('faults')]
    public function test_a_tree_that_cannot_be_walked_names_its_place(array $change, string $path): void
    {
        $nodes = array_replace_recursive(self::nodes(), $change);
        $clean = static function (array $of) use (&$clean): array {
            return array_map(
                static fn(mixed $v): mixed => is_array($v) ? $clean($v) : $v,
                array_filter($of, static fn(mixed $v): bool => $v !== null),
            );
        };
        try {
            FaultTree::from(array_values($clean($nodes)));
            self::fail('it was taken');
        } catch (InputError $e) {
            self::assertSame($path, $e->path, $e->getMessage());
        }
    }

    public function test_every_tree_of_the_demo_world_is_one_and_is_drawn_without_one_question_on_another(): void
    {
        $trees = json_decode((string) file_get_contents(dirname(__DIR__, 3).'/database/demo/trees.json'));
        self::assertGreaterThanOrEqual(8, count($trees));
        foreach ($trees as $tree) {
            Schema::check('tree', $tree);
            $is = FaultTree::from(json_decode((string) json_encode($tree->nodes), true));
            $places = TreeDrawing::of($is);
            self::assertCount(count($is->nodes), array_unique(array_map(json_encode(...), $places)), $tree->code);
            self::assertSame([0, 0], $places[$is->first()->id]);
        }
    }
}
