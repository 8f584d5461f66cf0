<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Records;
use App\Shared\Refused;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Floor\Counted;

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
        $part = (float) ($step->spec['fraction'] ?? 1);
        $counted = Counted::parse($in->entry, $part) ?? throw Refused::because(
            "Enter how many {$step->spec['counts']} it took, ".($part === 1.0
                ? 'as a whole number'
                : 'in steps of 1/'.(int) round(1 / $part).': 1.5 or 1 1/2').'. Nothing was saved.',
        );
        $within = Counted::within($counted, $step->spec['min'] ?? null, $step->spec['max'] ?? null);
        $result = ['counted' => $counted, 'verdict' => $within ? 'pass' : 'fail'];

        return $within ? Worked::done($result) : Worked::short(
            $result,
            Verdict::Fail,
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
