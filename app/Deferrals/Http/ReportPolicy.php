<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;

/**
 * Whoever works at the aircraft enters what its crew says; that it is no fault is decided by who may judge the work.
 */
final class ReportPolicy
{
    public function enter(Person $person): bool
    {
        return ! $person->holds(Role::Viewer);
    }

    public function decide(Person $person): bool
    {
        return $person->holds(Role::Controller, Role::Inspector, Role::Certifier);
    }
}
