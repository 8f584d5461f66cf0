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

/** An answer that is no number: go or no-go, contact just made, how it feels. One that fails leaves the step open. */
final readonly class Answer implements StepKind
{
    public function __construct(private Records $records) {}

    public function answers(): array
    {
        return ['answer'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $choice = array_column($step->spec['choices'], null, 'id')[$in->entry] ?? throw Refused::because(
            'Choose one of: '.implode(', ', array_column($step->spec['choices'], 'title')).'. Nothing was saved.',
        );
        if (($choice['unusual'] ?? false) && $in->note === '') {
            throw Refused::because(
                "\"{$choice['title']}\" is allowed and unusual: say in a few words what you saw. Nothing was saved.",
            );
        }
        $result = [
            'answer' => $choice['id'],
            'said' => $choice['title'],
            'verdict' => $choice['verdict'],
            ...($in->note === '' ? [] : ['note' => $in->note]),
        ];

        return $choice['verdict'] === 'pass' ? Worked::done($result) : Worked::short(
            $result,
            Verdict::Fail,
            static fn() => $step->fill(['result' => $result])->save(),
            fn() => $this->records->write(
                $by,
                'step.answered',
                "card:{$step->card_id}",
                ['step' => $step->no, ...$result],
            ),
        );
    }
}
