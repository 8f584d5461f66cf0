<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use function array_map;
use function array_slice;
use function count;

use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

use function max;
use function min;

/** What is usual at a point: the span of the fleet's last good readings. */
final readonly class UsualRange
{
    /** So many readings make what is usual. */
    public const LAST = 14;

    private function __construct(public int $count, public float $lowest, public float $highest) {}

    /**
     * @param list<Quantity> $readings latest first; those beyond {@see LAST} are left out
     * @param Unit $unit of lowest and highest
     *
     * @return self|null null for less than two readings: one alone is not usual
     *
     * @pure
     */
    public static function of(array $readings, Unit $unit): ?self
    {
        $values = array_map(
            static fn(Quantity $q): float => $q->in($unit)->value,
            array_slice($readings, 0, self::LAST),
        );

        return count($values) < 2 ? null : new self(count($values), min($values), max($values));
    }
}
