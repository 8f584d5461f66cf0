<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Bench;

use Jorvel\Core\Bench\Alike;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whether readings are alike, and which is not. */
final class AlikeTest extends TestCase
{
    /**
     * @return iterable<string, array{list<float>, float, int|null, float}> values, most spread, the outlier's place,
     *   the median
     */
    public static function sets(): iterable
    {
        yield 'above' => [[10.0, 10.5, 14.0, 10.2], 1.0, 2, 10.35];
        yield 'below' => [[10.0, 6.0, 10.5, 10.2], 1.0, 1, 10.1];
        yield 'below, and another above but nearer' => [[10.0, 12.0, 7.0], 1.0, 2, 10.0];
        yield 'the first of equals' => [[8.0, 10.0, 12.0], 1.0, 0, 10.0];
        yield 'of two, the first' => [[8.0, 12.0], 1.0, 0, 10.0];
        yield 'just alike' => [[10.0, 11.0], 1.0, null, 10.5];
        yield 'one alone is like itself' => [[-3.0], 0.0, null, -3.0];
        yield 'below nought' => [[-10.0, -10.2, -4.0], 1.0, 2, -10.0];
    }

    /** @param list<float> $values */
    #[DataProvider('sets')]
    public function test_the_one_farthest_from_the_middle(
        array $values,
        float $most,
        ?int $outlier,
        float $median,
    ): void {
        $said = Alike::of($values, $most)->toArray();
        self::assertSame([$outlier === null ? 'pass' : 'fail', $outlier], [$said['verdict'], $said['outlier']]);
        self::assertEqualsWithDelta($median, $said['median'], 1e-12);
    }
}
