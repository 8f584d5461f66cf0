<?php

declare(strict_types=1);

namespace App\Floor\Work;

use App\Crew\Person;
use App\Floor\Step;
use App\Floor\StepInput;

/** Read, looked at, or done: a caution, an instruction, a finding prompt. */
final readonly class Confirm implements StepKind
{
    public function answers(): array
    {
        return ['done'];
    }

    public function work(Person $by, Step $step, StepInput $in): array
    {
        return [];
    }
}
