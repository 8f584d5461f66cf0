<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Bench\Verdict;

/** How an attempt at a functional test stands, or ended. */
enum AttemptState: string
{
    case Begun = 'begun';
    case Passed = 'passed';
    case Failed = 'failed';
    case Invalid = 'invalid';
    case BrokenOff = 'broken_off';

    /** @pure */
    public static function of(Verdict $verdict): self
    {
        return match ($verdict) {
            Verdict::Pass => self::Passed,
            Verdict::Fail => self::Failed,
            Verdict::Marginal, Verdict::Invalid => self::Invalid,
        };
    }
}
