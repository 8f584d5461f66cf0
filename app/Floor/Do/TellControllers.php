<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Floor\Model\Card;
use App\Shared\Notices;

/** What the controllers must hear at once of a card. */
final readonly class TellControllers
{
    public function __construct(private Notices $notices) {}

    /** Call it inside the transaction of what it tells of. */
    public function __invoke(Person $by, Card $card, string $said): void
    {
        foreach (Person::where('role', Role::Controller)->whereNot('id', $by->id)->pluck('id') as $controller) {
            $this->notices->tell($controller, $said, "/floor/{$card->id}");
        }
    }
}
