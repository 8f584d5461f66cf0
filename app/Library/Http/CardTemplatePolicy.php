<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;

/** Templates are re-read by those who answer for what is worked. */
final class CardTemplatePolicy
{
    public function reread(Person $person): bool
    {
        return $person->holds(Role::Controller, Role::Inspector, Role::Certifier);
    }

    /** Cards are written, and checked, by the same. */
    public function write(Person $person): bool
    {
        return $this->reread($person);
    }

    public function force(Person $person): bool
    {
        return $person->holds(Role::Controller, Role::Certifier);
    }
}
