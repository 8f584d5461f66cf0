<?php

declare(strict_types=1);

namespace Jorvel\Core\Library;

/** What may follow from a finding, or from a limit that was exceeded. */
enum FollowKind: string
{
    case Question = 'question';
    case Look = 'look';
    case Card = 'card';
    case Suspect = 'suspect';

    /** Whether somebody answers it by name before the finding is settled; a card is signed instead. @pure */
    public function asks(): bool
    {
        return $this === self::Question || $this === self::Look;
    }
}
