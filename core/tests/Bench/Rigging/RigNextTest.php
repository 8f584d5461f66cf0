<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench\Rigging;

use Jorvel\Core\Bench\Rigging\Adjuster;
use Jorvel\Core\Bench\Rigging\Belief;
use Jorvel\Core\Bench\Rigging\Effect;
use Jorvel\Core\Bench\Rigging\MeasuredRun;
use Jorvel\Core\Bench\Rigging\ReadPoint;
use Jorvel\Core\Bench\Rigging\RigMatch;
use Jorvel\Core\Bench\Rigging\RigNext;
use Jorvel\Core\Bench\Rigging\RigVerdict;
use Jorvel\Core\Bench\Rigging\Turn;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Normal;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is learned is that of a plain linear model, and what is turned is the best of all that could be. */
final class RigNextTest extends TestCase
{
    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 25; $seed++) {
            yield "seed {$seed}" => [$seed];
        }
    }

    /** The posterior is that of all readings taken at once: normal equations, solved by elimination. */
    #[DataProvider('seeds')]
    public function test_what_is_learned_is_what_all_readings_together_say(int $seed): void
    {
        $chance = Chance::seeded($seed);
        $n = 1 + $chance->below(4);
        $noise = 0.1 + $chance->uniform();
        $effects = [];
        for ($j = 0; $j < $n; $j++) {
            $effects[] = Effect::of($chance->normal(), 0.05 + 0.3 * $chance->uniform());
        }
        $belief = Belief::before($effects);
        // Unknowns: the value before the first run, and each effect; the prior of the effects is one row each.
        $rows = $sides = $weights = [];
        foreach ($effects as $j => $e) {
            $row = array_fill(0, $n + 1, 0.0);
            $row[$j + 1] = 1.0;
            [$rows[], $sides[], $weights[]] = [$row, $e->mean, 1 / $e->sd ** 2];
        }
        $turned = array_fill(0, $n, 0.0);
        $true = 3 * $chance->normal();
        for ($run = 0; $run < 5; $run++) {
            $value = $true + $noise * 0.5 * $chance->normal();
            foreach ($turned as $j => $t) {
                $value += $effects[$j]->mean * $t;
            }
            if ($run !== 2) {
                [$belief, $z] = $belief->read($value, $noise);
                self::assertNull($z);
                [$rows[], $sides[], $weights[]] = [[1.0, ...$turned], $value, 1 / $noise ** 2];
            }
            $moves = array_map(static fn(): float => (float) ($chance->below(5) - 2), $turned);
            $belief = $belief->turned($moves);
            $turned = array_map(static fn(float $t, float $m): float => $t + $m, $turned, $moves);
        }
        [$mean, $cov] = self::leastSquares($rows, $sides, $weights);
        $at = [1.0, ...$turned];
        $now = $sure = 0.0;
        foreach ($at as $i => $x) {
            $now += $x * $mean[$i];
            foreach ($at as $k => $y) {
                $sure += $x * $cov[$i][$k] * $y;
            }
        }
        self::assertEqualsWithDelta($now, $belief->mean[0], 1e-8);
        self::assertEqualsWithDelta(sqrt($sure), $belief->sd(0), 1e-8);
        for ($j = 1; $j <= $n; $j++) {
            self::assertEqualsWithDelta($mean[$j], $belief->mean[$j], 1e-8);
            self::assertEqualsWithDelta(sqrt($cov[$j][$j]), $belief->sd($j), 1e-8);
        }
    }

    /** Every combination, looked at the long way. */
    #[DataProvider('seeds')]
    public function test_what_is_turned_is_the_best_of_every_combination(int $seed): void
    {
        $chance = Chance::seeded(1000 + $seed);
        [$points, $adjusters, $effects, $matches] = self::sheet($chance);
        $first = $second = [];
        foreach ($points as $p) {
            $first[$p->id] = 1.6 + 2 * $chance->normal();
            $effect = $effects['s0'][$p->id] ?? Effect::of(0, 0);
            $second[$p->id] = $first[$p->id] + $effect->mean + 0.5 * hypot($effect->sd, $p->noise) * $chance->normal();
        }
        $runs = [new MeasuredRun($first, ['s0' => 1.0]), new MeasuredRun($second)];
        $result = RigNext::after($points, $adjusters, $effects, $matches, $runs, Deadline::in(2000));
        self::assertSame([], $result->doubt);
        if ($result->verdict === RigVerdict::Within) {
            self::assertSame([[], true], [$result->moves(), $result->proven]);

            return;
        }
        $beliefs = self::beliefs($points, $adjusters, $effects, $runs);
        $free = array_map(static fn(Adjuster $a): array
            => array_map(static fn(int $k): float => $k * $a->step, range(
                (int) ceil(($a->min - ($a->id === 's0' ? 1 : 0)) / $a->step),
                (int) floor(($a->max - ($a->id === 's0' ? 1 : 0)) / $a->step),
            )), $adjusters);
        $all = [[]];
        foreach ($free as $amounts) {
            $next = [];
            foreach ($all as $some) {
                foreach ($amounts as $a) {
                    $next[] = [...$some, $a];
                }
            }
            $all = $next;
        }
        $found = [];
        foreach ([false, true] as $still) {
            foreach ($all as $i => $amounts) {
                $found[$i] = [...self::p($points, $matches, $beliefs, $amounts, $still), $amounts];
            }
            if (exp(max(array_column($found, 0))) >= 1e-3) {
                break;
            }
        }
        $moved = static fn(array $f): int => count(array_filter($f[2]));
        $keep = static function (array $from, callable $of, float $within): array {
            $most = max(-INF, ...array_map($of, $from));

            return array_filter($from, static fn(array $f): bool => $of($f) >= $most - $within);
        };
        $log = static fn(array $f): float => $f[0];
        $found = $keep(
            $keep($keep($found, $log, -log(0.99)), static fn(array $f): int => -$moved($f), 0.0),
            $log,
            1e-9,
        );
        usort($found, static fn(array $a, array $b): int => $a[1] <=> $b[1]
            ?: array_sum(array_map(abs(...), $a[2])) <=> array_sum(array_map(abs(...), $b[2])));
        self::assertTrue($result->proven);
        self::assertSame($found[0][2], $result->amounts);
        self::assertSame(
            $moved($found[0]) > 0
                ? RigVerdict::Turn
                : ($result->unmet === [] ? RigVerdict::ReadAgain : RigVerdict::OutOfReach),
            $result->verdict,
        );
        self::assertEqualsWithDelta(
            exp(self::p($points, $matches, $beliefs, $found[0][2], false)[0]),
            $result->pWithin,
            1e-9,
        );
    }

    public function test_beyond_so_many_positions_the_bounded_search_comes_near_and_says_so(): void
    {
        $reached = [];
        for ($seed = 1; $seed <= 8; $seed++) {
            $chance = Chance::seeded(2000 + $seed);
            $points = $adjusters = $effects = $readings = [];
            for ($i = 0; $i < 6; $i++) {
                $points[] = ReadPoint::of("p{$i}", -1.0, 1.0, 0.1);
            }
            $true = [];
            for ($j = 0; $j < 6; $j++) {
                $adjusters[] = Adjuster::of("s{$j}", 0.25, -4, 4, Turn::Clockwise);
                $true[] = 0.25 * ($chance->below(17) - 8);
                for ($i = 0; $i < 6; $i++) {
                    $effects["s{$j}"]["p{$i}"] = Effect::of($i === $j ? 1.0 : 0.3 * $chance->normal(), 0.03);
                }
            }
            foreach ($points as $p) {
                $off = 0.0;
                foreach ($adjusters as $j => $a) {
                    $off -= $effects[$a->id][$p->id]->mean * $true[$j];
                }
                $readings[$p->id] = $off;
            }
            $result = RigNext::after(
                $points,
                $adjusters,
                $effects,
                [],
                [new MeasuredRun($readings)],
                Deadline::in(2000),
            );
            self::assertFalse($result->proven);
            $reached[] = $result->pWithin;
        }
        self::assertGreaterThan(0.99, min($reached), 'turned back to where it came from, all is within');
    }

    public function test_a_tail_is_exact_where_a_probability_would_underflow(): void
    {
        foreach ([[0.0, 1.0, -1.96, 1.96, log(0.95000420970356)], [0.0, 1.0, 40.0, 41.0, -804.608442013754]] as $case) {
            [$mean, $sd, $low, $high, $log] = $case;
            self::assertEqualsWithDelta($log, Normal::logBetween($mean, $sd, $low, $high), 1e-9 * abs($log) + 1e-12);
            self::assertEqualsWithDelta($log, Normal::logBetween(-$mean, $sd, -$high, -$low), 1e-9 * abs($log) + 1e-12);
        }
    }

    /** @return array{list<ReadPoint>, list<Adjuster>, array<string, array<string, Effect>>, list<RigMatch>} */
    private static function sheet(Chance $chance): array
    {
        $points = $adjusters = $effects = [];
        for ($i = 0, $many = 1 + $chance->below(4); $i < $many; $i++) {
            $points[] = ReadPoint::of("p{$i}", -1.0, 1.0 + $chance->uniform(), 0.05 + 0.2 * $chance->uniform());
        }
        for ($j = 0, $of = 1 + $chance->below(3); $j < $of; $j++) {
            $adjusters[] = Adjuster::of("s{$j}", [0.5, 1.0][$chance->below(2)], -2, 3, Turn::Clockwise);
            $effects["s{$j}"] = [];
            foreach ($points as $p) {
                if ($chance->below(4) > 0) {
                    $effects["s{$j}"][$p->id] = Effect::of($chance->normal(), 0.2 * $chance->uniform());
                }
            }
        }
        $matches = count($points) > 1 && $chance->below(2) === 0 ? [RigMatch::of('p0', 'p1', 0.8)] : [];

        return [$points, $adjusters, $effects, $matches];
    }

    /**
     * @param list<ReadPoint> $points
     * @param list<Adjuster> $adjusters
     * @param array<string, array<string, Effect>> $effects
     * @param list<MeasuredRun> $runs
     *
     * @return list<Belief>
     */
    private static function beliefs(array $points, array $adjusters, array $effects, array $runs): array
    {
        $out = [];
        foreach ($points as $p) {
            $belief = Belief::before(array_map(static fn(Adjuster $a): ?Effect
                => $effects[$a->id][$p->id] ?? null, $adjusters));
            foreach ($runs as $run) {
                [$belief] = $belief->read($run->readings[$p->id], $p->noise);
                $belief = $belief->turned(array_map(static fn(Adjuster $a): float
                    => $run->moves[$a->id] ?? 0.0, $adjusters));
            }
            $out[] = $belief;
        }

        return $out;
    }

    /**
     * @param list<ReadPoint> $points
     * @param list<RigMatch> $matches
     * @param list<Belief> $beliefs
     * @param list<float> $amounts
     *
     * @return array{float, float} ln p, and how far from the middles
     */
    private static function p(array $points, array $matches, array $beliefs, array $amounts, bool $still): array
    {
        $log = $off = 0.0;
        $next = [];
        foreach ($points as $i => $p) {
            $turned = $beliefs[$i]->turned($amounts);
            $variance = ($still ? $beliefs[$i] : $turned)->cov[0][0] + $p->noise ** 2;
            $next[$p->id] = [$turned->mean[0], $variance];
            $log += Normal::logBetween($turned->mean[0], sqrt($variance), $p->min, $p->max);
            $off += (($turned->mean[0] - ($p->min + $p->max) / 2) / (($p->max - $p->min) / 2)) ** 2;
        }
        foreach ($matches as $m) {
            $log += Normal::logBetween(
                $next[$m->a][0] - $next[$m->b][0],
                sqrt($next[$m->a][1] + $next[$m->b][1]),
                -$m->within,
                $m->within,
            );
        }

        return [$log, $off];
    }

    /**
     * @param non-empty-list<array<int, float>> $rows
     * @param list<float> $sides
     * @param list<float> $weights
     *
     * @return array{array<int, float>, array<int, array<int, float>>} the answer, and its covariance
     */
    private static function leastSquares(array $rows, array $sides, array $weights): array
    {
        $n = count($rows[0]);
        $m = [];
        for ($i = 0; $i < $n; $i++) {
            for ($k = 0; $k < $n; $k++) {
                $m[$i][$k] = 0.0;
                foreach ($rows as $r => $row) {
                    $m[$i][$k] += $weights[$r] * $row[$i] * $row[$k];
                }
            }
            for ($k = 0; $k < $n; $k++) {
                $m[$i][$n + $k] = $i === $k ? 1.0 : 0.0;
            }
        }
        for ($i = 0; $i < $n; $i++) {
            $pivot = $m[$i][$i];
            $m[$i] = array_map(static fn(float $v): float => $v / $pivot, $m[$i]);
            for ($k = 0; $k < $n; $k++) {
                $by = $m[$k][$i];
                if ($k !== $i) {
                    $m[$k] = array_map(static fn(float $v, float $w): float => $v - $by * $w, $m[$k], $m[$i]);
                }
            }
        }
        $cov = array_map(static fn(array $row): array => array_slice($row, $n), $m);
        $mean = array_fill(0, $n, 0.0);
        foreach ($rows as $r => $row) {
            for ($i = 0; $i < $n; $i++) {
                for ($k = 0; $k < $n; $k++) {
                    $mean[$i] += $cov[$i][$k] * $weights[$r] * $row[$k] * $sides[$r];
                }
            }
        }

        return [$mean, $cov];
    }
}
