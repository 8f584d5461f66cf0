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
use Jorvel\Core\Bench\Sequence;
use Jorvel\Core\Bench\Verdict;

/** In which order things moved, as somebody saw it. */
final readonly class SeeSequence implements StepKind
{
    public function __construct(private Records $records) {}

    public function answers(): array
    {
        return ['order'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $titles = array_column($step->spec['items'], 'title', 'id');
        $seen = [];
        foreach ($titles as $id => $title) {
            $place = trim($in->entries[$id] ?? '');
            if (preg_match('/^[1-9][0-9]?$/D', $place) !== 1) {
                throw Refused::because("Say when it moved: {$title}. Nothing was saved.");
            }
            $seen[(string) $id] = (int) $place;
        }
        $said = Sequence::of($step->spec['order'], $seen);
        $late = array_map(static fn(string $id): string => (string) $titles[$id], $said->late);
        $result = [
            'order' => $seen, 'verdict' => $said->verdict->value,
            'said' => $late === [] ? 'in the right order' : 'too soon: '.Words::list($late),
        ];
        $writes = [
            static fn() => $step->fill(['result' => $result])->save(),
            fn() => $this->records->write(
                $by,
                'step.sequence',
                "card:{$step->card_id}",
                ['step' => $step->no, ...$result],
            ),
        ];

        return $said->verdict === Verdict::Pass
            ? Worked::done($result)
            : Worked::short($result, Verdict::Fail, ...$writes);
    }
}
