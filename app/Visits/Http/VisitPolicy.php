<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;

/** The controller plans visits and assigns people; the certifier releases. */
final class VisitPolicy
{
    public function plan(Person $person): bool
    {
        return $person->holds(Role::Controller);
    }

    /** Early: whoever works it may, and it is told to the controllers. */
    public function begin(Person $person): bool
    {
        return ! $person->holds(Role::Viewer);
    }

    public function release(Person $person): bool
    {
        return $person->holds(Role::Certifier);
    }
}
