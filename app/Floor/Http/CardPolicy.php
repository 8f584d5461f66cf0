<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use Illuminate\Auth\Access\Response;

/** Who may do what on a card. Qualifications are judged besides, by the actions. */
final class CardPolicy
{
    public function work(Person $person, Card $card): Response
    {
        if (! $person->holds(Role::Technician, Role::Inspector, Role::Certifier)) {
            return Response::deny('Cards are worked by technicians; your role does not allow it.');
        }

        return $card->assignments->contains(
            static fn(Assignment $a): bool
                => $a->person_id === $person->id && in_array($a->role, ['perform', 'trainee'], true),
        )
            ? Response::allow()
            : Response::deny('You are not assigned to this card. Ask the controller to assign you.');
    }

    public function inspect(Person $person): bool
    {
        return $person->holds(Role::Inspector, Role::Certifier);
    }

    public function raise(Person $person): bool
    {
        return ! $person->holds(Role::Viewer);
    }
}
