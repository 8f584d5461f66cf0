<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

/** The state of a visit. */
enum VisitProgress: string
{
    case Planned = 'planned';
    case InWork = 'in_work';
    case Released = 'released';
}
