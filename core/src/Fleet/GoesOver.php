<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

/** Hardware that goes over from a unit to the one that takes its place: counted off, and counted on. */
final class GoesOver
{
    /**
     * Whether so many may come off: all that belong there, or fewer or more with a finding that says why.
     *
     * @pure
     */
    public static function off(int $counted, int $belong, bool $found): bool
    {
        return $counted === $belong || $found;
    }

    /** All that belong there go on, whatever came off. @pure */
    public static function on(int $counted, int $belong): bool
    {
        return $counted === $belong;
    }
}
