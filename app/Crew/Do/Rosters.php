<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Crew\Model\ShiftHours;
use App\Shared\Clock;
use App\Shared\Memo;
use Jorvel\Core\Crew\Roster;
use Jorvel\Core\Crew\Rostered;

/** The people of a base on their shifts, for the core. */
final class Rosters
{
    /** What they are read from. */
    private const TABLES = ['people', 'qualifications', 'rota_days', 'shifts'];

    public function __construct(private readonly Clock $clock, private readonly Memo $memo) {}

    public function of(string $base): Roster
    {
        return $this->memo->of("roster {$base}", self::TABLES, fn(): Roster => new Roster(
            array_values(Person::with(['qualifications', 'rotaDays'])->where('base', $base)->whereNot('role', 'viewer')->orderBy('id')->get()
                ->map(static fn(Person $p): Rostered => $p->rostered(
                    $p->qualified(),
                    array_values($p->qualifications->where('kind', 'skill')->pluck('value')->all()),
                ))
                ->all()),
            ShiftHours::byCode(),
            $this->clock->zone(),
        ));
    }
}
