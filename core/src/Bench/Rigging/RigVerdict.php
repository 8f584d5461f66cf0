<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

/** What the runs so far ask for. */
enum RigVerdict: string
{
    /** The last run read everything within, and nothing was turned after it. */
    case Within = 'within';
    /** A reading does not fit what went before it, or nothing that is turned could help: read once more. */
    case ReadAgain = 'read_again';
    case Turn = 'turn';
    /** Something is probably out, and no turn that is left makes it better. */
    case OutOfReach = 'out_of_reach';
}
