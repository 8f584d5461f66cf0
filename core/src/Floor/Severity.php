<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** How grave a finding is. */
enum Severity: string
{
    case Minor = 'minor';
    case Major = 'major';
    case Critical = 'critical';
}
