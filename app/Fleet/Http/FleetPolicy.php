<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Fleet\Model\Fleet;

/** Who may do what in the room Fleet; everybody signed in may look. */
final class FleetPolicy
{
    /** Enters and corrects flying, moves components, plans. */
    public function edit(Person $person): bool
    {
        return $person->holds(Role::Controller);
    }

    /** Reads gauges. */
    public function read(Person $person): bool
    {
        return $person->holds(Role::Controller, Role::Technician, Role::Inspector, Role::Certifier);
    }
}
