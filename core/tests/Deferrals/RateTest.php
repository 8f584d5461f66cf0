<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Deferrals;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Deferrals\Rate;
use Jorvel\Core\Shared\Binomial;
use Jorvel\Core\Shared\Gamma;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Is this happening too often. */
final class RateTest extends TestCase
{
    /**
     * Bounds summed term by term to forty figures beside it.
     *
     * @return iterable<string, array{array<string, mixed>, array<string, mixed>}>
     */
    public static function cases(): iterable
    {
        yield 'three' => [
            ['events' => 3, 'exposure' => 1200],
            ['rate' => 2.5, 'low' => 0.68140953930329444, 'high' => 6.46138043994393909, 'expected' => null,
                'p_more' => null, 'alert' => false],
        ];
        yield 'none' => [['events' => 0, 'exposure' => 1000], ['rate' => 0.0, 'low' => 0.0, 'high' => -log(0.05)]];
        yield 'per hour' => [['events' => 3, 'exposure' => 1200, 'per' => 1],
            ['rate' => 0.0025, 'low' => 0.00068140953930329444]];
        yield 'beside the past' => [
            ['events' => 3, 'exposure' => 1200, 'baseline' => ['events' => 40, 'exposure' => 60000]],
            ['expected' => 0.8, 'p_more' => 0.052061245100445, 'alert' => false],
        ];
        yield 'none in both' => [
            ['events' => 0, 'exposure' => 5, 'baseline' => ['events' => 0, 'exposure' => 5]],
            ['expected' => 0.0, 'p_more' => 1.0, 'alert' => false],
        ];
        yield 'all in one' => [
            ['events' => 6, 'exposure' => 5, 'baseline' => ['events' => 0, 'exposure' => 5]],
            ['p_more' => 0.015625, 'alert' => true],
        ];
        yield 'just not alarming' => [
            ['events' => 5, 'exposure' => 5, 'baseline' => ['events' => 0, 'exposure' => 5]],
            ['p_more' => 0.03125, 'alert' => false],
        ];
    }

    /**
     * @param array<string, mixed> $given
     * @param array<string, mixed> $expect
     */
    #[DataProvider('cases')]
    public function test_it(array $given, array $expect): void
    {
        $answer = json_decode(Door::compute('rate', (string) json_encode($given)), true);
        self::assertEqualsWithDelta($expect, array_intersect_key($answer, $expect), 1e-12);
    }

    public function test_at_its_bounds_a_count_is_as_rare_as_the_confidence_says(): void
    {
        foreach ([1, 2, 7, 40, 300, 5000, 1_000_000] as $events) {
            foreach ([0.5, 0.9, 0.999] as $confidence) {
                $rate = Rate::of($events, 1.0, 1.0, $confidence);
                $tail = (1 - $confidence) / 2;
                self::assertEqualsWithDelta($tail, Gamma::atMost($events, $rate->low), 1e-10);
                self::assertEqualsWithDelta($tail, Gamma::above($events + 1, $rate->high), 1e-10);
                self::assertTrue($rate->low < $events && $events < $rate->high);
            }
        }
    }

    public function test_gamma_and_binomial_agree_with_sums_of_their_own_terms(): void
    {
        foreach ([0.3, 2.0, 9.5, 30.0] as $mean) {
            $term = exp(-$mean);
            $sum = 0.0;
            for ($n = 1; $n < 60; $n++) {
                $sum += $term;
                $term *= $mean / $n;
                self::assertEqualsWithDelta($sum, Gamma::above($n, $mean), 1e-12, "{$n} of {$mean}");
            }
        }
        foreach ([0.02, 0.4, 0.97] as $p) {
            $term = (1 - $p) ** 50;
            $tail = 1.0;
            for ($k = 0; $k <= 50; $k++) {
                self::assertEqualsWithDelta($term, Binomial::exactly($k, 50, $p), 1e-13);
                self::assertEqualsWithDelta($tail, Binomial::atLeast($k, 50, $p), 1e-11, "{$k} of 50 at {$p}");
                $tail -= $term;
                $term *= (50 - $k) / ($k + 1) * $p / (1 - $p);
            }
        }
        self::assertEqualsWithDelta(0.31731050786291415, Gamma::above(0.5, 0.5), 1e-14, 'a normal beyond one sigma');
    }
}
