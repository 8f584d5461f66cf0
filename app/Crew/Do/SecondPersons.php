<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Shared\Notices;

/** Who else answers for a person: the other controllers, and whoever certifies. */
final readonly class SecondPersons
{
    public function __construct(private Notices $notices) {}

    /** Tells all of them but those two what one has entered about the other. */
    public function tell(Person $by, Person $about, string $said): void
    {
        $others = Person::whereIn('role', [Role::Controller, Role::Certifier])->whereNull('leaves')
            ->whereNotIn('id', [$by->id, $about->id])
            ->pluck('id');
        foreach ($others as $id) {
            $this->notices->tell($id, $said, "/crew/people/{$about->id}");
        }
    }
}
