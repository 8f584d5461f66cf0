<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\TakeReading;
use App\Floor\Model\Step;

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
