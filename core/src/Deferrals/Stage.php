<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

/** What stands between a deferral and its end, in the order of the work. */
enum Stage: string
{
    case Ready = 'ready';
    case Fix = 'fix';
    case Reverse = 'reverse';
    case Test = 'test';
    case Inspect = 'inspect';
    case Placard = 'placard';
    case Log = 'log';
}
