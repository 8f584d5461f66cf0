<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\InputError;

/**
 * Which screw, which way, how far.
 *
 * The predicted reading of a point is its value + Σ effect × amount. In order: as many limits and matches as possible,
 * the fewest adjusters moved, the lowest Σ weight × (predicted − aim)², the least Σ|amount|. {@see RigSearch} finds the
 * amounts. Contract: docs/core.md, core/schema/rig.json.
 */
final class Rig
{
    /** Up to so many combinations of positions the answer is exact. */
    public const EXACT = 10_000_000;

    /**
     * @param list<RigPoint> $points
     * @param list<Adjuster> $adjusters
     * @param array<string, array<string, float>> $effects by adjuster and point: the change per +1; 0 where absent
     * @param list<RigMatch> $matches
     *
     * @throws InputError for an effect or a match that names nothing
     *
     * @pure
     */
    public static function solve(array $points, array $adjusters, array $effects, array $matches = []): RigResult
    {
        self::check($points, $adjusters, $effects, $matches);
        $search = RigSearch::of($points, $adjusters, $effects, $matches);
        [$positions, $proven] = $search->best();

        $moves = [];
        $amounts = [];
        foreach ($adjusters as $j => $adjuster) {
            $amounts[$j] = $positions[$j] * $adjuster->step;
            if ($positions[$j] !== 0) {
                $moves[] = [
                    'adjuster' => $adjuster->id,
                    'amount' => abs($amounts[$j]),
                    'direction' => $adjuster->direction($amounts[$j]),
                ];
            }
        }
        $predicted = [];
        $unmet = [];
        $recheck = [];
        foreach ($points as $point) {
            $value = $point->value;
            $touched = false;
            foreach ($adjusters as $j => $adjuster) {
                $effect = $effects[$adjuster->id][$point->id] ?? 0.0;
                $value += $effect * $amounts[$j];
                $touched = $touched || ($positions[$j] !== 0 && $effect !== 0.0);
            }
            $predicted[$point->id] = $value;
            if (! $point->holds($value)) {
                $unmet[] = $point->id;
            }
            if ($touched) {
                $recheck[] = $point->id;
            }
        }
        foreach ($matches as $match) {
            if (! $match->holds($predicted[$match->a], $predicted[$match->b])) {
                $unmet[] = $match->name();
            }
        }

        return new RigResult($moves, $predicted, $unmet, $recheck, $proven);
    }

    /**
     * @param list<RigPoint> $points
     * @param list<Adjuster> $adjusters
     * @param array<string, array<string, float>> $effects
     * @param list<RigMatch> $matches
     *
     * @throws InputError
     */
    private static function check(array $points, array $adjusters, array $effects, array $matches): void
    {
        $known = array_flip(array_map(static fn(RigPoint $p): string => $p->id, $points));
        $movable = array_flip(array_map(static fn(Adjuster $a): string => $a->id, $adjusters));
        foreach ($effects as $adjuster => $row) {
            if (! isset($movable[$adjuster])) {
                throw InputError::notAmong("effects.{$adjuster}", 'adjusters');
            }
            foreach (array_keys($row) as $point) {
                if (! isset($known[$point])) {
                    throw InputError::notAmong("effects.{$adjuster}.{$point}", 'points');
                }
            }
        }
        foreach ($matches as $i => $match) {
            foreach ([$match->a, $match->b] as $k => $point) {
                if (! isset($known[$point])) {
                    throw InputError::notAmong("match.{$i}.points.{$k}", 'points', $point);
                }
            }
        }
    }
}
