<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

/** What is looked at on the line, without a visit. */
enum LineCheck: string
{
    /** Once a day, good for a while. */
    case Daily = 'daily';
    /** Between two flights. */
    case Turnaround = 'turnaround';
    /** After a crew said that something was wrong. */
    case Report = 'report';
}
