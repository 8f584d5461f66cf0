<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Visits;

use Jorvel\Core\Contract\Door;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Visits\Findings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How much more an inspection will turn up. */
final class FindingsTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, int, float}> shape, rate, done, found, left */
    public static function inspections(): iterable
    {
        yield 'before anything is looked at' => [2.0, 20.0, 0.0, 0, 100.0];
        yield 'half way, more than thought' => [2.0, 20.0, 40.0, 9, 60.0];
        yield 'hardly anything left' => [3.5, 10.0, 90.0, 4, 0.5];
        yield 'a vague prior' => [0.3, 1.0, 5.0, 0, 50.0];
        yield 'hundreds of findings' => [50.0, 25.0, 100.0, 260, 120.0];
    }

    /** The distribution beside its own definition: chances summed by gamma functions, as a mixture of Poissons. */
    #[DataProvider('inspections')]
    public function test_quantiles_are_the_smallest_that_reach_their_chance(
        float $shape,
        float $rate,
        float $done,
        int $found,
        float $left,
    ): void {
        $findings = Findings::after($shape, $rate, $done, $found, $left);
        $r = $shape + $found;
        $p = ($rate + $done) / ($rate + $done + $left);
        $pmf = static fn(int $n): float => exp(
            self::logGamma($n + $r) - self::logGamma($r) - self::logGamma($n + 1) + $r * log($p) + $n * log(1 - $p),
        );
        foreach ([0.1, 0.5, 0.9] as $chance) {
            $sum = 0.0;
            for ($n = 0; ; $n++) {
                $sum += $pmf($n);
                if ($sum >= $chance - 1e-12) {
                    break;
                }
            }
            self::assertSame($n, $findings->quantile($chance));
        }
        $mean = 0.0;
        for ($n = 0; $n < 3000; $n++) {
            $mean += $n * $pmf($n);
        }
        self::assertEqualsWithDelta($mean, $findings->expectedMore, 1e-6 * max(1, $mean), 'the mean is r (1 − p) / p');
    }

    /** Lanczos' approximation, good to about 1e-13. */
    private static function logGamma(float $x): float
    {
        $sum = 0.99999999999980993;
        foreach ([
            676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905,
            -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
        ] as $i => $c) {
            $sum += $c / ($x + $i);
        }

        return 0.5 * log(2 * M_PI) + ($x - 0.5) * log($x + 6.5) - ($x + 6.5) + log($sum);
    }

    public function test_the_chance_to_fit(): void
    {
        $findings = Findings::after(2.0, 20.0, 40.0, 9, 60.0);
        // Where every fix takes three hours, 30 hours hold ten of them.
        $ten = 0.0;
        for ($n = 0; $n <= 10; $n++) {
            $ten += exp(
                self::logGamma($n + 11) - self::logGamma(11) - self::logGamma($n + 1) + 11 * log(0.5) + $n * log(0.5),
            );
        }
        self::assertEqualsWithDelta($ten, $findings->chanceToFit(3.0, 0.0, 30.0), 1e-9);
        self::assertEqualsWithDelta(
            $ten,
            $findings->chanceToFit(3.0, 1e-6, 30.0 + 1e-3, 1, 20_000),
            0.012,
            'and by draws nearly so',
        );
        self::assertSame([0.0, 1.0], [$findings->chanceToFit(3.0, 0.5, -1.0), $findings->chanceToFit(3.0, 0.5, 1e9)]);
        self::assertSame(
            $findings->chanceToFit(3.0, 0.8, 53.0, 4),
            $findings->chanceToFit(3.0, 0.8, 53.0, 4),
            'the same seed, the same chance',
        );
        $seeds = array_map(static fn(int $s): float => $findings->chanceToFit(3.0, 0.8, 53.0, $s), range(1, 6));
        self::assertLessThan(0.03, max($seeds) - min($seeds), 'another seed hardly another chance');
        $rooms = array_map(static fn(float $room): float => $findings->chanceToFit(3.0, 0.8, $room), [
            0.0, 10.0, 30.0, 60.0, 120.0,
        ]);
        $sorted = $rooms;
        sort($sorted);
        self::assertSame($sorted, $rooms, 'more room, more chance');
        self::assertEqualsWithDelta(exp(11 * log(0.5)), $rooms[0], 0.002, 'no room fits no finding');
    }

    public function test_it_adds_up_through_its_door(): void
    {
        $of = static fn(string $more): \stdClass => json_decode(Door::compute(
            'findings',
            '{"prior":{"shape":4,"rate":50},"exposure_done":30,"found":6,"fix_hours":{"median":2,"sigma":0.5},"open_fix_hours":10,"capacity_hours":40'
                .$more.'}',
        ));
        $half = $of(',"exposure_left":40');
        self::assertEqualsWithDelta([10 * 40 / 80, 6 + 5], [$half->expected_more, $half->expected_total], 1e-12);
        self::assertEqualsWithDelta(5 * 2 * exp(0.125), $half->expected_fix_hours, 1e-12, 'without the open ones');
        $none = $of(',"exposure_left":0');
        self::assertEquals(
            [0, 0, 0, 0, 6, 0, 1],
            array_values(get_object_vars($none)),
            'nothing left to look at: what is open fits',
        );
        $full = json_decode(Door::compute(
            'findings',
            '{"prior":{"shape":4,"rate":50},"exposure_done":30,"found":6,"exposure_left":0,"fix_hours":{"median":2,"sigma":0.5},"open_fix_hours":41,"capacity_hours":40}',
        ));
        self::assertEquals(0, $full->p_fit, 'what is open alone is too much');
        $this->expectException(InputError::class);
        Findings::after(4, 1, 0, 0, 1e9);
    }
}
