<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;

/** A controller says who outside is told. */
final class WebhookPolicy
{
    public function manage(Person $person): bool
    {
        return $person->holds(Role::Controller);
    }
}
