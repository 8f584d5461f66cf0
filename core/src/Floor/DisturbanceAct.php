<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** One of the three things that can happen to something which has to be whole. */
enum DisturbanceAct: string
{
    case Disturbed = 'disturbed';
    case Joined = 'joined';
    case Proven = 'proven';
}
