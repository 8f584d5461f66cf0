<?php

declare(strict_types=1);

namespace App\Bench\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Work\StepKind;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Bench\Indication;
use Jorvel\Core\Bench\Verdict;

/** Lights and indications against the real thing: which of them prove a position is the template's to say. */
final readonly class SeeIndication implements StepKind
{
    public function __construct(private Records $records) {}

    public function answers(): array
    {
        return ['seen'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $proves = $says = $titles = [];
        foreach ($step->spec['sources'] as $s) {
            $answer = $in->entries[$s['id']] ?? '';
            if ($answer !== 'yes' && $answer !== 'no') {
                throw Refused::because("Say what it shows: {$s['title']}. Nothing was saved.");
            }
            $proves[$s['id']] = $s['proves'] ?? false;
            $says[$s['id']] = $answer === 'yes';
            $titles[$s['id']] = $s['title'];
        }
        $is = Indication::of($proves, $says);
        $not = array_map(
            static fn(string $id): string => $titles[$id],
            array_map(strval(...), array_keys(array_filter($says, static fn(bool $y): bool => ! $y))),
        );
        $result = [
            'seen' => $says, 'verdict' => $is->verdict()->value,
            'said' => match ($is) {
                Indication::Proven => "{$step->spec['of']}: proven, and shown",
                Indication::ShownWrongly => "{$step->spec['of']}: proven, but not shown by ".Words::list($not)
                    .': the indication is at fault',
                Indication::NotProven => "{$step->spec['of']}: shown, and NOT proven: ".Words::list($not),
                Indication::NotThere => "{$step->spec['of']}: nothing says so",
            },
        ];
        $writes = [
            static fn() => $step->fill(['result' => $result])->save(),
            fn() => $this->records->write(
                $by,
                'step.indication',
                "card:{$step->card_id}",
                ['step' => $step->no, ...$result],
            ),
        ];

        return $is->verdict() === Verdict::Pass
            ? Worked::done($result)
            : Worked::short($result, Verdict::Fail, ...$writes);
    }
}
