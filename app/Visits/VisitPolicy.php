<?php

declare(strict_types=1);

namespace App\Visits;

use App\Crew\Person;
use App\Crew\Role;

/** The controller plans visits and assigns people; the certifier releases. */
final class VisitPolicy
{
    public function plan(Person $person): bool
    {
        return $person->holds(Role::Controller);
    }

    public function release(Person $person): bool
    {
        return $person->holds(Role::Certifier);
    }
}
