<?php

declare(strict_types=1);

namespace App\Bench\Do\Work;

use App\Bench\Model\Recording;
use App\Floor\Do\Attempts;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;
use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Bench\ChangeOver;
use Jorvel\Core\Bench\Response;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Shared\InputError;

/** The recording that was brought in for the attempt that goes on, and what it says of a step. */
final readonly class TestSamples
{
    /** @throws Refused without an attempt, or a recording of it */
    public function of(Step $step): RecordedRun
    {
        $key = $step->spec['test']['key'] ?? null;
        $attempt = $key === null ? null : TestAttempt::running($step->card_id, $key);
        if ($attempt === null) {
            throw Refused::because(
                'A recording belongs to an attempt at a test; here none goes on. Nothing was saved.',
            );
        }
        $recording = Recording::where('attempt_id', $attempt->id)->orderByDesc('id')->first() ?? throw Refused::because(
            "Attempt {$attempt->no} has no recording yet. Bring it in first; nothing was saved.",
        );

        return RecordedRun::of($recording);
    }

    /**
     * The reference that a recording gives to the transition that counts from this step; null where it was not stable.
     *
     * @throws Refused where no transition does, or the recording has none
     */
    public function reference(Step $step): ?float
    {
        $id = $step->spec['id'] ?? '';
        foreach ($step->card->steps as $other) {
            if ($other->kind === 'transition' && $other->spec['reference'] === $id) {
                return $this->response($other)->reference;
            }
            // The other engine's reference is its own mean over the same time.
            if ($other->kind === 'transition' && ($other->spec['partner']['reference'] ?? null) === $id) {
                return $this->response($other, $step->spec['signal'] ?? $other->spec['partner']['point'])->reference;
            }
        }
        throw Refused::because('No transition of this card counts from it. Read it instead; nothing was saved.');
    }

    /**
     * The change-over that a step watches: the first transition of its test is the first change of mode, and so on.
     *
     * @return array{ChangeOver, float} with the reference of the recording
     *
     * @throws Refused where the recording says nothing of it
     */
    public function change(Step $step): array
    {
        $response = $this->response($step);
        if ($response->reference === null) {
            throw Refused::because('The recording was not stable for long enough before the first change-over: '
                .'nothing can be judged by it. Nothing was saved.');
        }
        $n = (int) array_search(
            $step->id,
            array_column(self::transitions($step->card, $step->spec['test']['key']), 'id'),
            true,
        );
        $change = $response->changes[$n] ?? throw Refused::because(
            'The recording has '.Words::count(count($response->changes), 'change-over').'; this step is number '
                .($n + 1).'. Nothing was saved.',
        );
        if ($change->verdict === Verdict::Invalid) {
            throw Refused::because("The recording does not watch this change-over for {$step->spec['watch']} s: it "
                .'ends, or changes again, before that. Nothing was saved.');
        }

        return [$change, $response->reference];
    }

    /** @return list<Step> the transitions of one test of a card, in their order */
    public static function transitions(Card $card, string $key): array
    {
        return array_values(Attempts::steps($card, $key)->where('kind', 'transition')->all());
    }

    private function response(Step $step, ?string $signal = null): Response
    {
        try {
            return $this->of($step)->response($step, $signal);
        } catch (InputError $e) {
            throw Refused::because(ucfirst("{$e->getMessage()}. Nothing was saved."));
        }
    }
}
