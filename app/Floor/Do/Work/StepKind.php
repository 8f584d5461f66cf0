<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Refused;

/** How a kind of step is worked. */
interface StepKind
{
    /** @return list<string> what it may be answered with, see {@see StepInput} */
    public function answers(): array;

    /**
     * What an answer comes to; it reads, and writes nothing itself.
     *
     * @param Step $step with its `card`, that with its `aircraft`
     *
     * @throws Refused with what stands in the way; nothing is kept then
     */
    public function ask(Person $by, Step $step, StepInput $in): Worked;
}
