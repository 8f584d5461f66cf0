<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

/** What the tag on a component says that is not fitted. */
enum ComponentTag: string
{
    case Serviceable = 'serviceable';
    /** Something is wrong with it. */
    case Unserviceable = 'unserviceable';
    /** Nothing is wrong with it, and its life is used up. */
    case TimeExpired = 'time_expired';
    /** Kept as it came off, to be looked into. */
    case Suspect = 'suspect';
}
