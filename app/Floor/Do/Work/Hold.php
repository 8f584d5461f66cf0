<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;

/** Held for a time: a pressure kept, a surface against its stop. */
final readonly class Hold implements StepKind
{
    public function __construct(private Holding $holding) {}

    public function answers(): array
    {
        return ['start', 'done'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        if ($in->do === 'start') {
            return $this->holding->start($by, $step);
        }
        $this->holding->requireOver($step, (int) $step->spec['hold']['seconds']);

        return Worked::done(['held' => (int) $step->spec['hold']['seconds']]);
    }
}
