<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\CardClosed;
use App\Floor\FloorWords;
use App\Floor\Model\Card;
use App\Floor\Model\Clocking;
use App\Floor\Model\Damage;
use App\Floor\Model\Finding;
use App\Floor\Model\Presence;
use App\Floor\Model\Step;
use App\Library\FollowWords;
use App\Now\CardFile;
use App\Now\CommitOnFloor;
use App\Now\LoadCard;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use App\Stores\Do\ToolDesk;
use App\Stores\Model\ToolLoan;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Floor\NotNow;
use Jorvel\Core\Floor\NotSigned;
use Jorvel\Core\Floor\StepOrder;

/** Signs a card: by whoever worked it, and, where it is due, by an independent inspector who did not. */
final readonly class SignCard
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private ToolDesk $desk,
        private CommitOnFloor $commit,
        private Disturb $disturb,
        private Standings $standings,
    ) {}

    /**
     * @param float|null $spent hours that it took; as clocked where null, or as planned
     * @param array<array-key, int> $counted what came back of each loan of the card, by loan; all of them, or nothing
     *   is signed
     *
     * @throws Refused while a step is open, something of it is out or live, or the signer may not sign for this work
     */
    public function sign(
        Person $by,
        int $cardId,
        int $version,
        string $stamp,
        string $pin,
        ?float $spent = null,
        array $counted = [],
    ): CardFile {
        $ask = function (CardFile $file) use ($by, $version, $stamp, $pin, $spent, $counted): Closure {
            $file->requireVersion($version);
            $card = $file->card;
            $this->requireOpenTo($file);
            if ($by->trainee) {
                throw Refused::because(
                    'You work under supervision: your supervisor signs this card. Nothing was signed.',
                );
            }
            $why = NotSigned::why($file->now, (string) $by->id, array_map(strval(...), array_keys($counted)));
            if ($why !== null) {
                throw Refused::because(FloorWords::notSigned($why, $file->now));
            }
            $this->requireFit($by, $card, 'perform', $card->skill, false);
            self::requireFollowed($card);
            self::requireWalkedRound($card);
            $loans = $this->desk->outOn($card);
            $loans->each(fn(ToolLoan $l) => $this->desk->requireWhole($l, $counted[$l->id] ?? 0));
            $by->requireSignature($stamp, $pin);

            return fn() => $this->write($by, $card, $loans, $spent);
        };

        return ($this->commit)($cardId, $ask);
    }

    /** @param Collection<int, ToolLoan> $loans that come back with the signature */
    private function write(Person $by, Card $card, Collection $loans, ?float $spent): void
    {
        $now = (string) $this->clock->now();
        $loans->each(fn(ToolLoan $l) => $this->desk->in($by, $l, $l->quantity));
        // Where its own steps are inspected, the last of those inspections is the card's.
        $inspected = $card->steps->last(static fn(Step $s): bool => $s->kind === 'inspection');
        $card->fill([
            'signed_by' => $by->id, 'signed_at' => $now, 'closed_at' => $now,
            'spent' => $spent ?? Clocking::hours($card->id, $this->clock->now()) ?? $card->hours,
            'inspected_by' => $inspected?->done_by, 'inspected_at' => $inspected?->done_at,
            'state' => $card->independent_inspection && $inspected === null ? Card::SIGNED : Card::CLOSED,
        ]);
        // Whoever signs says that they are gone; the others say so themselves.
        Presence::leave($by->id, $card->id, $now);
        $this->settle($by, $card);
        $this->records->write($by, 'card.signed', "card:{$card->id}", [
            'number' => $card->number, 'stamp' => $by->stamp, 'revision' => $card->revision,
            'statement' => self::statement($card, $by),
        ]);
    }

    /**
     * What whoever signs a card says with it: who did which steps, to which revision. @param Card $card with
     * `steps.doer` or the people's names loaded
     */
    public static function statement(Card $card, Person $by): string
    {
        $card->loadMissing('steps.doer');
        $steps = [];
        foreach ($card->steps->where('kind', '!=', 'inspection') as $step) {
            $who = $step->done_by === $by->id ? $by : $step->doer ?? $by;
            $steps["{$who->name} ({$who->stamp})"][] = $step->no;
        }
        $did = FloorWords::whoDid($steps);

        return "Card {$card->number}, {$card->title}, has been worked to {$card->template->manual->code} "
            ."revision {$card->revision}: {$did}. Its tools and rags are counted in.";
    }

    /**
     * The independent inspection of a signed card.
     *
     * @param list<string> $covers what was looked at
     *
     * @throws Refused for whoever ever had a hand in the card, or may not inspect this type, or has not looked at
     *   everything
     */
    public function inspect(Person $by, int $cardId, int $version, array $covers, string $stamp, string $pin): CardFile
    {
        return ($this->commit)($cardId, function (CardFile $file) use ($by, $version, $covers, $stamp, $pin): Closure {
            $file->requireVersion($version);
            $card = $file->card;
            if ($card->state !== Card::SIGNED) {
                throw Refused::because("Card {$card->number} is not waiting for an independent inspection.");
            }
            $this->requireOpenTo($file);
            $this->requireInspected($by, $card, $card->covers, $covers);
            self::requireFollowed($card);
            $by->requireSignature($stamp, $pin);

            return function () use ($by, $card): void {
                $card->fill([
                    'inspected_by' => $by->id,
                    'inspected_at' => (string) $this->clock->now(),
                    'state' => Card::CLOSED,
                ]);
                $this->settle($by, $card);
                $this->disturb->inspected($by, $card);
                $this->records->write(
                    $by,
                    'card.inspected',
                    "card:{$card->id}",
                    ['number' => $card->number, 'stamp' => $by->stamp, 'covers' => $card->covers],
                );
            };
        });
    }

    /**
     * The independent inspection that a step asks for before the card goes on.
     *
     * @param list<string> $covers what was looked at
     *
     * @throws Refused as for a whole card, and while the steps before it are open
     */
    public function inspectStep(
        Person $by,
        int $cardId,
        int $no,
        int $version,
        array $covers,
        string $stamp,
        string $pin,
    ): CardFile {
        $ask = function (CardFile $file) use ($by, $no, $version, $covers, $stamp, $pin): Closure {
            $file->requireVersion($version);
            $card = $file->card;
            $step = $card->steps->firstWhere('no', $no);
            if ($step === null || $step->kind !== 'inspection' || $step->settled()) {
                throw Refused::because(
                    "Step {$no} of card {$card->number} is not waiting for an independent inspection.",
                );
            }
            $this->requireOpenTo($file);
            $before = StepOrder::blocking($file->now->order(), $no);
            if ($before !== null) {
                throw Refused::because("Step {$before} comes first: there is nothing to inspect yet.");
            }
            $this->requireInspected($by, $card, $step->spec['covers'], $covers);
            $this->standings->requireJoined($file, LoadCard::step($step));
            $by->requireSignature($stamp, $pin);

            return function () use ($by, $card, $step, $file): void {
                $step->fill([
                    'state' => Step::DONE,
                    'done_by' => $by->id,
                    'done_at' => (string) $this->clock->now(),
                    'result' => ['covers' => $step->spec['covers']],
                ])
                    ->save();
                $this->disturb->done($by, $file, $step);
                $this->records->write(
                    $by,
                    'step.inspected',
                    "card:{$card->id}",
                    ['step' => $step->no, 'stamp' => $by->stamp, 'covers' => $step->spec['covers']],
                );
            };
        };

        return ($this->commit)($cardId, $ask);
    }

    /** @throws Refused while no entry at all may be made: to be re-read, or handed over */
    private function requireOpenTo(CardFile $file): void
    {
        $why = NotNow::ofAnyEntry($file->now);
        if ($why !== null) {
            throw Refused::because(FloorWords::notNow($why, $file->card, $this->clock));
        }
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

    /** @throws Refused while something that follows from the finding that it settles is not answered */
    private static function requireFollowed(Card $card): void
    {
        $finding = $card->finding_id === null ? null : $card->finding;
        $waits = $finding?->unanswered() ?? [];
        if ($finding !== null && $waits !== []) {
            throw Refused::because(FollowWords::waits($finding, $waits));
        }
    }

    /** @throws Refused for an induction that has not looked at every damage that is known */
    private static function requireWalkedRound(Card $card): void
    {
        $left = $card->makes === 'induct' ? Damage::notSeenAt($card) : [];
        if ($left !== []) {
            throw Refused::because('Not looked at yet: '.Words::list($left).'. Each known damage is looked at on the way '
                .'round, so that old is told from new: from this card, on the damage map. Nothing was signed.');
        }
    }

    /** A closed card that was made for a finding settles it; what else hangs on it hears of it. */
    private function settle(Person $by, Card $card): void
    {
        if ($card->state === Card::CLOSED) {
            event(new CardClosed($by, $card));
        }
        if ($card->state === Card::CLOSED && $card->finding_id !== null) {
            Finding::whereKey($card->finding_id)->where('state', Finding::OPEN)
                ->update([
                    'state' => Finding::FIXED,
                    'fixed_how' => "by card {$card->number}",
                    'settled_at' => (string) $this->clock->now(),
                ]);
        }
    }

    private function requireFit(Person $by, Card $card, string $role, ?string $skill, bool $tookPart): void
    {
        $type = $card->aircraft->type->code;
        $code = $by->qualified()->unfit($role, $type, $skill, $this->clock->today(), $tookPart);
        if ($code === 'not_independent') {
            throw Refused::because(
                'You had a hand in this card, so you cannot inspect it independently. Another inspector must.',
            );
        }
        if ($code !== null) {
            throw Refused::because("{$by->name} ".Words::unfit($code, $role, $type, $skill).'. Nothing was signed.');
        }
    }
}
