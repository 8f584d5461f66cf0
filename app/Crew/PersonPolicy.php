<?php

declare(strict_types=1);

namespace App\Crew;

/** Shifts, leave and crews are the controller's. */
final class PersonPolicy
{
    public function roster(Person $person): bool
    {
        return $person->holds(Role::Controller);
    }
}
