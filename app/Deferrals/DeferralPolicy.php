<?php

declare(strict_types=1);

namespace App\Deferrals;

use App\Crew\Person;
use App\Crew\Role;

/** The controller decides what is carried; a certifier may too. */
final class DeferralPolicy
{
    public function defer(Person $person): bool
    {
        return $person->holds(Role::Controller, Role::Certifier);
    }
}
