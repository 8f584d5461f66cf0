<?php

declare(strict_types=1);

namespace Jorvel\Core\Stores;

use Jorvel\Core\Shared\Day;

/** Whether a fluid, grease, sealant or gas may go into a system. */
final class ProductFit
{
    /**
     * Why not, in this order: `never_meets`, `other_product`, `shelf_life`, `too_few`; none when it may.
     *
     * @param string|null $specification that the product is of
     * @param string $wanted specification that the work names
     * @param list<string> $never systems that the product must never meet
     * @param Day|null $expires last day of the batch's shelf life; null does not expire
     * @param int $take in the store's unit
     *
     * @return list<string>
     *
     * @pure
     */
    public static function refusals(
        ?string $specification,
        string $wanted,
        array $never,
        string $system,
        ?Day $expires,
        Day $on,
        int $take,
        int $inBatch,
    ): array {
        return array_keys(array_filter([
            'never_meets' => in_array($system, $never, true),
            'other_product' => $specification !== $wanted,
            'shelf_life' => $expires !== null && $expires->number < $on->number,
            'too_few' => $take > $inBatch,
        ]));
    }

    /**
     * Why so much does not go in: `below_nought`, `too_little`, `too_much`; null when it may.
     *
     * @param float $in put in, and drained before it, in one unit
     * @param float|null $least at least, in that unit
     * @param float|null $most at most
     *
     * @pure
     */
    public static function amount(float $in, float $drained, ?float $least, ?float $most): ?string
    {
        return match (true) {
            $in < 0 || $drained < 0 => 'below_nought',
            $in < ($least ?? 0.0) => 'too_little',
            $in > ($most ?? INF) => 'too_much',
            default => null,
        };
    }
}
