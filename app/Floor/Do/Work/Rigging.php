<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Bench\Do\RigSheet;
use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;

/** A rigging sheet: as-found readings, then as-left readings until everything is within. */
final readonly class Rigging implements StepKind
{
    public function __construct(private RigSheet $sheet) {}

    public function answers(): array
    {
        return ['as_found', 'as_left'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        return $in->do === 'as_found' ? $this->sheet->asFound($by, $step, $in) : $this->sheet->asLeft($by, $step, $in);
    }
}
