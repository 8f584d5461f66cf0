<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Do\Work\StepKinds;
use App\Floor\Model\Card;
use App\Floor\Model\Presence;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Stores\Model\FittedPart;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Floor\StepOrder;

/**
 * Works one step of a card, as its kind is worked, or takes a confirmation back.
 *
 * Every change counts the card's version up by one; whoever comes with an older one is refused and shown the card as it is.
 */
final readonly class WorkStep
{
    public function __construct(private Clock $clock, private Records $records, private StepKinds $kinds, private Standings $standings, private FitToWork $fit) {}

    /** @throws Refused with what stands in the way */
    public function __invoke(Person $by, Card $card, int $no, StepInput $in): void
    {
        DB::transaction(function () use ($by, $card, $no, $in): void {
            $card->refresh()->loadMissing(['steps', 'aircraft.type', 'template.manual', 'assignments.person.qualifications']);
            $card->requireVersion($in->version);
            $this->requireWorkable($card);
            $this->fit->requireFit($by->loadMissing('qualifications'), $card);
            $this->standings->requireQuiet($by, $card);
            $step = $card->steps->firstWhere('no', $no) ?? throw Refused::because("Card {$card->number} has no step {$no}.");
            $step->setRelation('card', $card);
            match (true) {
                $in->do === 'reopen' => $this->reopen($by, $step, $in),
                $in->do === 'call' && $step->kind === 'rollcall' && $step->state === Step::DONE => $this->kinds->of($step->kind)->work($by, $step, $in),
                default => $this->work($by, $card, $step, $in),
            };
            $card->state = Card::IN_WORK;
            $card->begun_at ??= (string) $this->clock->now();
            $card->version++;
            $card->save();
            Presence::updateOrCreate(['person_id' => $by->id], ['card_id' => $card->id, 'since' => Presence::where(['person_id' => $by->id, 'card_id' => $card->id])->value('since') ?? (string) $this->clock->now()]);
            Visit::whereKey($card->visit_id)->where('state', Visit::PLANNED)->update(['state' => Visit::IN_WORK]);
        });
    }

    private function requireWorkable(Card $card): void
    {
        if ($card->state === Card::SIGNED || $card->state === Card::CLOSED) {
            throw Refused::because("Card {$card->number} is signed; its steps stand as they are.");
        }
        $first = $card->load('waitsFor:id,number,title,state')->mustWaitFor();
        if ($first !== null) {
            throw Refused::because("Card {$card->number} waits for {$first->number} {$first->title}. That is worked first; nothing was changed here.");
        }
        if (! $card->revisionCurrent()) {
            throw Refused::because("Card {$card->number} was written from revision {$card->revision}; {$card->template->manual->code} is at revision {$card->template->revisionInForce()}. It must be re-read and accepted before anyone starts.");
        }
    }

    private function work(Person $by, Card $card, Step $step, StepInput $in): void
    {
        if ($step->state === Step::DONE) {
            throw Refused::because("Step {$step->no} is already done. Take it back first if it was wrong.");
        }
        $before = StepOrder::blocking($card->order(), $step->no);
        if ($before !== null) {
            throw Refused::because("Step {$before} comes first: this card is worked in order.");
        }
        $kind = $this->kinds->of($step->kind);
        if (! in_array($in->do, $kind->answers(), true)) {
            throw Refused::because("Step {$step->no} ({$step->kind}) cannot be answered with \"{$in->do}\".");
        }
        $this->standings->requireFree($by, $card, $step);
        $result = $kind->work($by, $step, $in);
        if ($result !== null) {
            $step->fill(['state' => Step::DONE, 'result' => $result, 'done_by' => $by->id, 'done_at' => (string) $this->clock->now()])->save();
            $this->records->write($by, 'step.done', "card:{$step->card_id}", ['step' => $step->no, 'kind' => $step->kind, ...$result]);
        }
    }

    private function reopen(Person $by, Step $step, StepInput $in): void
    {
        if ($step->state !== Step::DONE) {
            throw Refused::because("Step {$step->no} is not done; there is nothing to take back.");
        }
        if (str_starts_with($step->kind, 'safing')) {
            throw Refused::because('A safing device is taken out of the register by its own step, not by taking this one back.');
        }
        if ($step->kind === 'inspection') {
            throw Refused::because('An inspection stands until something that it looked at is taken back.');
        }
        if ($in->note === '') {
            throw Refused::because('Say why the step is taken back; the first entry stays in the record.');
        }
        Reading::where('step_id', $step->id)->update(['stands' => false]);
        FittedPart::where('step_id', $step->id)->update(['stands' => false]);
        $step->open();
        $fallen = $step->card->inspectedAfter($step);
        $fallen->each(static fn(Step $inspection) => $inspection->open());
        $this->records->write($by, 'step.taken_back', "card:{$step->card_id}", ['step' => $step->no, 'why' => $in->note, ...($fallen->isEmpty() ? [] : ['inspect_again' => $fallen->pluck('no')->all()])]);
    }
}
