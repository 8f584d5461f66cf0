<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Bench\Model\RigRun;
use App\Crew\Model\Person;
use App\Floor\Do\Work\Circuit;
use App\Floor\Do\Work\StepKinds;
use App\Floor\FloorWords;
use App\Floor\Model\ActingRow;
use App\Floor\Model\Card;
use App\Floor\Model\Exchange;
use App\Floor\Model\Presence;
use App\Floor\Model\Step;
use App\Library\Do\Lessons;
use App\Now\CardFile;
use App\Now\CommitOnFloor;
use App\Now\LoadCard;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Closure;
use Jorvel\Core\Floor\Lasting;
use Jorvel\Core\Floor\MayNotApply;
use Jorvel\Core\Floor\NotNow;
use Jorvel\Core\Floor\SecondWord;
use Jorvel\Core\Floor\StepOrder;
use Jorvel\Core\Floor\StepProgress;
use Jorvel\Core\Floor\TestPart;
use Jorvel\Core\Now\StepNow;
use Jorvel\Core\Shared\Instant;

/**
 * Works one step of a card, as its kind is worked, breaks off what runs, or takes a confirmation back.
 *
 * Every change counts the card's version up by one; whoever comes with an older one is refused and shown the card as it
 * is.
 */
final readonly class WorkStep
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private StepKinds $kinds,
        private Standings $standings,
        private FitToWork $fit,
        private CommitOnFloor $commit,
        private Disturb $disturb,
        private TakeStepBack $back,
        private Attempts $attempts,
        private Lessons $lessons,
    ) {}

    /**
     * @throws Refused with what stands in the way
     */
    public function __invoke(Person $by, int $cardId, int $no, StepInput $in): CardFile
    {
        $by->loadMissing('qualifications');

        return ($this->commit)($cardId, function (CardFile $file) use ($by, $no, $in): Closure {
            // The points of a circuit are seen by several people at once, each point once.
            if (! in_array($in->do, Circuit::ONE, true)) {
                $file->requireVersion($in->version);
            }
            $this->requireWorkable($file, $by);
            $step = $file->step($no);
            $writes = match (true) {
                $in->do === 'take_back' => $this->back->ask($by, $file, $step, $in->note, false),
                $in->do === 'again' => $this->back->ask($by, $file, $step, $in->note, true),
                $in->do === 'not_applicable' => $this->notApplicable($by, $file, $step, $in->note),
                $in->do === 'stop' => $this->breakOff($by, $file, $step, $in->note),
                $in->do === 'break_off' => $this->attempts->breakOff($by, $file, $step, $in),
                $in->do === 'new_attempt' => $this->attempts->anew($by, $file, $step),
                default => $this->work($by, $file, $step, $in),
            };

            return fn() => $this->write($by, $file, $writes);
        });
    }

    /** @param list<Closure(): mixed> $writes */
    private function write(Person $by, CardFile $file, array $writes): void
    {
        $card = $file->card;
        $now = (string) $this->clock->now();
        foreach ($writes as $write) {
            $write();
        }
        $card->state = Card::IN_WORK;
        $card->begun_at ??= $now;
        $card->addHand($by->id, $now);
        Presence::come($by->id, $card->id, $now);
        if ($card->visit->state === Visit::PLANNED) {
            $card->visit->update(['state' => Visit::IN_WORK]);
        }
    }

    private function requireWorkable(CardFile $file, Person $by): void
    {
        $why = NotNow::toWork($file->now);
        if ($why !== null) {
            throw Refused::because(FloorWords::notNow($why, $file->card, $this->clock));
        }
        $this->fit->requireFit($by, $file->card);
        if (! in_array((string) $by->id, $file->now->hands, true)) {
            $this->lessons->requireRead($by, $file->card->template);
        }
        $this->standings->requireQuiet($by, $file);
    }

    /** @return list<Closure(): mixed> */
    private function work(Person $by, CardFile $file, Step $step, StepInput $in): array
    {
        $again = $in->do === 'call' && $step->kind === 'rollcall';
        $is = $this->turn($file, $step, $again);
        if ($is->unmet !== null) {
            throw Refused::because("Step {$step->no} does not apply here: ".FloorWords::unmet($is->unmet)
                .'. Say so at the step; it is not done.');
        }
        $kind = $this->kinds->of($step->kind);
        if (! in_array($in->do, $kind->answers(), true)) {
            throw Refused::because("Step {$step->no} ({$step->kind}) cannot be answered with \"{$in->do}\".");
        }
        $this->standings->requireFree($by, $file, $step);
        $this->standings->requireJoined($file, $is);
        $worked = $kind->ask($by, $step, $in);
        $second = $worked->result === null ? [] : $this->second($by, $step);
        $now = (string) $this->clock->now();
        $short = $is->test?->part === TestPart::Test && $worked->short !== null;
        $over = $worked->result !== null || $short;
        $writes = [...$worked->writes, ...$this->acting($by, $file, $step, $in->do, $over, $now)];
        if ($short) {
            $writes = [...$writes, ...$this->attempts->short($by, $file, $step, $worked)];
        }
        if ($worked->result !== null) {
            $writes[] = static fn() => $step->fill([
                'state' => Step::DONE,
                'result' => [...$worked->result, ...$second],
                'done_by' => $by->id,
                'done_at' => $now,
            ])
                ->save();
            $writes[] = fn() => $this->disturb->done($by, $file, $step);
            $writes[] = fn() => $this->records->write(
                $by,
                'step.done',
                "card:{$step->card_id}",
                ['step' => $step->no, 'kind' => $step->kind, ...$worked->result, ...$second],
            );
        }

        return $writes;
    }

    /**
     * The word of a second person, where the step wants one.
     *
     * @return array<string, mixed> to be kept with the step
     *
     * @throws Refused while nobody else has said it, or too long ago
     */
    private function second(Person $by, Step $step): array
    {
        $asked = $step->spec['second'] ?? null;
        if ($asked === null) {
            return [];
        }
        $said = $step->result['second'] ?? null;
        $why = SecondWord::missing(
            $said === null ? null : (string) $said['by'],
            $said === null ? null : Instant::parse($said['at']),
            (string) $by->id,
            $this->clock->now(),
            (int) config('jorvel.call_stands_seconds'),
        );
        if ($why !== null) {
            throw Refused::because(FloorWords::second($why, $asked));
        }

        return ['second' => $said];
    }

    /** @throws Refused unless it is open and its turn */
    private function turn(CardFile $file, Step $step, bool $again = false): StepNow
    {
        if ($step->settled() && ! $again) {
            throw Refused::because("Step {$step->no} is already "
                .($step->state === Step::DONE ? 'done' : 'answered').'. Take it back first if it was wrong.');
        }
        $before = StepOrder::blocking($file->now->order(), $step->no);
        if ($before !== null) {
            throw Refused::because("Step {$before} comes first: this card is worked in order.");
        }

        return $file->now->step($step->no) ?? LoadCard::step($step);
    }

    /**
     * That a step does not apply, with the reason: the template's own, or, where it asks for none, a person's.
     *
     * @return list<Closure(): mixed>
     */
    private function notApplicable(Person $by, CardFile $file, Step $step, string $note): array
    {
        $is = $this->turn($file, $step);
        if ($is->unmet === null && ! MayNotApply::by($file->now, $is)) {
            throw Refused::because("Step {$step->no} keeps people or the aircraft safe, or shows that it is: it is "
                .'worked, or the card is not. Ask the controller; nothing was changed.');
        }
        if ($step->started_at !== null) {
            throw Refused::because("Step {$step->no} runs. Break it off first; nothing was changed.");
        }
        if ($step->kind === 'rig' && RigRun::running($step) !== null) {
            throw Refused::because('A ground run goes on: end it or break it off first; nothing was changed.');
        }
        if ($step->kind === 'exchange' && Exchange::of($step) !== null) {
            throw Refused::because("A unit is off at step {$step->no}: put one on, or say that it did not come off. "
                .'Nothing was changed.');
        }
        $why = $is->unmet === null ? $note : ucfirst(FloorWords::unmet($is->unmet)).($note === '' ? '' : "; {$note}");
        if ($why === '') {
            throw Refused::because('Say why it does not apply; that stands on the card in place of the work.');
        }
        $now = (string) $this->clock->now();

        return [
            static fn() => $step->fill([
                'state' => StepProgress::NotApplicable,
                'result' => ['why' => $why],
                'done_by' => $by->id,
                'done_at' => $now,
            ])->save(),
            fn() => $this->records->write(
                $by,
                'step.not_applicable',
                "card:{$step->card_id}",
                ['step' => $step->no, 'why' => $why],
            ),
        ];
    }

    /**
     * What it does to a system stands for the whole aircraft from the moment it begins until it is ended.
     *
     * @return list<Closure(): mixed>
     */
    private function acting(Person $by, CardFile $file, Step $step, string $do, bool $done, string $now): array
    {
        $is = LoadCard::step($step);
        $writes = [];
        if ($is->ends !== [] && $done) {
            $writes[] = static fn() => self::end(
                $file,
                $by,
                $now,
                static fn(ActingRow $a): bool => array_intersect($a->systems, $is->ends) !== [],
            );
        }
        if ($is->acts === null) {
            return $writes;
        }
        $of = static fn(ActingRow $a): bool => $a->step_id === $step->id;
        if ($do === 'start') {
            return [
                ...$writes,
                static fn() => self::end($file, $by, $now, $of),
                static fn() => self::begin($file, $by, $step, $is, true, $now),
            ];
        }
        $over = $done || ($step->started_at !== null && $step->kind === 'test');
        if (! $over) {
            return $writes;
        }
        $writes[] = static fn() => self::end($file, $by, $now, $of);
        if (Lasting::after($file->now, $is)) {
            $writes[] = static fn() => self::begin($file, $by, $step, $is, false, $now);
        }

        return $writes;
    }

    private static function begin(CardFile $file, Person $by, Step $step, StepNow $is, bool $running, string $now): void
    {
        ActingRow::create([
            'aircraft_id' => $file->card->aircraft_id, 'card_id' => $step->card_id, 'step_id' => $step->id,
            'how' => $is->acts?->how->value, 'systems' => $is->acts->systems ?? [],
            'running' => $running, 'begun_by' => $by->id, 'since' => $now,
        ]);
    }

    /** @param callable(ActingRow): bool $which */
    public static function end(CardFile $file, Person $by, string $now, callable $which): void
    {
        if ($file->now->on->actingOf($file->now->ref->id) !== []) {
            ActingRow::where('card_id', $file->card->id)->whereNull('ended_at')
                ->get()
                ->filter($which)
                ->each(static fn(ActingRow $a) => $a->update(['ended_at' => $now, 'ended_by' => $by->id]));
        }
    }

    /**
     * A hold or a test is broken off: what acted on the system is stopped, and the step stands as not begun.
     *
     * @return list<Closure(): mixed>
     */
    private function breakOff(Person $by, CardFile $file, Step $step, string $why): array
    {
        if ($step->settled() || $step->started_at === null) {
            throw Refused::because("Step {$step->no} does not run; there is nothing to break off.");
        }
        if ($why === '') {
            throw Refused::because(
                'Say why it is broken off, and that the system is without power and pressure again. Nothing was '
                    .'changed.',
            );
        }
        $now = (string) $this->clock->now();

        return [
            static fn() => self::end($file, $by, $now, static fn(ActingRow $a): bool => $a->step_id === $step->id),
            static fn() => $step->fill(['started_at' => null])->save(),
            fn() => $this->records->write(
                $by,
                'step.broken_off',
                "card:{$step->card_id}",
                ['step' => $step->no, 'why' => $why],
            ),
        ];
    }
}
