<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;

/** Anybody who works may ask; the answer is entered by those who deal with the support desk. */
final class ManualPolicy
{
    public function ask(Person $person): bool
    {
        return ! $person->holds(Role::Viewer);
    }

    public function answer(Person $person): bool
    {
        return $person->holds(Role::Controller, Role::Inspector, Role::Certifier);
    }
}
