<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\Instant;

/** A gauge pressure at an instant, with the temperature at the gauge. */
final readonly class PressureAt
{
    /**
     * @param float $pressure gauge, in the unit of whoever asks
     * @param float $tempC in °C, above absolute zero
     */
    public function __construct(public Instant $at, public float $pressure, public float $tempC) {}
}
