<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Model\Step;
use App\Shared\Refused;

/** How a kind of step is worked. */
interface StepKind
{
    /** @return list<string> what it may be answered with, see {@see StepInput} */
    public function answers(): array;

    /**
     * @return array<string, mixed>|null the step's result, when it is done with this; null while it stays open
     *
     * @throws Refused with what stands in the way; nothing is kept then
     */
    public function work(Person $by, Step $step, StepInput $in): ?array;
}
