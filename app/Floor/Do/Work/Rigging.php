<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Bench\Do\RigSheet;
use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Model\Step;

/** A rigging sheet: as-found readings, then as-left readings until everything is within. */
final readonly class Rigging implements StepKind
{
    public function __construct(private RigSheet $sheet) {}

    public function answers(): array
    {
        return ['as_found', 'as_left'];
    }

    public function work(Person $by, Step $step, StepInput $in): ?array
    {
        if ($in->do === 'as_found') {
            $this->sheet->asFound($by, $step, $in);

            return null;
        }

        return $this->sheet->asLeft($by, $step, $in) ? ['run' => $step->runs()->max('no')] : null;
    }
}
