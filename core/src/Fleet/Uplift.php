<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use function array_slice;
use function count;

/**
 * What an engine or a system is topped up with, by the hours flown since it was topped up last; a rise tells a leak
 * before a finding does.
 */
final readonly class Uplift
{
    /** Rates that there must be before the last one can be told from them. */
    public const NEEDS = 3;

    /** Above so many times the usual rate it is no longer use; the same rule as for a bottle's pressure. */
    public const LEAK = 2.0;

    /**
     * @param float|null $rate per flight hour since the uplift before; null where it is the first, or nothing was flown
     * @param float|null $usual the median of the rates before it; null while there are too few
     * @param bool $leak more than use explains
     */
    private function __construct(public ?float $rate, public ?float $usual, public bool $leak) {}

    /**
     * @param list<array{float, float}> $uplifts flight hours of the aircraft when it was topped up, and how much, in
     *   the order in which that was
     *   (hours that do not grow, after a corrected flight, give no rate)
     *
     * @pure
     */
    public static function of(array $uplifts): self
    {
        $rates = [];
        for ($i = 1; $i < count($uplifts); $i++) {
            $flown = $uplifts[$i][0] - $uplifts[$i - 1][0];
            $rates[] = $flown > 0 ? $uplifts[$i][1] / $flown : null;
        }
        $rate = $rates === [] ? null : $rates[count($rates) - 1];
        $before = array_values(array_filter(array_slice($rates, 0, -1), is_float(...)));
        $usual = count($before) < self::NEEDS ? null : self::median($before);

        return new self($rate, $usual, $rate !== null && $usual !== null && $rate > self::LEAK * $usual);
    }

    /** @param non-empty-list<float> $values */
    private static function median(array $values): float
    {
        sort($values);
        $half = intdiv(count($values), 2);

        return count($values) % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2;
    }
}
