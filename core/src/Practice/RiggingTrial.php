<?php

declare(strict_types=1);

namespace Jorvel\Core\Practice;

use Jorvel\Core\Bench\Rigging\Adjuster;
use Jorvel\Core\Bench\Rigging\Effect;
use Jorvel\Core\Bench\Rigging\MeasuredRun;
use Jorvel\Core\Bench\Rigging\ReadPoint;
use Jorvel\Core\Bench\Rigging\Rig;
use Jorvel\Core\Bench\Rigging\RigNext;
use Jorvel\Core\Bench\Rigging\RigNextResult;
use Jorvel\Core\Bench\Rigging\RigPoint;
use Jorvel\Core\Bench\Rigging\RigVerdict;
use Jorvel\Core\Shared\Deadline;

/** A simulated linkage rigged from its as-found readings until it is within: how many ground runs it takes. */
final class RiggingTrial
{
    /** More are given up. */
    public const MOST = 10;

    /** Re-readings within one run, after which what is shown is taken. */
    private const AGAIN = 3;

    /**
     * With what is learned from run to run.
     *
     * @param float $percent by how much the book's effects are doubted
     *
     * @return int|null runs, the one that read all within included; null where it never was
     */
    public static function learning(SimulatedLinkage $linkage, float $percent): ?int
    {
        return self::bayes($linkage, self::effects($linkage, $linkage->book, $percent));
    }

    /** As one would who knows the true effects. */
    public static function oracle(SimulatedLinkage $linkage): ?int
    {
        return self::bayes($linkage, self::effects($linkage, $linkage->true, 0.0));
    }

    /** By the book alone: each time what it says of the last readings. */
    public static function book(SimulatedLinkage $linkage): ?int
    {
        $past = [];
        for ($run = 1; $run <= self::MOST; $run++) {
            $shown = $linkage->run();
            if (self::within($linkage, $shown)) {
                return $run;
            }
            $result = Rig::solve(
                array_map(static fn(ReadPoint $p): RigPoint
                    => RigPoint::of($p->id, $shown[$p->id], $p->min, $p->max), $linkage->points),
                array_map(static fn(Adjuster $a): Adjuster => Adjuster::of(
                    $a->id,
                    $a->step,
                    min(0.0, $a->min - ($past[$a->id] ?? 0.0)),
                    max(0.0, $a->max - ($past[$a->id] ?? 0.0)),
                    $a->positive,
                ), $linkage->adjusters),
                $linkage->book,
                $linkage->matches,
            );
            $moves = [];
            foreach ($result->moves as $move) {
                $adjuster = self::adjuster($linkage, $move['adjuster']);
                $moves[$adjuster->id] = $adjuster->signed($move['amount'], $move['direction']);
                $past[$adjuster->id] = ($past[$adjuster->id] ?? 0.0) + $moves[$adjuster->id];
            }
            $linkage->turn($moves);
        }

        return null;
    }

    /** @param array<string, array<string, Effect>> $effects */
    private static function bayes(SimulatedLinkage $linkage, array $effects): ?int
    {
        $runs = [];
        for ($run = 1; $run <= self::MOST; $run++) {
            $runs[] = new MeasuredRun($linkage->run());
            $next = self::next($linkage, $effects, $runs);
            for ($again = 0; $again < self::AGAIN && $next->verdict === RigVerdict::ReadAgain; $again++) {
                $runs[] = new MeasuredRun($linkage->again());
                $next = self::next($linkage, $effects, $runs);
            }
            if ($next->verdict === RigVerdict::Within) {
                return $run;
            }
            $moves = [];
            foreach ($linkage->adjusters as $j => $adjuster) {
                $moves[$adjuster->id] = $next->amounts[$j];
            }
            $last = array_pop($runs);
            $runs[] = new MeasuredRun($last->readings, $moves);
            $linkage->turn($moves);
        }

        return null;
    }

    /**
     * @param array<string, array<string, Effect>> $effects
     * @param list<MeasuredRun> $runs
     */
    private static function next(
        SimulatedLinkage $linkage,
        array $effects,
        array $runs,
    ): RigNextResult {
        return RigNext::after(
            $linkage->points,
            $linkage->adjusters,
            $effects,
            $linkage->matches,
            $runs,
            Deadline::in(2000),
        );
    }

    /** @param array<string, float> $shown */
    private static function within(SimulatedLinkage $linkage, array $shown): bool
    {
        foreach ($linkage->points as $point) {
            if (! $point->holds($shown[$point->id])) {
                return false;
            }
        }

        return true;
    }

    private static function adjuster(SimulatedLinkage $linkage, string $id): Adjuster
    {
        foreach ($linkage->adjusters as $adjuster) {
            if ($adjuster->id === $id) {
                return $adjuster;
            }
        }

        throw new \LogicException("there is no adjuster {$id}");
    }

    /**
     * @param array<string, array<string, float>> $table
     *
     * @return array<string, array<string, Effect>>
     */
    private static function effects(SimulatedLinkage $linkage, array $table, float $percent): array
    {
        $out = [];
        foreach ($linkage->points as $point) {
            $greatest = max(array_map(abs(...), array_column($table, $point->id)) ?: [0.0]);
            foreach ($table as $adjuster => $row) {
                $out[$adjuster][$point->id] = Effect::book($row[$point->id], $percent, $greatest);
            }
        }

        return $out;
    }
}
