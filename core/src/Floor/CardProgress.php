<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** The state of a card, from nobody having touched it to nothing being left of it. */
enum CardProgress: string
{
    case Open = 'open';
    case InWork = 'in_work';
    case Signed = 'signed';
    case Closed = 'closed';

    /** Nothing is left to work on it: closed, or only to be inspected. @pure */
    public function worked(): bool
    {
        return $this === self::Signed || $this === self::Closed;
    }

    /** Somebody has begun, and it is not closed. @pure */
    public function begun(): bool
    {
        return $this === self::InWork || $this === self::Signed;
    }
}
