<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use function count;

/** Whether a defect may be carried under a listed item, beside what is carried already. */
final class Fits
{
    /**
     * Why not: `withdrawn`, `other_system`, `other_part`, `position_taken:<id>`, `none_to_spare`; empty where it fits.
     *
     * That it is another part of the system is read from words, and may be overruled by whoever has seen it.
     *
     * @param string $chapter of the finding
     * @param string $text its place and extent
     * @param string|null $position where it is known
     * @param list<CarriedUnder> $carried on the aircraft
     *
     * @return list<string>
     *
     * @pure
     */
    public static function why(
        ListedItem $item,
        string $chapter,
        string $text,
        ?string $position,
        array $carried,
    ): array {
        $same = array_values(array_filter($carried, static fn(CarriedUnder $c): bool => $c->code === $item->code));
        $there = $position === null ? [] : array_values(array_filter(
            $same,
            static fn(CarriedUnder $c): bool => $c->position === $position,
        ));
        // Where a position has more than one unit of its own, each of them may be the one.
        $each = $item->positions === [] ? $item->installed : $item->installed / count($item->positions);

        return array_keys(array_filter([
            'withdrawn' => $item->withdrawn,
            'other_system' => ! $item->ofSystem($chapter),
            'other_part' => ! $item->speaksOf($text),
            'position_taken:'.($there[0]->id ?? '') => $there !== [] && count($there) >= $each,
            'none_to_spare' => count($same) >= $item->most,
        ]));
    }

    /**
     * The position that a finding's words name, where they name just one.
     *
     * @pure
     */
    public static function position(ListedItem $item, string $text): ?string
    {
        $named = array_values(array_filter($item->positions, static fn(string $p): bool => preg_match(
            '/(?<![\pL\pN])'.preg_quote(mb_strtolower($p), '/').'(?![\pL\pN])/u',
            mb_strtolower($text),
        ) === 1));

        return count($named) === 1 ? $named[0] : null;
    }
}
