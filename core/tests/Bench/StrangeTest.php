<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench;

use Jorvel\Core\Bench\Strange;
use Jorvel\Core\Bench\UsualRange;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Legal, and far from what was read there before. */
final class StrangeTest extends TestCase
{
    /**
     * @return iterable<string, array{float, list<float>, list<float>, float, string}> value, own, fleet, grain, said
     */
    public static function cases(): iterable
    {
        $own = [41.0, 42.0, 41.5, 42.0, 41.0];
        yield 'as ever' => [41.8, $own, [], 0.5, ''];
        yield 'far above its own' => [47.0, $own, [], 0.5, 'own 41 to 42'];
        yield 'far below its own' => [36.0, $own, [40.0, 41.0, 36.0, 37.0], 0.5, 'own 41 to 42'];
        // They never differed: two least steps are still the same reading.
        yield 'two steps from always the same' => [43.0, [42.0, 42.0, 42.0, 42.0], [], 0.5, ''];
        yield 'three steps from always the same' => [43.5, [42.0, 42.0, 42.0, 42.0], [], 0.5, 'own 42 to 42'];
        yield 'one stray of the past does not widen it' => [
            47.0, [41.0, 42.0, 41.5, 90.0, 42.0], [], 0.5, 'own 41 to 90',
        ];
        yield 'no history of its own: the fleet is asked' => [
            50.0, [41.0], [40.0, 41.0, 42.0, 43.0], 0.5, 'fleet 40 to 43',
        ];
        yield 'within two steps of the fleet' => [44.0, [41.0], [40.0, 41.0, 42.0, 43.0], 0.5, ''];
        yield 'the fleet has hardly been read' => [50.0, [], [40.0, 41.0, 42.0], 0.5, ''];
        yield 'nothing at all' => [50.0, [], [], 0.0, ''];
    }

    /**
     * @param list<float> $own
     * @param list<float> $fleet
     */
    #[DataProvider('cases')]
    public function test_it_is_pointed_out_with_what_it_is_far_from(
        float $value,
        array $own,
        array $fleet,
        float $grain,
        string $said,
    ): void {
        $usual = UsualRange::of(
            array_map(static fn(float $v): Quantity => Quantity::of($v, Unit::parse('bar')), $fleet),
            Unit::parse('bar'),
        );
        $is = Strange::of($value, $own, $usual, $grain);
        self::assertSame($said, $is === null
            ? ''
            : ($is->byItself ? 'own' : 'fleet')." {$is->lowest} to {$is->highest}");
    }

    public function test_it_is_the_same_in_any_order_and_in_any_unit(): void
    {
        mt_srand(7);
        for ($n = 0; $n < 300; $n++) {
            $own = array_map(static fn(): float => mt_rand(300, 420) / 10, range(1, mt_rand(4, 14)));
            $value = mt_rand(200, 600) / 10;
            $is = Strange::of($value, $own, null, 0.1) !== null;
            $mixed = $own;
            shuffle($mixed);
            self::assertSame($is, Strange::of($value, $mixed, null, 0.1) !== null);
            $scaled = array_map(static fn(float $v): float => 14.5038 * $v, $own);
            self::assertSame($is, Strange::of(14.5038 * $value, $scaled, null, 1.45038) !== null);
            if ($value >= min($own) && $value <= max($own) && count(array_unique($own)) < 2) {
                self::assertFalse($is);
            }
        }
    }
}
