<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

/** Where the next interval starts: at the planned value (late work gains nothing) or where the work was done. */
enum Rebase: string
{
    case Planned = 'planned';
    case Actual = 'actual';
}
