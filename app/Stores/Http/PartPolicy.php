<?php

declare(strict_types=1);

namespace App\Stores\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;

/** Who keeps the parts: takes goods in, orders, counts and scraps. */
final class PartPolicy
{
    public function edit(Person $person): bool
    {
        return $person->holds(Role::Controller);
    }
}
