<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** The place of a step in a functional test of its card. */
enum TestPart: string
{
    /** The attempt is begun: conditions, who is aboard, the words that mean stop. */
    case Begin = 'begin';
    case Setup = 'setup';
    case Test = 'test';
    /** Put back, after every attempt. */
    case Restore = 'restore';
    case Verdict = 'verdict';

    /** What is not reached once an attempt has failed or is broken off. @pure */
    public function skipped(): bool
    {
        return $this === self::Setup || $this === self::Test;
    }
}
