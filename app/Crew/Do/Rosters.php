<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Crew\Model\ShiftHours;
use App\Shared\Clock;
use Jorvel\Core\Crew\Roster;
use Jorvel\Core\Crew\Rostered;

/** The people of a base on their shifts, for the core. */
final class Rosters
{
    /** @var array<string, Roster> by base, for one request */
    private array $at = [];

    public function __construct(private readonly Clock $clock) {}

    public function of(string $base): Roster
    {
        return $this->at[$base] ??= new Roster(
            array_values(Person::with(['qualifications', 'rotaDays'])->where('base', $base)->whereNot('role', 'viewer')->orderBy('id')->get()
                ->map(static fn(Person $p): Rostered => $p->rostered($p->qualified(), array_values($p->qualifications->where('kind', 'skill')->pluck('value')->all())))->all()),
            ShiftHours::byCode(),
            $this->clock->zone(),
        );
    }
}
