<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\SafingRegister;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Refused;

/**
 * A safing device comes off, fitted by an earlier step of this card or by the card of its visit that made the aircraft
 * safe or raised it.
 */
final readonly class RemoveDevice implements StepKind
{
    public function __construct(private Clock $clock, private SafingRegister $register) {}

    public function answers(): array
    {
        return ['done'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $device = $this->register->removedBy($step)
            ?? throw Refused::because(
                (isset($step->spec['carried']) ? 'It' : "Nothing fitted by step {$step->spec['of']}").' is '
                    .(isset($step->spec['carried']) ? 'no longer ' : '').'in the safing register. Look at the aircraft '
                    .'before you go on.',
            );
        $now = (string) $this->clock->now();

        return Worked::done(
            ['device' => $device->id],
            static fn() => $device->update(['removed_by' => $by->id, 'removed_at' => $now]),
        );
    }
}
