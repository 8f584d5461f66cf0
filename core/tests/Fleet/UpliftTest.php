<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Fleet;

use Jorvel\Core\Fleet\Uplift;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class UpliftTest extends TestCase
{
    /** @return iterable<string, array{list<array{float, float}>, float|null, float|null, bool}> */
    public static function cases(): iterable
    {
        $steady = [[100.0, 0.2], [110.0, 0.2], [120.0, 0.22], [130.0, 0.2]];
        yield 'the first' => [[[100.0, 0.4]], null, null, false];
        yield 'the second has a rate and nothing to be told from' => [[[100, 0.4], [110, 0.3]], 0.03, null, false];
        yield 'as ever' => [[...$steady, [140.0, 0.2]], 0.02, 0.02, false];
        yield 'twice is still use' => [[...$steady, [140.0, 0.4]], 0.04, 0.02, false];
        yield 'more than twice is a leak' => [[...$steady, [140.0, 0.42]], 0.042, 0.02, true];
        yield 'twice a day without flying' => [[...$steady, [130.0, 0.7]], null, 0.02, false];
        yield 'hours corrected downwards' => [[...$steady, [128.0, 0.7]], null, 0.02, false];
        yield 'an even count of rates' => [[...$steady, [140.0, 0.3], [150.0, 0.2]], 0.02, 0.021, false];
    }

    /** @param list<array{float, float}> $uplifts */
    #[DataProvider('cases')]
    public function test_the_last_rate_beside_those_before(
        array $uplifts,
        ?float $rate,
        ?float $usual,
        bool $leak,
    ): void {
        $is = Uplift::of($uplifts);
        $rate === null ? self::assertNull($is->rate) : self::assertEqualsWithDelta($rate, $is->rate, 1e-9);
        $usual === null ? self::assertNull($is->usual) : self::assertEqualsWithDelta($usual, $is->usual, 1e-9);
        self::assertSame($leak, $is->leak);
    }
}
