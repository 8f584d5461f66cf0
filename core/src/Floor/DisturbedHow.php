<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** What was done to something that has to be proven afterwards. */
enum DisturbedHow: string
{
    case Parted = 'parted';
    case Slackened = 'slackened';
    case Opened = 'opened';
    case Turned = 'turned';
    case Removed = 'removed';
    case Disconnected = 'disconnected';
    /** Joined already, and worked once more: what was proven of it is proven anew. */
    case Redone = 'redone';
}
