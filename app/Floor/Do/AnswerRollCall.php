<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Do\Work\CallClear;
use App\Floor\FloorWords;
use App\Floor\Model\Step;
use App\Now\CardFile;
use App\Now\CommitOnFloor;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;
use Jorvel\Core\Floor\NotNow;
use Jorvel\Core\Floor\StepOrder;

/** A roll-call answered on a device of one's own: "I stand here, and it is clear", and the briefing that is signed. */
final readonly class AnswerRollCall
{
    public function __construct(
        private Clock $clock,
        private CommitOnFloor $commit,
        private CallClear $call,
        private Records $records,
    ) {}

    /** @throws Refused while it is not the turn of that roll-call, or for somebody who stands elsewhere */
    public function here(Person $by, int $cardId, int $no, string $place): CardFile
    {
        return $this->answer($cardId, $no, true, fn(Step $s): Worked => $this->call->stand($by, $s, $place, $by));
    }

    /**
     * A second person says the word that a step wants.
     *
     * @throws Refused while it is not the step's turn, or wants none
     */
    public function second(Person $by, int $cardId, int $no): CardFile
    {
        return ($this->commit)($cardId, function (CardFile $file) use ($by, $no): Closure {
            $why = NotNow::toWork($file->now);
            if ($why !== null) {
                throw Refused::because(FloorWords::notNow($why, $file->card, $this->clock));
            }
            $step = $file->step($no);
            $before = StepOrder::blocking($file->now->order(), $no);
            if (! isset($step->spec['second']) || $step->settled() || $before !== null) {
                throw Refused::because($before === null
                    ? "Step {$no} waits for no second person. Nothing was saved."
                    : "Step {$before} comes first. Nothing was saved.");
            }
            $said = ['by' => $by->id, 'name' => "{$by->name} ({$by->stamp})", 'at' => (string) $this->clock->now()];

            return function () use ($by, $file, $step, $said): void {
                $step->update(['result' => [...$step->result ?? [], 'second' => $said]]);
                $this->records->write($by, 'step.second', "card:{$file->card->id}", [
                    'step' => $step->no, 'says' => $step->spec['second']['says'],
                ]);
            };
        });
    }

    /** @throws Refused for anybody but whoever stands where it is signed, and for a wrong signature */
    public function brief(Person $by, int $cardId, int $no, string $stamp, string $pin): CardFile
    {
        return $this->answer($cardId, $no, false, fn(Step $s): Worked => $this->call->brief($by, $s, $stamp, $pin));
    }

    /**
     * @param bool $also once the call is made: a call is made again while what it is for goes on
     * @param Closure(Step): Worked $ask
     */
    private function answer(int $cardId, int $no, bool $also, Closure $ask): CardFile
    {
        return ($this->commit)($cardId, function (CardFile $file) use ($no, $also, $ask): Closure {
            $why = NotNow::toWork($file->now);
            if ($why !== null) {
                throw Refused::because(FloorWords::notNow($why, $file->card, $this->clock));
            }
            $step = $file->step($no);
            if ($step->kind !== 'rollcall') {
                throw Refused::because("Step {$no} is no roll-call.");
            }
            if ($step->settled() && ! $also) {
                throw Refused::because("The roll-call of step {$no} is over. Nothing was signed.");
            }
            $before = StepOrder::blocking($file->now->order(), $no);
            if ($before !== null) {
                throw Refused::because("Step {$before} comes first: the roll-call is not called yet.");
            }
            $writes = $ask($step)->writes;

            return static fn() => array_map(static fn(Closure $write): mixed => $write(), $writes);
        });
    }
}
