<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

/** How far a version of a card template has come. */
enum CardState: string
{
    case Draft = 'draft';
    case Checked = 'checked';
    case InForce = 'in_force';
    case Replaced = 'replaced';
    case Discarded = 'discarded';

    /** It is still being written, or waits to come in force. @pure */
    public function open(): bool
    {
        return $this === self::Draft || $this === self::Checked;
    }
}
