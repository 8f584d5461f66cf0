<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

/** Where each question of a fault tree stands when it is drawn: down as far from the first as it is, across in its order. */
final class TreeDrawing
{
    /**
     * @return array<string, array{int, int}> down and across, from 0, by id; no two stand at one place
     *
     * @pure
     */
    public static function of(FaultTree $tree): array
    {
        // A question stands below all that lead to it; what leads back over the test is drawn as a line, not as a place.
        $down = [$tree->first()->id => 0];
        $order = [$tree->first()->id];
        for ($i = 0; $i < count($order); $i++) {
            $node = $tree->node($order[$i]);
            foreach ($node->branches as $branch) {
                if ($branch->to !== null && ! isset($down[$branch->to])) {
                    $down[$branch->to] = $down[$order[$i]] + 1;
                    $order[] = $branch->to;
                }
            }
        }
        $out = $used = [];
        foreach ($order as $id) {
            $out[$id] = [$down[$id], $used[$down[$id]] ?? 0];
            $used[$down[$id]] = ($used[$down[$id]] ?? 0) + 1;
        }

        return $out;
    }
}
