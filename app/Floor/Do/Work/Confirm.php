<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;

/** Read, looked at, or done: a caution, an instruction, a finding prompt. */
final readonly class Confirm implements StepKind
{
    public function answers(): array
    {
        return ['done'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        return Worked::done([]);
    }
}
