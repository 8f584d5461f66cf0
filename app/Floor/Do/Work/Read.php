<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\Flows;
use App\Floor\Do\StepInput;
use App\Floor\Do\TakeReading;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;

/** A reading against a limit: a measurement, a torque, a timing. */
final readonly class Read implements StepKind
{
    public function __construct(private TakeReading $readings, private Flows $flows) {}

    public function answers(): array
    {
        return ['read'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $this->flows->spec($step);
        $taken = $this->readings->ask($step, $spec, $in->entry, $in->tool, note: $in->note);
        $commit = fn() => $this->readings->commit($by, $step, $taken);

        return $taken->verdict === 'pass'
            ? Worked::done([...Flows::kept($step, $spec), ...$in->note === '' ? [] : ['note' => $in->note]], $commit)
            : Worked::open($commit);
    }
}
