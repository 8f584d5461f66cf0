<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Crew\Model\Person;

/** What a supposed change asks of the room that plans visits. */
interface PlansAgain
{
    /** @param list<int> $visits whose days, or whose people, are others by now */
    public function plan(Person $by, array $visits, string $why): void;
}
