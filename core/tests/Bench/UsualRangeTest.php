<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench;

use Jorvel\Core\Bench\UsualRange;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;
use PHPUnit\Framework\TestCase;

final class UsualRangeTest extends TestCase
{
    public function test_it_spans_the_last_fourteen_in_one_unit(): void
    {
        $of = static fn(float ...$in): array => array_map(
            static fn(float $v): Quantity => Quantity::of($v, Unit::in),
            array_values($in),
        );
        self::assertNull(UsualRange::of([], Unit::mm));
        self::assertNull(UsualRange::of($of(1.0), Unit::mm));
        $range = UsualRange::of([...$of(1.0, 2.0), Quantity::of(30.0, Unit::mm)], Unit::mm);
        self::assertEquals([3, 25.4, 50.8], [$range?->count, $range?->lowest, $range?->highest]);
        $many = UsualRange::of([...array_fill(0, 14, Quantity::of(1.0, Unit::mm)), ...$of(9.0)], Unit::mm);
        self::assertEquals([14, 1.0], [$many?->count, $many?->highest]);
    }
}
