<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\InputError;

/**
 * A fault tree as the approved data has it: from the first question, in its order, to a cause, or to whom to ask.
 *
 * It may lead back only over the test itself: whatever was put right, the test is what shows it.
 */
final readonly class FaultTree
{
    /** @param array<string, TreeNode> $nodes by id, the first question first */
    private function __construct(public array $nodes) {}

    /**
     * @param list<array<string, mixed>> $nodes as in core/schema/tree.json
     *
     * @throws InputError at `nodes.<i>`: an id used twice, a question that there is not, one that nothing leads to, a
     *                    circle without a test
     *
     * @pure
     */
    public static function from(array $nodes): self
    {
        if ($nodes === []) {
            throw InputError::empty('nodes');
        }
        $of = [];
        foreach ($nodes as $i => $node) {
            try {
                $is = TreeNode::from($node);
            } catch (InputError $e) {
                throw $e->under("nodes.{$i}");
            }
            if (isset($of[$is->id])) {
                throw InputError::usedTwice("nodes.{$i}.id", $is->id);
            }
            $of[$is->id] = $is;
        }
        $at = array_flip(array_keys($of));
        foreach ($of as $id => $node) {
            foreach ($node->branches as $k => $b) {
                if ($b->to !== null && ! isset($of[$b->to])) {
                    throw InputError::notAmong("nodes.{$at[$id]}.branches.{$k}.to", 'questions of the tree', $b->to);
                }
            }
        }
        $tree = new self($of);
        $reached = [];
        $tree->walk($tree->first()->id, [], $reached, $at);
        foreach (array_diff(array_keys($of), array_keys($reached)) as $id) {
            throw InputError::at("nodes.{$at[$id]}", 'is a question that nothing leads to');
        }

        return $tree;
    }

    /** @pure */
    public function first(): TreeNode
    {
        return array_values($this->nodes)[0];
    }

    /** @throws InputError for a question that it has not @pure */
    public function node(string $id): TreeNode
    {
        return $this->nodes[$id] ?? throw InputError::notAmong('node', 'questions of the tree', $id);
    }

    /**
     * Where a walk stands.
     *
     * @param list<array{node: string, branch: string}> $path what was answered so far
     *
     * @return TreeNode|null null once it has ended
     *
     * @throws InputError for an answer that is not to the question that was open
     *
     * @pure
     */
    public function at(array $path): ?TreeNode
    {
        $node = $this->first();
        foreach ($path as $i => $step) {
            if ($node === null || $step['node'] !== $node->id) {
                throw InputError::at("path.{$i}", 'answers a question that was not open');
            }
            $to = $node->branch($step['branch'])->to;
            $node = $to === null ? null : $this->node($to);
        }

        return $node;
    }

    /**
     * The last cause that a walk named; null where it named none.
     *
     * @param list<array{node: string, branch: string}> $path
     *
     * @pure
     */
    public function cause(array $path): ?string
    {
        $cause = null;
        foreach ($path as $step) {
            $cause = $this->node($step['node'])->branch($step['branch'])->cause ?? $cause;
        }

        return $cause;
    }

    /**
     * @param list<string> $way questions on the way here since the last test
     * @param array<string, bool> $reached
     * @param array<string, int> $at
     */
    private function walk(string $id, array $way, array &$reached, array $at): void
    {
        if (in_array($id, $way, true)) {
            throw InputError::at("nodes.{$at[$id]}", 'leads back to itself without a test between');
        }
        $node = $this->nodes[$id];
        $seen = isset($reached[$id]);
        $reached[$id] = true;
        if ($seen && $node->ask === 'test') {
            return;
        }
        $way = $node->ask === 'test' ? [] : [...$way, $id];
        foreach ($node->branches as $b) {
            if ($b->to !== null) {
                $this->walk($b->to, $way, $reached, $at);
            }
        }
    }
}
