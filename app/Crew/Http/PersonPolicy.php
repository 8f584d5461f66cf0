<?php

declare(strict_types=1);

namespace App\Crew\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;

/** Shifts, leave, crews, and what is kept about people are the controller's. */
final class PersonPolicy
{
    public function rota(Person $person): bool
    {
        return $person->holds(Role::Controller);
    }

    /** Makes the code for somebody's PIN: never whoever gave them the password. */
    public function vouch(Person $person): bool
    {
        return $person->holds(Role::Controller, Role::Certifier);
    }

    /** Who is entered, as what, and what they hold. */
    public function edit(Person $person): bool
    {
        return $person->holds(Role::Controller);
    }
}
