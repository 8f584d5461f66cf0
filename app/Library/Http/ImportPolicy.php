<?php

declare(strict_types=1);

namespace App\Library\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;

/** Programmes and flying are brought in by the controller. */
final class ImportPolicy
{
    public function bring(Person $person): bool
    {
        return $person->holds(Role::Controller);
    }
}
