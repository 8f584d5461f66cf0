<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** Whether a step is done, or does not apply. */
enum StepProgress: string
{
    case Open = 'open';
    case Done = 'done';
    case NotApplicable = 'not_applicable';

    /** Nothing is left to do at it. @pure */
    public function settled(): bool
    {
        return $this !== self::Open;
    }
}
