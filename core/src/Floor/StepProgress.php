<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** Whether a step is done, does not apply, or was not reached. */
enum StepProgress: string
{
    case Open = 'open';
    case Done = 'done';
    case NotApplicable = 'not_applicable';

    /** Of a functional test that failed before it, or was broken off. */
    case NotReached = 'not_reached';

    /** Nothing is left to do at it. @pure */
    public function settled(): bool
    {
        return $this !== self::Open;
    }
}
