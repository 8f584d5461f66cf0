<?php

declare(strict_types=1);

namespace Jorvel\Core\Tests\Stores;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Stores\ProductFit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which product goes into which system, and how much of it. */
final class ProductFitTest extends TestCase
{
    /** @return iterable<string, array{string|null, list<string>, string|null, int, list<string>}> */
    public static function products(): iterable
    {
        yield 'the right one' => ['EO-2', ['oxygen'], '2026-05-05', 700, []];
        yield 'all that is left of it' => ['EO-2', [], null, 1000, []];
        yield 'never into this system' => ['EO-2', ['oxygen', 'engine'], null, 1, ['never_meets']];
        yield 'another product' => ['HF-5', [], null, 1, ['other_product']];
        yield 'a piece of no specification' => [null, [], null, 1, ['other_product']];
        yield 'its last day was yesterday' => ['EO-2', [], '2026-05-04', 1, ['shelf_life']];
        yield 'everything at once' => ['HF-5', ['engine'], '2026-01-01', 1001, [
            'never_meets', 'other_product', 'shelf_life', 'too_few',
        ]];
    }

    /**
     * @param list<string> $never
     * @param list<string> $why
     */
    #[DataProvider('products')]
    public function test_why_a_product_does_not_go_in(
        ?string $is,
        array $never,
        ?string $expires,
        int $take,
        array $why,
    ): void {
        self::assertSame($why, ProductFit::refusals(
            $is,
            'EO-2',
            $never,
            'engine',
            $expires === null ? null : Day::parse($expires),
            Day::parse('2026-05-05'),
            $take,
            1000,
        ));
    }

    /** @return iterable<string, array{float, float, float|null, float|null, string|null}> */
    public static function amounts(): iterable
    {
        yield 'none, where none is wanted' => [0, 0, null, null, null];
        yield 'none, where some is' => [0, 0, 0.2, null, 'too_little'];
        yield 'at both ends' => [2, 0, 2, 2, null];
        yield 'too much' => [2.01, 0, null, 2, 'too_much'];
        yield 'below nought' => [-0.1, 0, null, null, 'below_nought'];
        yield 'drained below nought' => [1, -0.1, null, null, 'below_nought'];
    }

    #[DataProvider('amounts')]
    public function test_why_so_much_does_not_go_in(
        float $in,
        float $drained,
        ?float $least,
        ?float $most,
        ?string $why,
    ): void {
        self::assertSame($why, ProductFit::amount($in, $drained, $least, $most));
    }
}
