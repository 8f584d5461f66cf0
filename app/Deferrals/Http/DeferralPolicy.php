<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;

/** The controller decides what is carried; a certifier may too. Whoever works at the aircraft takes the placard off. */
final class DeferralPolicy
{
    public function defer(Person $person): bool
    {
        return $person->holds(Role::Controller, Role::Certifier);
    }

    public function unplacard(Person $person): bool
    {
        return ! $person->holds(Role::Viewer);
    }
}
