<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Do\Work\Circuit;
use App\Floor\Model\Card;
use App\Floor\Model\CircuitPoint;
use App\Floor\Model\Finding;
use App\Floor\Model\Step;
use App\Floor\Show\SystemHistory;
use App\Now\FloorCount;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;

/**
 * Something is wrong: it becomes a finding, told at once if the same place was found before, and later it is fixed or
 * deferred.
 */
final readonly class RaiseFinding
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private SystemHistory $history,
        private WhatFollows $follows,
    ) {}

    /** @throws Refused for a step that the card has not */
    public function raise(Person $by, Card $card, NewFinding $new): Finding
    {
        return DB::transaction(function () use ($by, $card, $new): Finding {
            if ($new->step !== null && ! $card->steps->contains('no', $new->step)) {
                throw Refused::because(
                    "Card {$card->number} has no step {$new->step}. Nothing was raised; say at which step it was "
                        .'found, or at none.',
                );
            }
            $round = $new->point === null ? null : self::round($card, $new);
            FloorCount::up($card->aircraft_id);
            $chapter = $new->chapter ?? $card->chapter();
            $before = $this->history->samePlace($card->aircraft, $chapter, $new->place);
            $finding = Finding::create([
                'aircraft_id' => $card->aircraft_id, 'card_id' => $card->id, 'raised_by' => $by->id,
                'number' => sprintf('F%04d', (int) Finding::max('id') + 1), 'chapter' => $chapter,
                'severity' => $new->severity, 'step_no' => $new->step,
                'place' => $new->place, 'extent' => $new->extent, 'spot' => $new->spot, 'sketch' => $new->sketch,
                'repeat_of' => $before?->id,
                'state' => Finding::OPEN, 'raised_at' => (string) $this->clock->now(),
            ]);
            $this->records->write($by, 'finding.raised', "finding:{$finding->id}", [
                'number' => $finding->number, 'card' => $card->number, 'place' => $new->place, 'extent' => $new->extent,
                'severity' => $new->severity, 'repeat_of' => $before?->number,
                ...($round === null ? [] : ['step' => $round->no, 'point' => $new->point]),
            ]);
            $new->follows ? $this->follows->from($by, $finding, $card) : null;
            if ($round !== null) {
                CircuitPoint::where(['step_id' => $round->id, 'point' => $new->point])->update(['stands' => false]);
                CircuitPoint::create([
                    'step_id' => $round->id, 'point' => $new->point, 'entry' => $finding->number, 'verdict' => 'fail',
                    'person_id' => $by->id, 'at' => (string) $this->clock->now(),
                ]);
            }

            return $finding;
        });
    }

    /** @throws Refused for a point of a round that is none, or is done */
    private static function round(Card $card, NewFinding $new): Step
    {
        $step = $card->steps->first(static fn(Step $s): bool => $s->no === $new->step && $s->kind === 'circuit');
        if ($step === null || $step->settled()) {
            throw Refused::because('There is no round here with an open point of that name. Raise it at no point; '
                .'nothing was raised.');
        }
        Circuit::place($step, (string) $new->point);

        return $step;
    }

    /**
     * Marks a finding on the drawing, or marks it elsewhere; the record keeps where it was marked before.
     *
     * @param array{view: string, x: float, y: float} $spot on one view, in metres
     *
     * @throws Refused once it is fixed
     */
    public function mark(Person $by, Finding $finding, array $spot): void
    {
        DB::transaction(function () use ($by, $finding, $spot): void {
            if ($finding->refresh()->state === Finding::FIXED) {
                throw Refused::because("Finding {$finding->number} is fixed; its place stays as it was marked.");
            }
            $was = $finding->spot;
            $finding->update(['spot' => $spot]);
            $this->records->write(
                $by,
                'finding.marked',
                "finding:{$finding->id}",
                ['number' => $finding->number, 'spot' => $spot, 'was' => $was],
            );
        });
    }
}
