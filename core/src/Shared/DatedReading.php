<?php

declare(strict_types=1);

namespace Jorvel\Core\Shared;

/** A reading of a day, one of several that make a trend. */
interface DatedReading
{
    /** @pure */
    public function day(): Day;

    /** Whether the trend starts anew with it: something was changed, filled or set just before. @pure */
    public function anew(): bool;
}
