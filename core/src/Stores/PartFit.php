<?php

declare(strict_types=1);

namespace Jorvel\Core\Stores;

use Jorvel\Core\Shared\Day;

/** Whether a part may be fitted to this tail. */
final class PartFit
{
    /**
     * Why not, in this order: `not_effective`, `shelf_life`, `used_before`, `too_few`; none when it may.
     *
     * @param list<string>|null $codes effectivity codes the part fits; null fits every tail of its type
     * @param string $tail the aircraft's effectivity code
     * @param Day|null $expires last day of the batch's shelf life; null does not expire
     * @param bool $again it has been fitted before
     * @param bool $oneTime a seal, copper ring, packing, locking wire or split pin: never used twice
     *
     * @return list<string>
     *
     * @pure
     */
    public static function refusals(
        ?array $codes,
        string $tail,
        ?Day $expires,
        Day $on,
        bool $oneTime,
        bool $again,
        int $wanted,
        int $inBatch,
    ): array {
        return array_keys(array_filter([
            'not_effective' => $codes !== null && ! in_array($tail, $codes, true),
            'shelf_life' => $expires !== null && $expires->number < $on->number,
            'used_before' => $oneTime && $again,
            'too_few' => ! $again && $wanted > $inBatch,
        ]));
    }
}
