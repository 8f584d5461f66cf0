<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

/** The repair-interval category of a listed item: A has its own limits, B, C and D a number of days. */
enum Category: string
{
    case A = 'A';
    case B = 'B';
    case C = 'C';
    case D = 'D';

    /**
     * How often the interval may be extended.
     *
     * @pure
     */
    public function extensions(): int
    {
        return $this === self::B || $this === self::C ? 1 : 0;
    }
}
