<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function count;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** One question of a fault tree: an answer, a measurement, a card that is worked, the test again, or whom to ask. */
final readonly class TreeNode
{
    /**
     * @param string $ask `answer`, `measure`, `card`, `test` or `end`
     * @param Unit|null $unit of a measurement
     * @param string|null $card code of the template that is worked
     * @param string|null $whom to ask where the tree ends without a cause
     * @param list<TreeBranch> $branches in the manual's order
     */
    private function __construct(
        public string $id,
        public string $title,
        public string $text,
        public string $ask,
        public ?Unit $unit,
        public ?string $toolKind,
        public ?string $card,
        public ?string $whom,
        public array $branches,
    ) {}

    /**
     * @param array<string, mixed> $node as in core/schema/tree.json
     *
     * @throws InputError at its field
     *
     * @pure
     */
    public static function from(array $node): self
    {
        $branches = [];
        foreach (array_values($node['branches'] ?? []) as $i => $b) {
            try {
                $branch = TreeBranch::from($b);
            } catch (InputError $e) {
                throw $e->under("branches.{$i}");
            }
            if (in_array($branch->id, array_column($branches, 'id'), true)) {
                throw InputError::usedTwice("branches.{$i}.id", $branch->id);
            }
            $branches[] = $branch;
        }
        $ask = (string) $node['ask'];
        $unit = isset($node['unit']) ? Unit::parse((string) $node['unit']) : null;
        self::requireOwn($ask, $node, $branches);
        if ($ask === 'measure') {
            self::requireWhole($branches);
        }

        return new self(
            (string) $node['id'],
            (string) $node['title'],
            (string) ($node['text'] ?? ''),
            $ask,
            $unit,
            isset($node['tool_kind']) ? (string) $node['tool_kind'] : null,
            isset($node['card']) ? (string) $node['card'] : null,
            isset($node['whom']) ? (string) $node['whom'] : null,
            $branches,
        );
    }

    /**
     * @param array<string, mixed> $node
     * @param list<TreeBranch> $branches
     */
    private static function requireOwn(string $ask, array $node, array $branches): void
    {
        $ids = array_column($branches, 'id');
        sort($ids);
        match (true) {
            $ask === 'end' && ! isset($node['whom']) => throw InputError::missing('whom'),
            $ask === 'end' && $branches !== [] => throw InputError::at('branches', 'go on from where the tree ends'),
            $ask === 'measure' && ! isset($node['unit']) => throw InputError::missing('unit'),
            $ask === 'card' && ! isset($node['card']) => throw InputError::missing('card'),
            $ask === 'card' && $ids !== ['done'] => throw InputError::at('branches', 'must be one, "done"'),
            $ask === 'test' && $ids !== ['fail', 'pass'] => throw InputError::at(
                'branches',
                'must be "pass" and "fail"',
            ),
            $ask === 'answer' && count($branches) < 2 => throw InputError::at('branches', 'must be two at least'),
            default => null,
        };
    }

    /**
     * Every value lies on one branch, and on one only.
     *
     * @param list<TreeBranch> $branches
     */
    private static function requireWhole(array $branches): void
    {
        $sorted = $branches;
        usort($sorted, static fn(TreeBranch $a, TreeBranch $b): int => ($a->min ?? -INF) <=> ($b->min ?? -INF));
        $end = null;
        foreach ($sorted as $i => $b) {
            if ($i === 0 ? $b->min !== null : $end === null || $b->min !== $end) {
                throw InputError::at('branches', 'must take every value once: each begins where another ends');
            }
            $end = $b->max;
        }
        if ($end !== null || $branches === []) {
            throw InputError::at('branches', 'must take every value once: the last has no end');
        }
    }

    /** @throws InputError for an answer that it has not @pure */
    public function branch(string $id): TreeBranch
    {
        foreach ($this->branches as $branch) {
            if ($branch->id === $id) {
                return $branch;
            }
        }
        throw InputError::notAmong('branch', 'answers', $id);
    }

    /** The branch on which a measured value lies. @pure */
    public function measured(float $value): TreeBranch
    {
        foreach ($this->branches as $branch) {
            if ($branch->takes($value)) {
                return $branch;
            }
        }
        throw InputError::at('branch', 'is none for this value');
    }
}
