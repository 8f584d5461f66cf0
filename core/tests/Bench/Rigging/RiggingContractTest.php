<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench\Rigging;

use Jorvel\Core\Bench\Rigging\Vernier;
use Jorvel\Core\Contract\Door;
use Jorvel\Core\Shared\Chance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The contracts of `rig_next`, `vernier` and `turnbuckle`, clause by clause. */
final class RiggingContractTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, array<string, mixed>}> */
    public static function sheets(): iterable
    {
        $point = static fn(string $id, float $min = 0, float $max = 2, float $noise = 0.1): array => [
            'id' => $id, 'min' => $min, 'max' => $max, 'noise' => $noise,
        ];
        $screw = static fn(string $id, float $min = -4, float $max = 4, float $step = 1): array => [
            'id' => $id, 'step' => $step, 'min' => $min, 'max' => $max, 'positive' => 'cw',
        ];
        $run = static fn(array $readings, array $moves = []): array => [
            'readings' => (object) $readings, 'moves' => (object) $moves,
        ];
        $one = ['points' => [$point('a')], 'adjusters' => [$screw('s')], 'effects' => ['s' => ['a' => 1]]];

        yield 'within: nothing is turned, and it is proven' => ['rig_next', [...$one, 'runs' => [$run(['a' => 1.9])]], [
            'verdict' => 'within', 'moves' => [], 'unmet' => [], 'at_stop' => [], 'proven' => true,
        ]];
        yield 'within as it was read, but turned after it: nobody knows' => ['rig_next', [
            ...$one, 'runs' => [$run(['a' => 1], ['s' => 2])],
        ], ['verdict' => 'turn', 'moves' => [['adjuster' => 's', 'amount' => 2, 'direction' => 'ccw']]]];
        yield 'a move of nought is none' => ['rig_next', [...$one, 'runs' => [$run(['a' => 1], ['s' => 0])]], [
            'verdict' => 'within',
        ]];
        yield 'a bare number is doubted by the per cent, a small one by those of the greatest' => ['rig_next', [
            'points' => [$point('a')], 'adjusters' => [$screw('s'), $screw('t')],
            'effects' => ['s' => ['a' => 2], 't' => ['a' => 0]], 'effect_pct' => 10, 'runs' => [$run(['a' => 1])],
        ], ['learned' => ['s' => ['a' => ['mean' => 2, 'sd' => 0.2]], 't' => ['a' => ['mean' => 0, 'sd' => 0.08]]]]];
        yield 'a doubted reading asks for another, also when it was turned after it' => ['rig_next', [
            ...$one, 'runs' => [$run(['a' => 1]), $run(['a' => 3], ['s' => 1])],
        ], ['verdict' => 'read_again', 'moves' => [], 'at_stop' => [], 'now' => ['a' => ['mean' => 4]]]];
        yield 'what was doubted earlier is taken for what it was from then on' => ['rig_next', [
            ...$one, 'runs' => [$run(['a' => 1]), $run(['a' => 3]), $run(['a' => 3])],
        ], ['verdict' => 'turn', 'doubt' => [['run' => 1, 'point' => 'a']]]];
        yield 'out of reach: the stop is named' => ['rig_next', [
            'points' => [$point('a')], 'adjusters' => [$screw('s', -1, 1)], 'effects' => ['s' => ['a' => 1]],
            'runs' => [$run(['a' => 9], ['s' => -1]), $run(['a' => 8])],
        ], ['verdict' => 'out_of_reach', 'moves' => [], 'unmet' => ['a'], 'at_stop' => ['s']]];
        yield 'so far as it goes: turned to its stop, which is then in the way' => ['rig_next', [
            'points' => [$point('a')], 'adjusters' => [$screw('s', -1, 1)], 'effects' => ['s' => ['a' => 1]],
            'runs' => [$run(['a' => 9])],
        ], ['verdict' => 'turn', 'at_stop' => ['s'], 'unmet' => ['a']]];
        yield 'two must read alike' => ['rig_next', [
            'points' => [$point('a', 0, 10), $point('b', 0, 10)], 'adjusters' => [$screw('s')],
            'effects' => ['s' => ['a' => 1]], 'match' => [['points' => ['a', 'b'], 'within' => 0.5]],
            'runs' => [$run(['a' => 4, 'b' => 6])],
        ], ['verdict' => 'turn', 'moves' => [['adjuster' => 's', 'amount' => 2]], 'recheck' => ['a'], 'unmet' => []]];
        yield 'a point that was not read this time is known from before' => ['rig_next', [
            'points' => [$point('a'), $point('b')], 'adjusters' => [$screw('s')],
            'effects' => ['s' => ['a' => 1, 'b' => 1]], 'runs' => [$run(['a' => 3, 'b' => 3], ['s' => -2]),
                $run(['a' => 1])],
        ], ['verdict' => 'read_again', 'moves' => [], 'unmet' => []]];
        yield 'without points it is within' => ['rig_next', [
            'points' => [], 'adjusters' => [$screw('s')], 'effects' => ['s' => (object) []], 'runs' => [$run([])],
        ], ['verdict' => 'within', 'learned' => ['s' => []]]];
        yield 'one serration forward and one back' => ['vernier', [
            'unit_teeth' => 36, 'lever_teeth' => 40, 'required_deg' => -2,
        ], ['unit_steps' => -2, 'lever_steps' => 2, 'achieved_deg' => -2, 'fine_step_deg' => 1]];
        yield 'equal teeth have no fine step' => ['vernier', [
            'unit_teeth' => 36, 'lever_teeth' => 36, 'required_deg' => 14,
        ], ['unit_steps' => 0, 'lever_steps' => 1, 'error_deg' => -4, 'fine_step_deg' => 0]];
        $buckle = ['pitch_mm' => 1, 'horn_radius_mm' => 100, 'max_threads_showing' => 3];
        $threads = static fn(array $out, array $in): array => [
            'threads_showing' => ['let_out' => $out, 'take_up' => $in],
        ];
        yield 'nothing to turn' => ['turnbuckle', [...$buckle, ...$threads([1, 1], [2, 2]), 'error_deg' => 0], [
            'turns' => 0, 'residual_deg' => 0, 'verdict' => 'pass', 'threads_after' => ['let_out' => [1, 1]],
        ]];
        yield 'too many showing, none left, and uneven' => ['turnbuckle', [
            ...$buckle, ...$threads([2, 3.5], [0, 1]), 'error_deg' => 1,
        ], [
            'turns' => 1, 'verdict' => 'fail', 'reasons' => ['threads_exposed', 'no_thread_left', 'uneven_ends'],
            'threads_after' => ['let_out' => [3, 4.5], 'take_up' => [0, 0]],
        ]];
        yield 'never beyond the radius' => ['turnbuckle', [
            'pitch_mm' => 60, 'horn_radius_mm' => 100, 'max_threads_showing' => 3, 'error_deg' => 80,
            'step_turns' => 1, ...$threads([1, 1], [1, 1]),
        ], ['turns' => 0, 'residual_deg' => 80]];
    }

    /**
     * @param array<string, mixed> $sheet
     * @param array<string, mixed> $expect of its answer
     */
    #[DataProvider('sheets')]
    public function test_a_sheet_is_answered_as_the_contract_says(string $kind, array $sheet, array $expect): void
    {
        $is = json_decode(Door::compute($kind, json_encode($sheet, JSON_THROW_ON_ERROR)), true);
        self::like($expect, (array) $is, '');
    }

    public function test_the_washer_comes_nearest_with_the_fewest_steps_of_all_that_there_are(): void
    {
        $chance = Chance::seeded(5);
        for ($n = 0; $n < 200; $n++) {
            [$unit, $lever] = [2 + $chance->below(30), 2 + $chance->below(30)];
            $required = round(30 * $chance->normal(), 1);
            $is = Vernier::turn($unit, $lever, $required);
            $best = [INF, 0, 0];
            for ($i = -intdiv($unit, 2); $i <= intdiv($unit, 2); $i++) {
                for ($j = -intdiv($lever, 2); $j <= intdiv($lever, 2); $j++) {
                    $off = round(abs($i * 360 / $unit + $j * 360 / $lever - $required), 9);
                    $rank = [$off, abs($i) + abs($j), abs($i)];
                    $best = $rank < $best ? $rank : $best;
                }
            }
            self::assertEqualsWithDelta($best[0], abs($is->error), 1e-8);
            self::assertSame(
                [$best[1], $best[2]],
                [abs($is->unitSteps) + abs($is->leverSteps), abs($is->unitSteps)],
                "{$unit} and {$lever} teeth, {$required}°",
            );
        }
    }

    /**
     * @param array<array-key, mixed> $expect
     * @param array<array-key, mixed> $is
     */
    private static function like(array $expect, array $is, string $path): void
    {
        if (array_is_list($expect)) {
            self::assertCount(count($expect), $is, $path);
        }
        foreach ($expect as $key => $value) {
            self::assertArrayHasKey($key, $is, $path);
            match (true) {
                is_array($value) => self::like($value, (array) $is[$key], "{$path}.{$key}"),
                is_int($value), is_float($value) => self::assertEqualsWithDelta(
                    $value,
                    $is[$key],
                    $path === '.now.a' ? 0.2 : 1e-9,
                    "{$path}.{$key}",
                ),
                default => self::assertSame($value, $is[$key], "{$path}.{$key}"),
            };
        }
    }
}
