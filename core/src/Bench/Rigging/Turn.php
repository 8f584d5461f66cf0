<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

/** Which way an adjuster is moved. */
enum Turn: string
{
    case Clockwise = 'cw';
    case CounterClockwise = 'ccw';
    case Lengthen = 'lengthen';
    case Shorten = 'shorten';
    case Raise = 'raise';
    case Lower = 'lower';

    /** @pure */
    public function opposite(): self
    {
        return match ($this) {
            self::Clockwise => self::CounterClockwise,
            self::CounterClockwise => self::Clockwise,
            self::Lengthen => self::Shorten,
            self::Shorten => self::Lengthen,
            self::Raise => self::Lower,
            self::Lower => self::Raise,
        };
    }
}
