<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\DatedReading;
use Jorvel\Core\Shared\Day;

/** A value measured on a day; with a reset, something was set anew just before. */
final readonly class DriftReading implements DatedReading
{
    public function __construct(public Day $date, public float $value, public bool $reset = false) {}

    public function day(): Day
    {
        return $this->date;
    }

    public function anew(): bool
    {
        return $this->reset;
    }
}
