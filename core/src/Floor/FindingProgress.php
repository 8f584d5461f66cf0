<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** How far a finding has come. */
enum FindingProgress: string
{
    case Open = 'open';
    case Deferred = 'deferred';
    case Fixed = 'fixed';
}
