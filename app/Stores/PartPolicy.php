<?php

declare(strict_types=1);

namespace App\Stores;

use App\Crew\Person;
use App\Crew\Role;

/** Who keeps the parts: takes goods in, orders, counts and scraps. */
final class PartPolicy
{
    public function keep(Person $person): bool
    {
        return $person->holds(Role::Controller);
    }
}
