<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench;

use Jorvel\Core\Contract\Door;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The contract of `limit`, clause by clause, through the door. */
final class LimitContractTest extends TestCase
{
    /**
     * @return iterable<string, array{array<string, mixed>, string, float, float, list<string>}> what is given; verdict,
     *   value, margin, reasons
     */
    public static function readings(): iterable
    {
        $gauge = static fn(float $uncertainty, string $unit = 'bar', float $low = 0, float $high = 100, string $due = '2026-12-31'): array
            => ['instrument' => [
                'unit' => $unit, 'resolution' => 0.1, 'uncertainty' => $uncertainty, 'range' => [$low, $high],
                'cal_due' => $due,
            ]];
        $min = ['limit' => ['kind' => 'min', 'unit' => 'bar', 'min' => 40]];
        $max = ['limit' => ['kind' => 'max', 'unit' => 'bar', 'max' => 40]];
        $range = ['limit' => ['kind' => 'range', 'unit' => 'bar', 'min' => 40, 'max' => 44]];
        $nominal = ['limit' => ['kind' => 'nominal', 'unit' => 'bar', 'nominal' => 40, 'plus' => 3, 'minus' => 1]];
        $guarded = ['decision' => 'guarded'];

        yield 'at least: above' => [['value' => 41, ...$min], 'pass', 41, 1, []];
        yield 'at least: on it' => [['value' => 40, ...$min], 'pass', 40, 0, []];
        yield 'at least: below' => [['value' => 39, ...$min], 'fail', 39, -1, []];
        yield 'at most: below' => [['value' => 39, ...$max], 'pass', 39, 1, []];
        yield 'at most: above' => [['value' => 41, ...$max], 'fail', 41, -1, []];
        yield 'between: the nearer limit is the margin' => [['value' => 43, ...$range], 'pass', 43, 1, []];
        yield 'between: a band of nothing' => [
            ['value' => 40, 'limit' => ['kind' => 'range', 'unit' => 'bar', 'min' => 40, 'max' => 40]],
            'pass',
            40,
            0,
            [],
        ];
        yield 'around: plus' => [['value' => 43, ...$nominal], 'pass', 43, 0, []];
        yield 'around: minus' => [['value' => 38.5, ...$nominal], 'fail', 38.5, -0.5, []];

        yield 'another unit: value and margin in the limit\'s' => [
            ['value' => 4.1, 'unit' => 'kPa', 'limit' => ['kind' => 'max', 'unit' => 'Pa', 'max' => 4000]],
            'fail',
            4100,
            -100,
            [],
        ];
        yield 'a temperature: no mere factor' => [
            ['value' => 50, 'unit' => 'F', 'limit' => ['kind' => 'range', 'unit' => 'C', 'min' => 5, 'max' => 15]],
            'pass',
            10,
            5,
            [],
        ];
        yield 'a temperature: an uncertainty is a difference' => [
            [
                'value' => 14.5, 'unit' => 'C', 'limit' => ['kind' => 'max', 'unit' => 'C', 'max' => 15],
                ...$gauge(1.8, 'F', -40, 200), ...$guarded,
            ],
            'marginal',
            14.5,
            0.5,
            [],
        ];
        yield 'the Greek mu is taken for the micro sign' => [
            ['value' => 5, 'unit' => "\u{03BC}m", 'limit' => ['kind' => 'max', 'unit' => 'mm', 'max' => 0.01]],
            'pass',
            0.005,
            0.005,
            [],
        ];

        yield 'guarded: all the uncertainty in hand'
            => [['value' => 41, ...$min, ...$gauge(1), ...$guarded], 'pass', 41, 1, []];
        yield 'guarded: a little less'
            => [['value' => 40.9, ...$min, ...$gauge(1), ...$guarded], 'marginal', 40.9, 0.9, []];
        yield 'guarded: outside by just the uncertainty'
            => [['value' => 39, ...$min, ...$gauge(1), ...$guarded], 'marginal', 39, -1, []];
        yield 'guarded: outside by more'
            => [['value' => 38.9, ...$min, ...$gauge(1), ...$guarded], 'fail', 38.9, -1.1, []];
        yield 'guarded: on every side'
            => [['value' => 43.9, ...$range, ...$gauge(0.4), ...$guarded], 'marginal', 43.9, 0.1, []];
        yield 'guarded: no uncertainty at all'
            => [['value' => 40, ...$min, ...$gauge(0), ...$guarded], 'pass', 40, 0, []];
        yield 'simple: the uncertainty is not looked at'
            => [['value' => 40.1, ...$min, ...$gauge(1)], 'pass', 40.1, 0.1, []];

        yield 'calibration: the last day still counts'
            => [['value' => 41, ...$min, ...$gauge(0.1, due: '2026-05-05')], 'pass', 41, 1, []];
        yield 'calibration: the day after does not' => [
            ['value' => 41, ...$min, ...$gauge(0.1, due: '2026-05-04')],
            'invalid',
            41,
            1,
            ['cal_expired'],
        ];
        yield 'range: its ends still count' => [['value' => 100, ...$min, ...$gauge(0.1)], 'pass', 100, 60, []];
        yield 'range: beyond them not'
            => [['value' => 100.1, ...$min, ...$gauge(0.1)], 'invalid', 100.1, 60.1, ['out_of_instrument_range']];
        yield 'range: below it not either'
            => [['value' => 2, ...$max, ...$gauge(0.1, low: 10)], 'invalid', 2, 38, ['out_of_instrument_range']];
        yield 'at most: far below is as good'
            => [['value' => -12, ...$max, ...$gauge(0.1, low: -40)], 'pass', -12, 52, []];
        yield 'guarded at most: far below is as good'
            => [['value' => -12, ...$max, ...$gauge(1, low: -40), ...$guarded], 'pass', -12, 52, []];
        yield 'range: in the instrument\'s own unit' => [
            ['value' => 41, ...$min, ...$gauge(1, 'psi', 0, 500)],
            'invalid',
            41,
            1,
            ['out_of_instrument_range'],
        ];
        yield 'coarse: a band of less than eight uncertainties'
            => [['value' => 42, ...$range, ...$gauge(0.6)], 'pass', 42, 2, ['coarse_instrument']];
        yield 'coarse: just eight is fine enough' => [['value' => 42, ...$range, ...$gauge(0.5)], 'pass', 42, 2, []];
        yield 'coarse: of a nominal with its two sides'
            => [['value' => 40, ...$nominal, ...$gauge(0.6)], 'pass', 40, 1, ['coarse_instrument']];
        yield 'coarse: not said of one side alone' => [['value' => 80, ...$min, ...$gauge(30)], 'pass', 80, 40, []];
        yield 'resolution plays no part' => [['value' => 40.05, ...$min, ...$gauge(0)], 'pass', 40.05, 0.05, []];
    }

    /**
     * @param array<string, mixed> $given
     * @param list<string> $reasons
     */
    #[DataProvider('readings')]
    public function test_a_reading(array $given, string $verdict, float $value, float $margin, array $reasons): void
    {
        $answer = json_decode(
            Door::compute('limit', (string) json_encode(['unit' => 'bar', 'on' => '2026-05-05', ...$given])),
            true,
        );
        self::assertSame([$verdict, $reasons], [$answer['verdict'], $answer['reasons']]);
        self::assertEqualsWithDelta([$value, $margin], [$answer['value'], $answer['margin']], 1e-9);
    }
}
