<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** Whether a step is done. */
enum StepProgress: string
{
    case Open = 'open';
    case Done = 'done';
}
