<?php

declare(strict_types=1);

namespace App\Stores\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;

/** Who keeps the tools: checks them, calls them back, and counts them in. */
final class ToolPolicy
{
    public function edit(Person $person): bool
    {
        return $person->holds(Role::Controller, Role::Inspector, Role::Certifier);
    }

    public function count(Person $person): bool
    {
        return ! $person->holds(Role::Viewer);
    }
}
