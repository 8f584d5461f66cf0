<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Records;
use App\Shared\Refused;
use Jorvel\Core\Bench\Agreement;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\Unit;

/** A mark made earlier on the card is met again: a number within its tolerance, anything else as it was noted. */
final readonly class Meet implements StepKind
{
    public function __construct(private Records $records) {}

    public function answers(): array
    {
        return ['meet'];
    }

    /** The step that made the mark. */
    public static function markOf(Step $step): ?Step
    {
        return $step->card->steps->first(
            static fn(Step $s): bool => ($s->spec['id'] ?? null) === $step->spec['mark'],
        );
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $made = self::markOf($step);
        $mark = $made?->result['mark'] ?? throw Refused::because(
            'There is no mark to meet: it was not made before. Say so to the controller; nothing was saved.',
        );
        if (! isset($made->spec['unit'])) {
            if ($in->entry !== 'met') {
                throw Refused::because("Say that it is as it was marked: {$mark}. Nothing was saved.");
            }

            return Worked::done(['met' => $mark]);
        }
        $unit = Unit::parse($made->spec['unit']);
        $is = Entered::parse($in->entry, $unit)->value;
        $said = Agreement::of($is, (float) $mark, $unit, (float) $step->spec['within']);
        $result = ['met' => $is, 'mark' => $mark, 'unit' => $unit->value, 'off' => $said->spread];
        // Nought is a mark like any other: only a difference beyond the tolerance fails.
        $within = $said->verdict !== Verdict::Fail;

        return $within ? Worked::done([...$result, 'verdict' => 'pass']) : Worked::short(
            $result,
            Verdict::Fail,
            static fn() => $step->fill(['result' => [...$result, 'verdict' => 'fail']])->save(),
            fn() => $this->records->write(
                $by,
                'step.not_met',
                "card:{$step->card_id}",
                ['step' => $step->no, ...$result],
            ),
        );
    }
}
