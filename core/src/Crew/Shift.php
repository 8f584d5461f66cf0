<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

/** A shift's hours in local time, within one day: `06:00` to `14:00`. */
final readonly class Shift
{
    public function __construct(public string $from, public string $until) {}
}
