<?php

declare(strict_types=1);

namespace App\Library;

use App\Crew\Person;
use App\Crew\Role;

/** Templates are re-read by those who answer for what is worked. */
final class CardTemplatePolicy
{
    public function reread(Person $person): bool
    {
        return $person->holds(Role::Controller, Role::Inspector, Role::Certifier);
    }
}
