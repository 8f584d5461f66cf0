<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\Near;

/** One time for which a recorded signal lay beyond its limit. */
final readonly class BeyondLimit
{
    /**
     * @param float $from seconds of the record, the first sample beyond the limit
     * @param float $seconds until the first sample that is within again, or the last of the record
     * @param float $peak the farthest beyond, in the signal's unit
     */
    private function __construct(public float $from, public float $seconds, public float $peak) {}

    /**
     * Every time for which a column lay beyond a limit.
     *
     * @param list<float> $t seconds, rising
     * @param list<float> $values
     * @param bool $over the limit is passed above it; else below it
     *
     * @return list<self>
     *
     * @pure
     */
    public static function all(array $t, array $values, float $limit, bool $over): array
    {
        $edge = $over ? $limit + Near::noise($limit) : $limit - Near::noise($limit);
        $out = [];
        $from = null;
        $peak = $limit;
        foreach ($values as $i => $value) {
            if ($over ? $value > $edge : $value < $edge) {
                $from ??= $t[$i];
                $peak = $from === $t[$i] || ($over ? $value > $peak : $value < $peak) ? $value : $peak;

                continue;
            }
            if ($from !== null) {
                $out[] = new self($from, $t[$i] - $from, $peak);
                $from = null;
            }
        }
        if ($from !== null) {
            $out[] = new self($from, $t[count($t) - 1] - $from, $peak);
        }

        return $out;
    }
}
