<?php

declare(strict_types=1);

namespace App\Floor;

use App\Bench\RigSheet;
use App\Crew\Person;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Visit;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Floor\StepOrder;
use Jorvel\Core\Shared\Instant;

/**
 * Works one step of a card: confirm, start a hold, take a reading, fill in a rigging sheet, or take a confirmation back.
 *
 * Every change counts the card's version up; whoever comes with an older one is refused and shown the card as it is.
 */
final readonly class WorkStep
{
    public function __construct(private Clock $clock, private Records $records, private TakeReading $readings, private RigSheet $rigging) {}

    /** @throws Refused with what stands in the way */
    public function __invoke(Person $by, Card $card, int $no, StepInput $in): void
    {
        DB::transaction(function () use ($by, $card, $no, $in): void {
            $card->refresh()->loadMissing(['steps', 'aircraft.type', 'template.manual']);
            $this->requireFresh($card, $in);
            $this->requireWorkable($card);
            $step = $card->steps->firstWhere('no', $no) ?? throw Refused::because("Card {$card->number} has no step {$no}.");
            $step->setRelation('card', $card);
            if ($in->do === 'reopen') {
                $this->reopen($by, $step, $in);
            } else {
                $this->requireTurn($card, $step);
                $this->work($by, $step, $in);
            }
            $card->state = Card::IN_WORK;
            $card->begun_at ??= (string) $this->clock->now();
            $card->version++;
            $card->save();
            Visit::whereKey($card->visit_id)->where('state', Visit::PLANNED)->update(['state' => Visit::IN_WORK]);
        });
    }

    private function requireFresh(Card $card, StepInput $in): void
    {
        if ($card->version !== $in->version) {
            throw Refused::stale('Somebody else changed this card while you had it open. It now shows what they did; what you entered is still in its field. Look, then send it again.', $card->version);
        }
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
            throw Refused::because("Card {$card->number} was written from revision {$card->revision}; {$card->template->manual->code} is at revision {$card->template->manual->revision}. It must be re-read and accepted before anyone starts.");
        }
    }

    private function requireTurn(Card $card, Step $step): void
    {
        if ($step->state === Step::DONE) {
            throw Refused::because("Step {$step->no} is already done. Take it back first if it was wrong.");
        }
        $before = StepOrder::blocking(array_values($card->steps->map(static fn(Step $s): array => [$s->no, $s->state === Step::DONE, $s->kind === 'finding_prompt'])->all()), $step->no);
        if ($before !== null) {
            throw Refused::because("Step {$before} comes first: this card is worked in order.");
        }
    }

    private function work(Person $by, Step $step, StepInput $in): void
    {
        $wants = match ($step->kind) {
            'measurement', 'torque' => ['read'],
            'test' => ['start', 'read'],
            'rig' => ['as_found', 'as_left'],
            default => ['done'],
        };
        if (! in_array($in->do, $wants, true)) {
            throw Refused::because("Step {$step->no} ({$step->kind}) cannot be answered with \"{$in->do}\".");
        }
        match ($in->do) {
            'done' => $this->confirm($by, $step),
            'start' => $this->start($by, $step),
            'read' => $this->read($by, $step, $in),
            'as_found' => $this->rigging->asFound($by, $step, $in),
            default => $this->rigging->asLeft($by, $step, $in) && $this->finish($by, $step, ['run' => $step->runs()->max('no')]),
        };
    }

    private function confirm(Person $by, Step $step): void
    {
        if ($step->kind === 'safing_fit') {
            SafingDevice::create([
                'aircraft_id' => $step->card->aircraft_id, 'card_id' => $step->card_id, 'fitted_step_id' => $step->id, 'fitted_by' => $by->id,
                'kind' => $step->spec['device'], 'place' => $step->spec['place'], 'flag' => $step->spec['flag'], 'fitted_at' => (string) $this->clock->now(),
            ]);
        }
        if ($step->kind === 'safing_remove') {
            // By an earlier step of this card, or of the card of the same visit that made the aircraft safe or raised it.
            $fitter = isset($step->spec['made']) ? Card::with('steps')->where('visit_id', $step->card->visit_id)->where('makes', $step->spec['made'])->first() : $step->card;
            $fitted = $fitter?->steps->firstWhere('no', $step->spec['of']);
            $device = SafingDevice::where('fitted_step_id', $fitted?->id)->whereNull('removed_at')->first()
                ?? throw Refused::because("Nothing fitted by step {$step->spec['of']} is in the safing register. Look at the aircraft before you go on.");
            $device->update(['removed_by' => $by->id, 'removed_at' => (string) $this->clock->now()]);
        }
        $this->finish($by, $step, []);
    }

    private function start(Person $by, Step $step): void
    {
        $step->started_at = (string) $this->clock->now();
        $step->save();
        $this->records->write($by, 'step.hold_started', "card:{$step->card_id}", ['step' => $step->no]);
    }

    private function read(Person $by, Step $step, StepInput $in): void
    {
        if ($step->kind === 'test') {
            $hold = (int) $step->spec['hold']['seconds'];
            $held = $step->started_at === null ? null : $this->clock->now()->epoch() - Instant::parse($step->started_at)->epoch();
            if ($held === null || $held < $hold) {
                throw Refused::because($held === null ? 'Start the hold first.' : "Held for {$held} of {$hold} seconds. Hold on; the reading counts only after that.");
            }
        }
        $reading = ($this->readings)($by, $step, $step->readingSpec(), $in->entry, $in->tool);
        if ($reading->verdict === 'pass') {
            $this->finish($by, $step, ['reading' => $reading->id]);
        } elseif ($step->kind === 'test') {
            $step->started_at = null;
            $step->save();
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
        if ($in->note === '') {
            throw Refused::because('Say why the step is taken back; the first entry stays in the record.');
        }
        Reading::where('step_id', $step->id)->update(['stands' => false]);
        $step->fill(['state' => Step::OPEN, 'result' => null, 'done_by' => null, 'done_at' => null, 'started_at' => null])->save();
        $this->records->write($by, 'step.taken_back', "card:{$step->card_id}", ['step' => $step->no, 'why' => $in->note]);
    }

    /** @param array<string, mixed> $result */
    private function finish(Person $by, Step $step, array $result): bool
    {
        $step->fill(['state' => Step::DONE, 'result' => $result, 'done_by' => $by->id, 'done_at' => (string) $this->clock->now()])->save();
        $this->records->write($by, 'step.done', "card:{$step->card_id}", ['step' => $step->no, 'kind' => $step->kind, ...$result]);

        return true;
    }
}
