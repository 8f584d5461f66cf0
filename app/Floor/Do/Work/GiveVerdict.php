<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\Attempts;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;
use App\Floor\TestFailed;
use App\Floor\TestPassed;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Jorvel\Core\Bench\TestRule;
use Jorvel\Core\Floor\AttemptState;

/**
 * The verdict of a functional test, by its rule, once everything is put back. Only a pass ends the step; whatever else
 * it is, the attempt is over and is kept, and a new one may be begun.
 */
final readonly class GiveVerdict implements StepKind
{
    public function __construct(private Clock $clock, private Records $records) {}

    public function answers(): array
    {
        return ['verdict'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $key = $step->spec['test']['key'];
        $attempt = TestAttempt::running($step->card_id, $key) ?? throw Refused::because(
            'The last attempt has its verdict. Begin a new one; nothing was changed.',
        );
        [$state, $decided] = self::stands($step, $attempt);
        $now = (string) $this->clock->now();
        $result = [
            'attempt' => $attempt->no, 'state' => $state->value, 'decided' => $decided,
            'verdict' => $state === AttemptState::Passed ? 'pass' : 'fail',
            ...$in->note === '' ? [] : ['note' => $in->note],
        ];
        $kept = static fn() => $attempt->update([
            'state' => $state, 'ended_by' => $by->id, 'ended_at' => $now, 'decided' => $decided,
            'kept' => Attempts::kept($step->card, $key),
        ]);
        $said = fn() => $this->records->write($by, 'test.ended', "card:{$step->card_id}", [
            'test' => $attempt->title, 'attempt' => $attempt->no, 'step' => $step->no, 'state' => $state->value,
            'decided' => $decided,
        ]);

        return $state === AttemptState::Passed
            ? Worked::done($result, $kept, $said, static fn() => event(new TestPassed($by, $step, $attempt)))
            : Worked::open(
                $kept,
                $said,
                static fn() => $step->fill(['result' => $result])->save(),
                static fn() => $state === AttemptState::Failed
                    ? event(new TestFailed($by, $step, $attempt))
                    : null,
            );
    }

    /**
     * What its verdict would be as it stands.
     *
     * @return array{AttemptState, list<string>} with the titles of the steps that decide it
     */
    public static function stands(Step $step, TestAttempt $attempt): array
    {
        if ($attempt->broken_at !== null) {
            return [$attempt->broken_as, [(string) $attempt->broken_why]];
        }
        [$verdict, $decided] = TestRule::from($step->spec['rule'] ?? [])->judge(
            Attempts::judged($step->card, $step->spec['test']['key']),
        );

        return [AttemptState::of($verdict), $decided];
    }
}
