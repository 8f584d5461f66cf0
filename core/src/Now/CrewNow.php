<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use DateTimeZone;
use Jorvel\Core\Crew\Shift;

/** Everybody who works, with the shifts of the operator. */
final readonly class CrewNow
{
    /**
     * @param array<array-key, PersonNow> $people by id
     * @param array<string, Shift> $shifts by code
     * @param DateTimeZone $zone in which shifts begin and end
     */
    public function __construct(public array $people, public array $shifts, public DateTimeZone $zone) {}
}
