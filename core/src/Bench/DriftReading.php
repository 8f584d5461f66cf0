<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\Day;

/** A value measured on a day; with a reset, something was set anew just before. */
final readonly class DriftReading
{
    public function __construct(public Day $date, public float $value, public bool $reset = false) {}
}
