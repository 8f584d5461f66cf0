<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Records;
use App\Shared\Refused;

/** Strokes or turns by hand, counted; a count outside its bounds is kept and leaves the step open. */
final readonly class Count implements StepKind
{
    public function __construct(private Records $records) {}

    public function answers(): array
    {
        return ['count'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        if (preg_match('/^[0-9]{1,5}$/D', trim($in->entry)) !== 1) {
            throw Refused::because(
                "Enter how many {$step->spec['counts']} it took, as a whole number. Nothing was saved.",
            );
        }
        $counted = (int) $in->entry;
        $within = $counted >= ($step->spec['min'] ?? 0) && $counted <= ($step->spec['max'] ?? PHP_INT_MAX);
        $result = ['counted' => $counted, 'verdict' => $within ? 'pass' : 'fail'];

        return $within ? Worked::done($result) : Worked::open(
            static fn() => $step->fill(['result' => $result])->save(),
            fn() => $this->records->write(
                $by,
                'step.counted',
                "card:{$step->card_id}",
                ['step' => $step->no, ...$result],
            ),
        );
    }
}
