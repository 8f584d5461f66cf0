<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Bench\Model\RigRun;
use App\Crew\Model\Person;
use App\Floor\Model\ActingRow;
use App\Floor\Model\Card;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;
use App\Library\Model\FollowRule;
use App\Now\CardFile;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Bench\JudgedStep;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Floor\AttemptState;
use Jorvel\Core\Floor\InTest;
use Jorvel\Core\Floor\StepProgress;
use Jorvel\Core\Floor\TestPart;
use Jorvel\Core\Library\TestSteps;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/**
 * The attempts at a functional test: what a step that is not good comes to, breaking off, the verdict's steps, a new
 * attempt with its set-up anew. An attempt that is over is never changed.
 */
final readonly class Attempts
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private Exceedances $exceedances,
    ) {}

    /** @return Collection<int, Step> of one test of a card, in its order */
    public static function steps(Card $card, string $key): Collection
    {
        return $card->steps->filter(static fn(Step $s): bool => ($s->spec['test']['key'] ?? null) === $key)->values();
    }

    /** The part of a test that a step is; null outside of one. */
    public static function part(Step $step): ?TestPart
    {
        return InTest::of($step->spec)?->part;
    }

    /**
     * A step of a test that was worked and is not good: that is what came of it in this attempt. After a failure the
     * rest is not reached, unless the test goes on.
     *
     * @return list<Closure(): mixed>
     */
    public function short(Person $by, CardFile $file, Step $step, Worked $worked): array
    {
        $now = (string) $this->clock->now();
        $result = [...$worked->short ?? [], 'verdict' => $worked->verdict->value];
        $stops = $worked->verdict === Verdict::Fail && ! ($step->spec['test']['goes_on'] ?? false);

        return [
            static fn() => $step->fill([
                'state' => Step::DONE, 'result' => $result, 'done_by' => $by->id, 'done_at' => $now,
            ])->save(),
            fn() => $this->records->write($by, 'step.not_good', "card:{$step->card_id}", [
                'step' => $step->no, 'kind' => $step->kind, ...$result,
            ]),
            fn() => $stops ? $this->leave($file->card, $step, "The attempt failed at step {$step->no}.") : null,
        ];
    }

    /**
     * What was still to be set up or tested is not reached in this attempt; what was not fitted is not taken off
     * either.
     */
    private function leave(Card $card, Step $at, string $why): void
    {
        $notReached = static fn(Step $s, string $why): bool => $s->fill([
            'state' => StepProgress::NotReached, 'result' => ['why' => $why], 'started_at' => null,
        ])->save();
        $steps = self::steps($card, $at->spec['test']['key']);
        foreach ($steps as $step) {
            $left = $step->state === Step::OPEN && $step->no !== $at->no;
            if ($left && self::part($step)?->skipped() === true) {
                $notReached($step, $why);
            }
            $fitted = $left && $step->kind === 'safing_remove' ? $steps->firstWhere('no', $step->spec['of']) : null;
            if ($fitted?->state === StepProgress::NotReached) {
                $notReached($step, "It was not fitted in this attempt: step {$fitted->no} was not reached.");
            }
        }
    }

    /**
     * The attempt is broken off: what runs is stopped, what is left is not reached, and what is to be put back is put
     * back. A limit that was exceeded is recorded at once.
     *
     * @return list<Closure(): mixed>
     *
     * @throws Refused without a reason, or where no attempt goes on
     */
    public function breakOff(Person $by, CardFile $file, Step $step, StepInput $in): array
    {
        $key = $step->spec['test']['key'] ?? null;
        $attempt = $key === null ? null : TestAttempt::running($step->card_id, $key);
        if ($attempt === null || $attempt->broken_at !== null) {
            throw Refused::because('No attempt goes on there that could be broken off. Nothing was changed.');
        }
        if ($in->note === '') {
            throw Refused::because(
                'Say why it is broken off. Nothing was changed; whoever runs it stops all the same.',
            );
        }
        $steps = self::steps($file->card, (string) $key);
        $left = $steps->filter(static fn(Step $s): bool
            => $s->state === Step::OPEN && self::part($s)?->skipped() === true);
        if ($left->isEmpty()) {
            throw Refused::because('It is worked through to what is put back; give the verdict. Nothing was changed.');
        }
        $beyond = $this->exceeded($file->card, $in);
        $invalid = ($in->entries['as'] ?? '') === 'invalid';
        $now = (string) $this->clock->now();
        $ids = $steps->pluck('id')->all();

        return [
            static fn() => WorkStep::end($file, $by, $now, static fn(ActingRow $a): bool
                => $a->running && in_array($a->step_id, $ids, true)),
            fn() => $this->leave(
                $file->card,
                $steps->firstOrFail(),
                ($invalid ? 'Not valid: ' : 'Broken off: ').$in->note,
            ),
            static fn() => $attempt->update([
                'broken_by' => $by->id, 'broken_at' => $now, 'broken_why' => $in->note,
                'broken_as' => $invalid ? AttemptState::Invalid : AttemptState::BrokenOff,
            ]),
            fn() => $this->records->write($by, 'test.broken_off', "card:{$step->card_id}", [
                'test' => $attempt->title, 'attempt' => $attempt->no, 'step' => $step->no, 'why' => $in->note,
            ]),
            fn() => $beyond === null
                ? null
                : $this->exceedances->record($by, $file->card->aircraft, $beyond),
        ];
    }

    /** @throws Refused for a limit with half of what is asked */
    private function exceeded(Card $card, StepInput $in): ?NewExceedance
    {
        [$rule, $position] = [trim($in->entries['rule'] ?? ''), trim($in->entries['position'] ?? '')];
        if ($rule === '') {
            return null;
        }
        $table = FollowRule::inForce($card->aircraft->type_id)->firstWhere('code', $rule)?->rule()->exceeded
            ?? throw Refused::because("There is no limit \"{$rule}\" for this type. Nothing was changed.");
        try {
            return new NewExceedance(
                $rule,
                $position,
                Entered::parse($in->entries['peak'] ?? '', $table->unit)->value,
                Entered::parse($in->entries['seconds'] ?? '', Unit::s)->value,
                'run',
                $this->clock->now(),
                $in->note,
            );
        } catch (InputError $e) {
            throw Refused::because("{$table->quantity}: {$e->getMessage()}. Nothing was changed.");
        }
    }

    /**
     * What the steps of a test came to in this attempt.
     *
     * @return list<JudgedStep> those that pass or fail
     */
    public static function judged(Card $card, string $key): array
    {
        $out = [];
        foreach (self::steps($card, $key) as $step) {
            $counts = self::part($step) === TestPart::Test && in_array($step->kind, TestSteps::JUDGING, true);
            if ($counts && $step->state !== StepProgress::NotApplicable) {
                $out[] = new JudgedStep(
                    $step->spec['test']['name'] ?? null,
                    $step->title,
                    $step->state === Step::DONE ? Verdict::from($step->result['verdict'] ?? 'pass') : null,
                );
            }
        }

        return $out;
    }

    /**
     * The steps of a test as they are, to be kept with the attempt.
     *
     * @return list<array<string, mixed>>
     */
    public static function kept(Card $card, string $key): array
    {
        $steps = self::steps($card, $key);
        $readings = Reading::with(['tool', 'taker'])->whereIn('step_id', $steps->pluck('id'))->where('stands', true)
            ->orderBy('id')->get()->groupBy('step_id');
        $steps->loadMissing('doer');

        return array_values(array_map(static fn(Step $s): array => [
            'no' => $s->no, 'kind' => $s->kind, 'title' => $s->title, 'part' => $s->spec['test']['part'],
            'state' => $s->state->value, 'result' => $s->result ?? [], 'spec' => $s->spec,
            'by' => $s->doer === null ? null : "{$s->doer->name} ({$s->doer->stamp})",
            'at' => $s->done_at === null ? null : (string) $s->done_at,
            'readings' => array_map(static fn(Reading $r): array => [
                'point' => $r->point, 'kind' => $r->kind->value, 'run' => $r->run, 'value' => $r->value,
                'unit' => $r->unit, 'verdict' => $r->verdict, 'margin' => $r->margin, 'tool' => $r->tool?->code,
                'by' => $r->taker->name, 'at' => (string) $r->at,
            ], array_values(($readings->get($s->id)?->all()) ?? [])),
        ], $steps->filter(
            static fn(Step $s): bool => ! in_array(self::part($s), [TestPart::Begin, TestPart::Verdict], true),
        )->all()));
    }

    /**
     * A new attempt: every step of the test is worked anew, its set-up first. What the last one read no longer stands;
     * it is kept with that attempt.
     *
     * @return list<Closure(): mixed>
     *
     * @throws Refused while one goes on, or after one that passed
     */
    public function anew(Person $by, CardFile $file, Step $step): array
    {
        $last = $step->kind === 'verdict' ? $this->last($step) : null;
        if ($last === null || $step->settled() || $last->state === AttemptState::Begun) {
            throw Refused::because('A new attempt follows one that is over and did not pass. Nothing was changed.');
        }
        $steps = self::steps($file->card, $step->spec['test']['key']);

        return [
            static fn() => Reading::whereIn('step_id', $steps->pluck('id'))->update(['stands' => false]),
            static fn() => $steps->each(static fn(Step $s) => $s->open()),
            fn() => $this->records->write($by, 'test.anew', "card:{$step->card_id}", [
                'test' => $last->title, 'after' => $last->no, 'fell' => $steps->pluck('no')->all(), 'step' => $step->no,
            ]),
        ];
    }

    /** The last attempt at the test that a step is of; one that fell does not count. */
    public function last(Step $step): ?TestAttempt
    {
        return TestAttempt::where([
            'card_id' => $step->card_id, 'key' => $step->spec['test']['key'], 'stands' => true,
        ])->orderByDesc('no')->first();
    }

    /** @throws Refused for a step of an attempt that is over and did not pass: it stands as it was */
    public function requireOpen(CardFile $file, Step $step): void
    {
        $key = $step->spec['test']['key'] ?? null;
        $verdict = $key === null
            ? null
            : self::steps($file->card, $key)->firstWhere('kind', 'verdict');
        if ($verdict !== null && ! $verdict->settled() && isset($verdict->result['attempt'])) {
            throw Refused::because(
                "Attempt {$verdict->result['attempt']} is over and is kept as it was. Begin a new one; "
                    .'nothing was changed.',
            );
        }
    }

    /**
     * A test whose verdict is opened again no longer stands, and is begun anew; where only its begin falls, that
     * attempt was none.
     *
     * @param non-empty-list<Step> $opened
     */
    public function fall(Card $card, array $opened): void
    {
        foreach ($opened as $step) {
            $key = $step->spec['test']['key'] ?? null;
            if ($key !== null && in_array(self::part($step), [TestPart::Begin, TestPart::Verdict], true)) {
                TestAttempt::where(['card_id' => $card->id, 'key' => $key, 'state' => AttemptState::Begun])
                    ->update(['state' => AttemptState::Invalid, 'ended_at' => (string) $this->clock->now()]);
                TestAttempt::where(['card_id' => $card->id, 'key' => $key])->update(['stands' => false]);
            }
        }
        // A ground run that goes on rests on what came before it on its card.
        $from = min(array_map(static fn(Step $s): int => $s->no, $opened));
        foreach ($card->steps->where('no', '>=', $from)->where('kind', 'rig') as $step) {
            RigRun::running($step)?->update([
                'state' => AttemptState::Invalid, 'ended_at' => (string) $this->clock->now(),
            ]);
        }
    }
}
