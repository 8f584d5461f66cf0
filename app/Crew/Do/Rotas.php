<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Crew\Model\ShiftHours;
use App\Shared\Clock;
use App\Shared\Memo;
use Jorvel\Core\Crew\OnRota;
use Jorvel\Core\Crew\Rota;

/** The people of a base on their shifts, for the core. */
final class Rotas
{
    /** What they are read from. */
    public const TABLES = ['people', 'qualifications', 'rota_days', 'shifts'];

    public function __construct(private readonly Clock $clock, private readonly Memo $memo) {}

    public function of(string $base): Rota
    {
        return $this->memo->of("rota {$base}", self::TABLES, fn(): Rota => new Rota(
            array_values(Person::with(['qualifications', 'rotaDays'])->where('base', $base)
                ->whereNot('role', 'viewer')
                ->orderBy('id')
                ->get()
                ->map(static fn(Person $p): OnRota => $p->onRota(
                    $p->qualified(),
                    array_values($p->qualifications->where('kind', 'skill')->pluck('value')->all()),
                ))
                ->all()),
            $this->memo->of('shifts', ['shifts'], ShiftHours::byCode(...)),
            $this->clock->zone(),
        ));
    }
}
