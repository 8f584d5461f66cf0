<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\InputError;

/** Whether what {@see RigNext} is given names only what there is. */
final class RigNextCheck
{
    /**
     * What is measured and turned, without the runs.
     *
     * @param list<ReadPoint> $points
     * @param list<Adjuster> $adjusters
     * @param array<string, array<string, Effect>> $effects
     * @param list<RigMatch> $matches
     *
     * @throws InputError
     *
     * @pure
     */
    public static function names(array $points, array $adjusters, array $effects, array $matches): void
    {
        $known = array_flip(array_column($points, 'id'));
        $movable = array_flip(array_column($adjusters, 'id'));
        foreach ($effects as $adjuster => $row) {
            self::among("effects.{$adjuster}", (string) $adjuster, $movable, 'adjusters');
            foreach (array_keys($row) as $point) {
                self::among("effects.{$adjuster}.{$point}", (string) $point, $known, 'points');
            }
        }
        foreach ($matches as $i => $match) {
            foreach ([$match->a, $match->b] as $k => $point) {
                if (! isset($known[$point])) {
                    throw InputError::notAmong("match.{$i}.points.{$k}", 'points', $point);
                }
            }
            if (! ($match->within > 0)) {
                throw InputError::notPositive("match.{$i}.within");
            }
        }
    }

    /**
     * @param list<ReadPoint> $points
     * @param list<Adjuster> $adjusters
     * @param array<string, array<string, Effect>> $effects
     * @param list<RigMatch> $matches
     * @param list<MeasuredRun> $runs
     *
     * @throws InputError
     *
     * @pure
     */
    public static function all(array $points, array $adjusters, array $effects, array $matches, array $runs): void
    {
        self::names($points, $adjusters, $effects, $matches);
        if ($runs === []) {
            throw InputError::empty('runs');
        }
        self::runs($adjusters, $runs, array_flip(array_column($points, 'id')));
        foreach ($points as $i => $point) {
            if (! self::read($point->id, $runs)) {
                throw InputError::at("points.{$i}", "{$point->id} is read in no run");
            }
        }
    }

    /**
     * @param list<Adjuster> $adjusters
     * @param list<MeasuredRun> $runs
     * @param array<string, int> $known points
     */
    private static function runs(array $adjusters, array $runs, array $known): void
    {
        $movable = array_flip(array_column($adjusters, 'id'));
        $at = [];
        foreach ($runs as $k => $run) {
            if ($run->readings === [] && $known !== []) {
                throw InputError::empty("runs.{$k}.readings");
            }
            foreach (array_keys($run->readings) as $point) {
                self::among("runs.{$k}.readings.{$point}", (string) $point, $known, 'points');
            }
            foreach ($run->moves as $id => $amount) {
                self::among("runs.{$k}.moves.{$id}", (string) $id, $movable, 'adjusters');
                $adjuster = $adjusters[$movable[$id]];
                $at[$id] = ($at[$id] ?? 0.0) + $amount;
                if (! $adjuster->reaches($at[$id])) {
                    throw InputError::at(
                        "runs.{$k}.moves.{$id}",
                        "takes it to {$at[$id]}, beyond its travel of {$adjuster->min} to {$adjuster->max}",
                    );
                }
            }
        }
    }

    /** @param list<MeasuredRun> $runs */
    private static function read(string $point, array $runs): bool
    {
        foreach ($runs as $run) {
            if (isset($run->readings[$point])) {
                return true;
            }
        }

        return false;
    }

    /** @param array<string, int> $known */
    private static function among(string $path, string $id, array $known, string $of): void
    {
        if (! isset($known[$id])) {
            throw InputError::notAmong($path, $of);
        }
    }
}
