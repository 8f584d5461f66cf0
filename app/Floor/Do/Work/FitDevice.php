<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Shared\Clock;

/** A safing device goes on, or a line is opened: it stands in the register from now on. */
final readonly class FitDevice implements StepKind
{
    public function __construct(private Clock $clock) {}

    public function answers(): array
    {
        return ['done'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $step->spec;
        $now = (string) $this->clock->now();

        return Worked::done([], static fn() => SafingDevice::create([
            'aircraft_id' => $step->card->aircraft_id, 'card_id' => $step->card_id, 'fitted_step_id' => $step->id,
            'fitted_by' => $by->id,
            'kind' => $spec['device'], 'place' => $spec['place'], 'flag' => $spec['flag'], 'fitted_at' => $now,
            'against' => $spec['against'] ?? [], 'open_line' => $spec['open_line'] ?? false,
            'storage' => $spec['storage'] ?? null,
        ]));
    }
}
