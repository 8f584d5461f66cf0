<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

/** Whether what a listed item wants done before the first flight with it has been done. */
enum Procedure: string
{
    case None = 'none';
    case Open = 'open';
    case Done = 'done';
}
