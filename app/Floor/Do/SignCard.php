<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Presence;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use App\Stores\Do\ToolDesk;
use App\Stores\Model\ToolLoan;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Floor\StepOrder;

/** Signs a card: by whoever worked it, and, where it is due, by an independent inspector who did not. */
final readonly class SignCard
{
    public function __construct(private Clock $clock, private Records $records, private ToolDesk $desk) {}

    /**
     * @param float|null $spent hours that it took; as planned where null
     * @param array<array-key, int> $counted what came back of each loan of the card, by loan; one that is not named stays out
     *
     * @throws Refused while a step is open or the signer may not sign for this work
     */
    public function sign(Person $by, Card $card, int $version, string $stamp, string $pin, ?float $spent = null, array $counted = []): void
    {
        DB::transaction(function () use ($by, $card, $version, $stamp, $pin, $spent, $counted): void {
            $this->begin($card, $version);
            if ($card->state === Card::SIGNED || $card->state === Card::CLOSED) {
                throw Refused::because("Card {$card->number} is already signed.");
            }
            $open = $card->steps->where('state', '!=', Step::DONE)->pluck('no');
            if ($open->isNotEmpty()) {
                throw Refused::because('Still open: step '.$open->implode(', ').'. A card is signed when all its steps are done.');
            }
            if ($by->trainee) {
                throw Refused::because('You work under supervision: your supervisor signs this card. Nothing was signed.');
            }
            $this->requireFit($by, $card, 'perform', $card->skill, false);
            $by->requireSignature($stamp, $pin);
            $this->desk->outOn($card)->each(function (ToolLoan $l) use ($by, $counted): void {
                if (isset($counted[$l->id])) {
                    $this->desk->in($by, $l, $counted[$l->id]);
                }
            });
            // Where its own steps are inspected, the last of those inspections is the card's.
            $inspected = $card->steps->last(static fn(Step $s): bool => $s->kind === 'inspection');
            $now = (string) $this->clock->now();
            $card->fill([
                'signed_by' => $by->id, 'signed_at' => $now, 'closed_at' => $now, 'spent' => $spent ?? $card->hours,
                'inspected_by' => $inspected?->done_by, 'inspected_at' => $inspected?->done_at,
                'state' => $card->critical && $inspected === null ? Card::SIGNED : Card::CLOSED, 'version' => $card->version + 1,
            ])->save();
            Presence::where('card_id', $card->id)->delete();
            $this->settle($card);
            $this->records->write($by, 'card.signed', "card:{$card->id}", ['number' => $card->number, 'stamp' => $by->stamp, 'revision' => $card->revision]);
        });
    }

    /**
     * The independent inspection of a signed card.
     *
     * @param list<string> $covers what was looked at
     *
     * @throws Refused for whoever worked the card, or may not inspect this type, or has not looked at everything
     */
    public function inspect(Person $by, Card $card, int $version, array $covers, string $stamp, string $pin): void
    {
        DB::transaction(function () use ($by, $card, $version, $covers, $stamp, $pin): void {
            $this->begin($card, $version);
            if ($card->state !== Card::SIGNED) {
                throw Refused::because("Card {$card->number} is not waiting for an independent inspection.");
            }
            $this->requireInspected($by, $card, $card->covers, $covers);
            $by->requireSignature($stamp, $pin);
            $card->fill(['inspected_by' => $by->id, 'inspected_at' => (string) $this->clock->now(), 'state' => Card::CLOSED, 'version' => $card->version + 1])->save();
            $this->settle($card);
            $this->records->write($by, 'card.inspected', "card:{$card->id}", ['number' => $card->number, 'stamp' => $by->stamp, 'covers' => $card->covers]);
        });
    }

    /**
     * The independent inspection that a step asks for before the card goes on.
     *
     * @param list<string> $covers what was looked at
     *
     * @throws Refused as for a whole card, and while the steps before it are open
     */
    public function inspectStep(Person $by, Card $card, int $no, int $version, array $covers, string $stamp, string $pin): void
    {
        DB::transaction(function () use ($by, $card, $no, $version, $covers, $stamp, $pin): void {
            $this->begin($card, $version);
            $step = $card->steps->firstWhere('no', $no);
            if ($step === null || $step->kind !== 'inspection' || $step->state === Step::DONE) {
                throw Refused::because("Step {$no} of card {$card->number} is not waiting for an independent inspection.");
            }
            $before = StepOrder::blocking($card->order(), $no);
            if ($before !== null) {
                throw Refused::because("Step {$before} comes first: there is nothing to inspect yet.");
            }
            $this->requireInspected($by, $card, $step->spec['covers'], $covers);
            $by->requireSignature($stamp, $pin);
            $step->fill(['state' => Step::DONE, 'done_by' => $by->id, 'done_at' => (string) $this->clock->now(), 'result' => ['covers' => $step->spec['covers']]])->save();
            $card->fill(['version' => $card->version + 1])->save();
            $this->records->write($by, 'step.inspected', "card:{$card->id}", ['step' => $no, 'stamp' => $by->stamp, 'covers' => $step->spec['covers']]);
        });
    }

    /**
     * @param list<string> $due
     * @param list<string> $covers
     */
    private function requireInspected(Person $by, Card $card, array $due, array $covers): void
    {
        $this->requireFit($by, $card, 'duplicate', null, $card->tookPart($by->id));
        $left = array_diff($due, $covers);
        if ($left !== []) {
            throw Refused::because('Not yet looked at: '.implode(', ', $left).'. Nothing was signed.');
        }
    }

    /** A closed card that was made for a finding settles it. */
    private function settle(Card $card): void
    {
        if ($card->state === Card::CLOSED && $card->finding_id !== null) {
            Finding::whereKey($card->finding_id)->where('state', Finding::OPEN)->update(['state' => Finding::FIXED, 'fixed_how' => "by card {$card->number}", 'settled_at' => (string) $this->clock->now()]);
        }
    }

    private function begin(Card $card, int $version): void
    {
        $card->refresh()->load(['steps', 'aircraft.type', 'assignments']);
        if ($card->version !== $version) {
            throw Refused::stale('Somebody else changed this card while you had it open. Read it again before you sign; nothing was signed.', $card->version);
        }
    }

    private function requireFit(Person $by, Card $card, string $role, ?string $skill, bool $tookPart): void
    {
        $type = $card->aircraft->type->code;
        $code = $by->qualified()->unfit($role, $type, $skill, $this->clock->today(), $tookPart);
        if ($code === 'not_independent') {
            throw Refused::because('You worked on this card, so you cannot inspect it independently. Another inspector must.');
        }
        if ($code !== null) {
            throw Refused::because("{$by->name} ".Words::unfit($code, $role, $type, $skill).'. Nothing was signed.');
        }
    }
}
