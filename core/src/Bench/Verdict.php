<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

/** What is said of a reading. */
enum Verdict: string
{
    case Pass = 'pass';
    case Fail = 'fail';
    case Marginal = 'marginal';
    case Invalid = 'invalid';
}
