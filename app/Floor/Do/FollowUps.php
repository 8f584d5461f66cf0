<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Finding;
use App\Floor\Model\FollowUp;
use App\Library\Model\FollowRule;
use App\Now\FloorCount;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;

/** What follows from a finding is answered by name: looked at, answered, or not needed, with the reason. */
final readonly class FollowUps
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private RaiseFinding $raise,
        private WhatFollows $follows,
    ) {}

    /**
     * @param string $answer what was seen, or the choice
     * @param NewFinding|null $wrong what is wrong there; it is a finding of its own
     *
     * @throws Refused for one that is answered, or that a card answers, or an answer that is none of the choices
     */
    public function answer(Person $by, int $id, string $answer, ?NewFinding $wrong): Finding
    {
        return $this->settle($by, $id, FollowUp::ANSWERED, $answer, function (FollowUp $f) use ($by, $answer, $wrong) {
            if ($f->choices !== [] && ! in_array($answer, $f->choices, true)) {
                throw Refused::because('Choose one of: '.implode(', ', $f->choices).'. Nothing was saved.');
            }

            return $wrong === null ? null : $this->raise->raise($by, $f->finding->card, $wrong);
        });
    }

    /** @throws Refused for one that is answered, or that a card answers */
    public function notNeeded(Person $by, int $id, string $why): Finding
    {
        return $this->settle($by, $id, FollowUp::NOT_NEEDED, $why, static fn(): ?Finding => null);
    }

    /**
     * Its answer was a mistake: it is to be answered once more. The record keeps what was said.
     *
     * @throws Refused for one that is not answered, led to a finding, or whose finding is settled
     */
    public function mistake(Person $by, int $id, string $why): Finding
    {
        return DB::transaction(function () use ($by, $id, $why): Finding {
            $follow = FollowUp::with('finding', 'led')->findOrFail($id);
            $of = $follow->finding;
            if (! $follow->reopens($of->state)) {
                throw Refused::because(match (true) {
                    $follow->led !== null => "Finding {$follow->led->number} was raised for it, and stands.",
                    $of->state !== Finding::OPEN => "Finding {$of->number} is {$of->state->value}: what was answered "
                        .'stays as it is.',
                    default => 'It is not answered.',
                }.' Nothing was changed.');
            }
            FloorCount::up($of->aircraft_id);
            $this->records->write($by, 'follow.opened_again', "finding:{$of->id}", [
                'number' => $of->number, 'what' => $follow->text, 'was' => $follow->answer,
                'said_by' => $follow->person_id, 'why' => $why,
            ]);
            $follow->update(['state' => FollowUp::OPEN, 'answer' => '', 'person_id' => null, 'at' => null]);

            return $of;
        });
    }

    /**
     * A rule that the words of a finding did not tell, but somebody does.
     *
     * @throws Refused for a rule of another type, of a limit, or one that was opened
     */
    public function add(Person $by, Finding $finding, int $ruleId): Finding
    {
        return DB::transaction(function () use ($by, $finding, $ruleId): Finding {
            $finding->refresh()->load('card.visit', 'card.aircraft.type');
            $rule = FollowRule::inForce($finding->aircraft->type_id)->find($ruleId);
            $of = $rule?->rule();
            if ($rule === null || $of?->found === null) {
                throw Refused::because('That is no rule of what follows from a finding on this type. Nothing was '
                    .'opened.');
            }
            if ($finding->state !== Finding::OPEN) {
                throw Refused::because("Finding {$finding->number} is {$finding->state->value}. Nothing was opened.");
            }
            $codes = FollowRule::where(['type_id' => $rule->type_id, 'code' => $rule->code])->select('id');
            if (FollowUp::where('finding_id', $finding->id)->whereIn('rule_id', $codes)->exists()) {
                throw Refused::because("{$rule->code} is opened already. Nothing was opened.");
            }
            FloorCount::up($finding->aircraft_id);
            $this->follows->open($by, $finding, $finding->card, $rule, $of->then);

            return $finding;
        });
    }

    /** @param \Closure(FollowUp): ?Finding $then what it led to */
    private function settle(Person $by, int $id, string $state, string $said, \Closure $then): Finding
    {
        return DB::transaction(function () use ($by, $id, $state, $said, $then): Finding {
            $follow = FollowUp::with('finding.card.aircraft.type', 'finding.card.steps', 'finding.card.visit')
                ->findOrFail($id);
            if (! $follow->waits()) {
                throw Refused::because($follow->kind->asks()
                    ? 'It is answered already. Nothing was saved.'
                    : 'That is not answered here. Nothing was saved.');
            }
            FloorCount::up($follow->finding->aircraft_id);
            $led = $then($follow);
            $follow->update([
                'state' => $state, 'answer' => $said, 'led_to' => $led?->id, 'person_id' => $by->id,
                'at' => (string) $this->clock->now(),
            ]);
            $this->records->write($by, "follow.{$state}", "finding:{$follow->finding_id}", [
                'number' => $follow->finding->number, 'what' => $follow->text, 'said' => $said,
                ...$led === null ? [] : ['led_to' => $led->number],
            ]);

            return $follow->finding;
        });
    }
}
