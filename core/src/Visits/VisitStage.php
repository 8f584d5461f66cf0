<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

/** The order in which a visit is worked. */
enum VisitStage: string
{
    case Induct = 'induct';
    case Safe = 'safe';
    case Open = 'open';
    case Look = 'look';
    case Fix = 'fix';
    case Close = 'close';
    case Test = 'test';
    case Release = 'release';
}
