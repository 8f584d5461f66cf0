<?php

declare(strict_types=1);

namespace App\Floor\Work;

use App\Crew\Person;
use App\Floor\Step;
use App\Floor\StepInput;
use App\Floor\TakeReading;

/** A reading against a limit: a measurement, a torque, a timing. */
final readonly class Read implements StepKind
{
    public function __construct(private TakeReading $readings) {}

    public function answers(): array
    {
        return ['read'];
    }

    public function work(Person $by, Step $step, StepInput $in): ?array
    {
        $reading = ($this->readings)($by, $step, $step->readingSpec(), $in->entry, $in->tool);

        return $reading->verdict === 'pass' ? ['reading' => $reading->id] : null;
    }
}
