<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

/**
 * Where each question of a fault tree stands when it is drawn: below everything that leads to it, across in its order.
 * What leads back over the test is a line, and moves nothing down.
 */
final class TreeDrawing
{
    /**
     * @return array<string, array{int, int}> down and across, from 0, by id; no two stand at one place
     *
     * @pure
     */
    public static function of(FaultTree $tree): array
    {
        $down = [];
        self::place($tree, $tree->first()->id, 0, $down);
        asort($down);
        $out = $used = [];
        foreach ($down as $id => $level) {
            $out[$id] = [$level, $used[$level] ?? 0];
            $used[$level] = ($used[$level] ?? 0) + 1;
        }

        return $out;
    }

    /** @param array<string, int> $down */
    private static function place(FaultTree $tree, string $id, int $level, array &$down): void
    {
        if (($down[$id] ?? -1) >= $level) {
            return;
        }
        $down[$id] = $level;
        $node = $tree->node($id);
        foreach ($node->branches as $branch) {
            $back = $node->ask === 'test' && $branch->to !== null && self::leads($tree, $branch->to, $id);
            if ($branch->to !== null && ! $back) {
                self::place($tree, $branch->to, $level + 1, $down);
            }
        }
    }

    /** Whether one question leads to another without passing a test. */
    private static function leads(FaultTree $tree, string $from, string $to): bool
    {
        if ($from === $to) {
            return true;
        }
        $node = $tree->node($from);
        foreach ($node->ask === 'test' ? [] : $node->branches as $branch) {
            if ($branch->to !== null && self::leads($tree, $branch->to, $to)) {
                return true;
            }
        }

        return false;
    }
}
