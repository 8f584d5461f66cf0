<?php

declare(strict_types=1);

namespace App\Floor\Model;

/** How bad a finding is, by who raises it. */
enum Severity: string
{
    case Minor = 'minor';
    case Major = 'major';
    case Critical = 'critical';
}
