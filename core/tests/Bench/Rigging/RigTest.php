<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench\Rigging;

use Jorvel\Core\Bench\Rigging\Adjuster;
use Jorvel\Core\Bench\Rigging\Rig;
use Jorvel\Core\Bench\Rigging\RigMatch;
use Jorvel\Core\Bench\Rigging\RigPoint;
use Jorvel\Core\Bench\Rigging\RigResult;
use Jorvel\Core\Bench\Rigging\Turn;
use PHPUnit\Framework\TestCase;

final class RigTest extends TestCase
{
    /** Against every combination there is, on random small sheets. */
    public function test_nothing_better_exists(): void
    {
        mt_srand(11);
        for ($case = 0; $case < 150; $case++) {
            $points = $adjusters = $effects = [];
            for ($p = 0, $n = mt_rand(1, 4); $p < $n; $p++) {
                $low = mt_rand(-20, 20) / 4;
                $points[] = RigPoint::of(
                    "p{$p}",
                    mt_rand(-40, 40) / 4,
                    $low,
                    $low + mt_rand(0, 12) / 4,
                    null,
                    mt_rand(0, 3),
                );
            }
            for ($a = 0, $m = mt_rand(1, 3); $a < $m; $a++) {
                $adjusters[] = Adjuster::of(
                    "a{$a}",
                    [0.25, 0.5, 1.0][mt_rand(0, 2)],
                    -mt_rand(0, 8) / 4,
                    mt_rand(0, 8) / 4,
                    Turn::Clockwise,
                );
                foreach ($points as $point) {
                    if (mt_rand(0, 2) > 0) {
                        $effects["a{$a}"][$point->id] = mt_rand(-8, 8) / 4;
                    }
                }
            }
            $matches = $n > 1 ? [RigMatch::of('p0', 'p1', mt_rand(0, 8) / 4)] : [];
            $result = Rig::solve($points, $adjusters, $effects, $matches);
            $amounts = [];
            foreach ($result->moves as $move) {
                $amounts[$move['adjuster']] = $move['direction'] === Turn::Clockwise
                    ? $move['amount']
                    : -$move['amount'];
            }
            foreach ($adjusters as $adjuster) {
                $turned = $amounts[$adjuster->id] ?? 0.0;
                self::assertTrue(
                    $adjuster->min - 1e-9 <= $turned && $turned <= $adjuster->max + 1e-9,
                    "case {$case}: {$adjuster->id} is turned past its travel",
                );
                self::assertEqualsWithDelta(
                    round($turned / $adjuster->step),
                    $turned / $adjuster->step,
                    1e-9,
                    'in whole steps',
                );
            }
            $said = $this->score($points, $effects, $matches, $amounts);
            self::assertTrue($result->proven);
            self::assertCount($said[0], $result->unmet);
            foreach ($this->everything($adjusters) as $other) {
                self::assertFalse(
                    $this->better($this->score($points, $effects, $matches, $other), $said),
                    "case {$case}: ".json_encode($other).' beats '.json_encode($amounts),
                );
            }
        }
    }

    /** A screw with travel one way only is not turned the other way, however well that would do. */
    public function test_each_end_of_an_adjusters_travel_stops_it(): void
    {
        foreach ([[-1.0, 4.0, 6.0], [-4.0, 1.0, -6.0]] as [$min, $max, $off]) {
            $result = Rig::solve(
                [RigPoint::of('p', 10 + $off, 9.9, 10.1)],
                [Adjuster::of('a', 0.5, $min, $max, Turn::Clockwise)],
                ['a' => ['p' => 1.0]],
            );
            self::assertSame([['p'], true], [$result->unmet, $result->proven], 'the travel does not reach');
            $result = Rig::solve(
                [RigPoint::of('p', 10 - $off / 1.5, 9.9, 10.1)],
                [Adjuster::of('a', 0.5, $min, $max, Turn::Clockwise)],
                ['a' => ['p' => 1.0]],
            );
            self::assertSame([4.0, []], [$result->moves[0]['amount'], $result->unmet], 'to its very end it does');
        }
    }

    public function test_a_large_sheet_is_answered_and_says_it_is_not_proven(): void
    {
        $points = $adjusters = $effects = [];
        for ($i = 0; $i < 8; $i++) {
            $points[] = RigPoint::of("p{$i}", 10.0 + $i, 0, 1);
            $adjusters[] = Adjuster::of("a{$i}", 0.25, -25, 25, Turn::Lengthen);
            $effects["a{$i}"] = ["p{$i}" => 1.0, 'p'.(($i + 1) % 8) => 0.1];
        }
        $result = Rig::solve($points, $adjusters, $effects);
        self::assertFalse($result->proven);
        self::assertLessThan(8, count($result->unmet));
    }

    public function test_what_already_stands_is_left_alone(): void
    {
        $result = Rig::solve([RigPoint::of('a', 1.9, 0, 2)], [Adjuster::of('s', 1, -5, 5, Turn::Raise)], [
            's' => ['a' => 0.5],
        ]);
        self::assertSame([[], [], []], [$result->moves, $result->unmet, $result->recheck]);
        self::assertSame([], self::keys(Rig::solve([], [], [])));
    }

    /** @return list<string> */
    private static function keys(RigResult $result): array
    {
        return array_keys($result->predicted);
    }

    /**
     * @param list<Adjuster> $adjusters
     *
     * @return list<array<string, float>>
     */
    private function everything(array $adjusters): array
    {
        $all = [[]];
        foreach ($adjusters as $adjuster) {
            $next = [];
            for ($k = (int) ceil($adjuster->min / $adjuster->step); $k * $adjuster->step <= $adjuster->max; $k++) {
                foreach ($all as $one) {
                    $next[] = [...$one, $adjuster->id => $k * $adjuster->step];
                }
            }
            $all = $next;
        }

        return $all;
    }

    /**
     * @param list<RigPoint> $points
     * @param array<string, array<string, float>> $effects
     * @param list<RigMatch> $matches
     * @param array<string, float> $amounts
     *
     * @return array{int, int, float, float} unmet, moved, cost, amount
     */
    private function score(array $points, array $effects, array $matches, array $amounts): array
    {
        $unmet = 0;
        $cost = 0.0;
        $at = [];
        foreach ($points as $point) {
            $value = $point->value;
            foreach ($amounts as $id => $amount) {
                $value += ($effects[$id][$point->id] ?? 0.0) * $amount;
            }
            $at[$point->id] = $value;
            $unmet += $value >= $point->min && $value <= $point->max ? 0 : 1;
            $cost += $point->weight * ($value - $point->aim) ** 2;
        }
        foreach ($matches as $match) {
            $unmet += abs($at[$match->a] - $at[$match->b]) <= $match->within ? 0 : 1;
        }

        return [$unmet, count(array_filter($amounts)), $cost, (float) array_sum(array_map(abs(...), $amounts))];
    }

    /**
     * @param array{int, int, float, float} $a
     * @param array{int, int, float, float} $b
     */
    private function better(array $a, array $b): bool
    {
        foreach ([0, 1, 2, 3] as $i) {
            if (abs($a[$i] - $b[$i]) > 1e-9) {
                return $a[$i] < $b[$i];
            }
        }

        return false;
    }
}
