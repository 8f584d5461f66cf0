<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\InputError;

/**
 * What to turn next, knowing what the runs so far showed.
 *
 * Each point's value and its effects are learned from all runs ({@see Belief}); what is turned is what most probably
 * brings every point within its limits in the next run ({@see NextSearch}). Contract: docs/core.md,
 * core/schema/rig_next.json.
 */
final class RigNext
{
    /** What a further step must add to ln p for a stop to be in its way. */
    private const WORTH = 0.01;

    /**
     * @param list<ReadPoint> $points
     * @param list<Adjuster> $adjusters
     * @param array<string, array<string, Effect>> $effects by adjuster and point: what is believed beforehand; none
     *   where it does certainly nothing
     * @param list<RigMatch> $matches
     * @param list<MeasuredRun> $runs in order
     *
     * @throws InputError at what names nothing, is read in no run, or goes beyond its travel
     *
     * @pure
     */
    public static function after(
        array $points,
        array $adjusters,
        array $effects,
        array $matches,
        array $runs,
        Deadline $deadline,
    ): RigNextResult {
        [$prospect, $doubt] = self::prospect($points, $adjusters, $effects, $matches, $runs);
        $beliefs = $prospect->beliefs;
        $still = array_fill(0, count($adjusters), 0.0);
        $last = $runs[count($runs) - 1];
        $verdict = match (true) {
            self::within($points, $matches, $last) => RigVerdict::Within,
            in_array(count($runs) - 1, array_column($doubt, 'run'), true) => RigVerdict::ReadAgain,
            default => null,
        };
        $amounts = $still;
        $stops = [];
        $proven = true;
        if ($verdict === null) {
            $past = self::past($adjusters, $runs);
            $search = new NextSearch($prospect, $adjusters, $past, $deadline);
            [$choice, $seen] = $search->best();
            $amounts = $choice->amounts;
            $stops = self::stops($adjusters, $past, $amounts, $choice->log, $seen);
            $proven = $search->exact();
        }
        $readings = $prospect->readings($amounts);
        $unmet = self::unmet($matches, $prospect, $readings);
        $verdict ??= match (true) {
            $amounts !== $still => RigVerdict::Turn,
            $unmet !== [] => RigVerdict::OutOfReach,
            default => RigVerdict::ReadAgain,
        };

        return new RigNextResult(
            $verdict,
            $adjusters,
            $amounts,
            $points,
            $beliefs,
            $readings,
            array_map(
                static fn(int $i): float => exp($prospect->point($i, ...$readings[$i])),
                array_keys($points),
            ),
            exp($prospect->all($readings)),
            $unmet,
            self::recheck($beliefs, $amounts, $points),
            $doubt,
            $stops,
            $effects,
            $proven,
        );
    }

    /**
     * What any turns would probably give, knowing what the runs so far showed.
     *
     * @param list<ReadPoint> $points
     * @param list<Adjuster> $adjusters
     * @param array<string, array<string, Effect>> $effects as {@see self::after()}
     * @param list<RigMatch> $matches
     * @param list<MeasuredRun> $runs in order; nothing was turned after the last
     * @param array<string, float> $turned signed amounts by adjuster
     *
     * @throws InputError as {@see self::after()}
     *
     * @pure
     */
    public static function foretell(
        array $points,
        array $adjusters,
        array $effects,
        array $matches,
        array $runs,
        array $turned,
    ): Foretold {
        [$prospect] = self::prospect($points, $adjusters, $effects, $matches, $runs);
        $readings = $prospect->readings(
            array_map(static fn(Adjuster $a): float => $turned[$a->id] ?? 0.0, $adjusters),
        );
        $means = $chances = [];
        foreach ($points as $i => $point) {
            $means[$point->id] = ['mean' => $readings[$i][0], 'sd' => sqrt($readings[$i][1])];
            $chances[$point->id] = exp($prospect->point($i, ...$readings[$i]));
        }

        return new Foretold(
            $means,
            $chances,
            exp($prospect->all($readings)),
            self::unmet($matches, $prospect, $readings),
        );
    }

    /**
     * @param list<ReadPoint> $points
     * @param list<Adjuster> $adjusters
     * @param array<string, array<string, Effect>> $effects
     * @param list<RigMatch> $matches
     * @param list<MeasuredRun> $runs
     *
     * @return array{Prospect, list<array{run: int, point: string, z: float}>} and what does not fit
     *
     * @throws InputError
     */
    private static function prospect(
        array $points,
        array $adjusters,
        array $effects,
        array $matches,
        array $runs,
    ): array {
        RigNextCheck::all($points, $adjusters, $effects, $matches, $runs);
        [$beliefs, $doubt] = self::learn($points, $adjusters, $effects, $runs);
        $index = array_flip(array_map(static fn(ReadPoint $p): string => $p->id, $points));
        $pairs = array_map(static fn(RigMatch $m): array => [$index[$m->a], $index[$m->b], $m->within], $matches);

        return [new Prospect($points, $beliefs, $pairs), $doubt];
    }

    /**
     * @param list<ReadPoint> $points
     * @param list<Adjuster> $adjusters
     * @param array<string, array<string, Effect>> $effects
     * @param list<MeasuredRun> $runs
     *
     * @return array{list<Belief>, list<array{run: int, point: string, z: float}>}
     */
    private static function learn(array $points, array $adjusters, array $effects, array $runs): array
    {
        $beliefs = $doubt = [];
        foreach ($points as $point) {
            $beliefs[] = Belief::before(
                array_map(static fn(Adjuster $a): ?Effect => $effects[$a->id][$point->id] ?? null, $adjusters),
            );
        }
        foreach ($runs as $k => $run) {
            $moves = array_map(static fn(Adjuster $a): float => $run->moves[$a->id] ?? 0.0, $adjusters);
            foreach ($points as $i => $point) {
                $belief = $beliefs[$i];
                $reading = $run->readings[$point->id] ?? null;
                if ($reading !== null) {
                    [$belief, $z] = $belief->read($reading, $point->noise);
                    if ($z !== null) {
                        $doubt[] = ['run' => $k, 'point' => $point->id, 'z' => $z];
                    }
                }
                $beliefs[$i] = $run->turned() ? $belief->turned($moves) : $belief;
            }
        }

        return [array_values($beliefs), $doubt];
    }

    /**
     * @param list<ReadPoint> $points
     * @param list<RigMatch> $matches
     */
    private static function within(array $points, array $matches, MeasuredRun $last): bool
    {
        foreach ($points as $point) {
            if (! isset($last->readings[$point->id]) || ! $point->holds($last->readings[$point->id])) {
                return false;
            }
        }
        foreach ($matches as $match) {
            if (! $match->holds($last->readings[$match->a], $last->readings[$match->b])) {
                return false;
            }
        }

        return ! $last->turned();
    }

    /**
     * What each adjuster was moved so far.
     *
     * @param list<Adjuster> $adjusters
     * @param list<MeasuredRun> $runs
     *
     * @return list<float>
     */
    private static function past(array $adjusters, array $runs): array
    {
        return array_map(static fn(Adjuster $a): float => array_sum(
            array_map(static fn(MeasuredRun $r): float => $r->moves[$a->id] ?? 0.0, $runs),
        ), $adjusters);
    }

    /**
     * @param list<RigMatch> $matches
     * @param list<array{float, float}> $readings
     *
     * @return list<string>
     */
    private static function unmet(array $matches, Prospect $prospect, array $readings): array
    {
        $half = log(0.5);
        $out = [];
        foreach ($prospect->points as $i => $point) {
            if ($prospect->point($i, ...$readings[$i]) < $half) {
                $out[] = $point->id;
            }
        }
        foreach ($matches as $m => $match) {
            if ($prospect->match($m, $readings) < $half) {
                $out[] = $match->name();
            }
        }

        return $out;
    }

    /**
     * Adjusters of which no further whole step fits one way, while one more that way would be of use.
     *
     * @param list<Adjuster> $adjusters
     * @param list<float> $past
     * @param list<float> $amounts
     *
     * @return list<string>
     */
    private static function stops(array $adjusters, array $past, array $amounts, float $log, Prospect $seen): array
    {
        $out = [];
        foreach ($adjusters as $j => $adjuster) {
            foreach ([1, -1] as $way) {
                $further = $amounts[$j] + $way * $adjuster->step;
                $next = array_values(array_replace($amounts, [$j => $further]));
                $stopped = ! $adjuster->reaches($past[$j] + $further);
                if ($stopped && $seen->all($seen->readings($next)) > $log + self::WORTH) {
                    $out[] = $adjuster->id;

                    break;
                }
            }
        }

        return $out;
    }

    /**
     * @param list<Belief> $beliefs
     * @param list<float> $amounts
     * @param list<ReadPoint> $points
     *
     * @return list<string>
     */
    private static function recheck(array $beliefs, array $amounts, array $points): array
    {
        $out = [];
        foreach ($points as $i => $point) {
            foreach ($amounts as $j => $amount) {
                if ($amount !== 0.0 && ($beliefs[$i]->mean[$j + 1] !== 0.0 || $beliefs[$i]->sd($j + 1) !== 0.0)) {
                    $out[] = $point->id;

                    break;
                }
            }
        }

        return $out;
    }
}
