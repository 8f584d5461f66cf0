<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\TakeReading;
use App\Floor\Model\Step;

/** An operational test: set up, hold, read; a reading that fails begins it anew. */
final readonly class Test implements StepKind
{
    public function __construct(private Holding $holding, private TakeReading $readings) {}

    public function answers(): array
    {
        return ['start', 'read'];
    }

    public function work(Person $by, Step $step, StepInput $in): ?array
    {
        if ($in->do === 'start') {
            $this->holding->start($by, $step);

            return null;
        }
        $this->holding->requireOver($step, (int) $step->spec['hold']['seconds']);
        $reading = ($this->readings)($by, $step, $step->readingSpec(), $in->entry, $in->tool);
        if ($reading->verdict === 'pass') {
            return ['reading' => $reading->id];
        }
        $step->started_at = null;
        $step->save();

        return null;
    }
}
