<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** Strokes, turns or clicks that were counted, in whole ones or in parts of a turn. */
final class Counted
{
    /**
     * `Counted::parse('1 1/2', 0.25)` and `parse('1,5', 0.25)` are 1.5; null for what is none, or no multiple of the
     * part.
     *
     * @param float $part 1 for whole ones, else the smallest part that is counted
     *
     * @pure
     */
    public static function parse(string $entry, float $part): ?float
    {
        $entry = trim($entry);
        if (preg_match('/^[0-9]{1,5}(?:[.,][0-9]{1,4})?$/D', $entry) === 1) {
            $value = (float) str_replace(',', '.', $entry);
        } elseif (preg_match('/^(?:([0-9]{1,5}) +)?([0-9]{1,2})\/([1-9][0-9]?)$/D', $entry, $m) === 1) {
            $value = (float) $m[1] + (int) $m[2] / (int) $m[3];
        } else {
            return null;
        }
        $parts = $value / $part;

        return abs($parts - round($parts)) < 1e-9 ? $value : null;
    }

    /** @pure */
    public static function within(float $counted, float|int|null $min, float|int|null $max): bool
    {
        return $counted >= ($min ?? 0) && $counted <= ($max ?? INF);
    }
}
