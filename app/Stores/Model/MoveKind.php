<?php

declare(strict_types=1);

namespace App\Stores\Model;

/** Why pieces of a batch came or went. */
enum MoveKind: string
{
    case In = 'in';
    case Fitted = 'fitted';
    case Off = 'off';
    case Back = 'back';
    case Counted = 'counted';
    case Scrapped = 'scrapped';
}
