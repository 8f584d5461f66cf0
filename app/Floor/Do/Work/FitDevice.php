<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
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

    public function work(Person $by, Step $step, StepInput $in): array
    {
        $device = SafingDevice::create([
            'aircraft_id' => $step->card->aircraft_id, 'card_id' => $step->card_id, 'fitted_step_id' => $step->id, 'fitted_by' => $by->id,
            'kind' => $step->spec['device'], 'place' => $step->spec['place'], 'flag' => $step->spec['flag'], 'fitted_at' => (string) $this->clock->now(),
            'against' => $step->spec['against'] ?? [], 'open_line' => $step->spec['open_line'] ?? false, 'storage' => $step->spec['storage'] ?? null,
        ]);

        return ['device' => $device->id];
    }
}
