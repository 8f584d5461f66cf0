<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Handover;
use App\Floor\Model\Presence;
use App\Floor\Model\Reading;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use App\Stores\Model\ToolLoan;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;

/** Hands a half-done card over with its state in words, takes it over, and calls people clear of it. */
final readonly class HandCardOver
{
    public function __construct(private Clock $clock, private Records $records) {}

    /** @throws Refused when there is nothing to hand over */
    public function give(Person $by, Card $card, int $version, string $said): void
    {
        DB::transaction(function () use ($by, $card, $version, $said): void {
            $card->refresh()->requireVersion($version);
            if ($card->worked()) {
                throw Refused::because("Card {$card->number} is signed; there is nothing left to hand over.");
            }
            if ($card->handovers()->whereNull('taken_at')->exists()) {
                throw Refused::because("Card {$card->number} is handed over already and waits for whoever takes it.");
            }
            $state = $this->state($card);
            Handover::create(['card_id' => $card->id, 'person_id' => $by->id, 'state' => $state, 'said' => $said, 'at' => (string) $this->clock->now()]);
            Presence::where(['card_id' => $card->id, 'person_id' => $by->id])->delete();
            $card->update(['version' => $card->version + 1]);
            $this->records->write($by, 'card.handed_over', "card:{$card->id}", ['number' => $card->number, 'state' => $state, 'said' => $said]);
        });
    }

    /** @throws Refused when nothing waits to be taken over */
    public function take(Person $by, Card $card): void
    {
        DB::transaction(function () use ($by, $card): void {
            $last = $card->handovers()->whereNull('taken_at')->first() ?? throw Refused::because("Card {$card->number} is not handed over.");
            $last->update(['taken_by' => $by->id, 'taken_at' => (string) $this->clock->now()]);
            $this->records->write($by, 'card.taken_over', "card:{$card->id}", ['number' => $card->number, 'from' => $last->person_id]);
        });
    }

    /**
     * Somebody is no longer at a card's work: themselves, or called clear by whoever sees that they are gone.
     *
     * @throws Refused when they are not there
     */
    public function clear(Person $by, Card $card, int $personId): void
    {
        DB::transaction(function () use ($by, $card, $personId): void {
            $there = Presence::with('person')->where(['card_id' => $card->id, 'person_id' => $personId])->first() ?? throw Refused::because('That person is not at this card.');
            $there->delete();
            $this->records->write($by, 'person.clear', "card:{$card->id}", ['person' => $there->person->stamp, 'since' => $there->since]);
        });
    }

    /** The state of a card in words, as it would be handed over now. */
    public function state(Card $card): string
    {
        $card->loadMissing(['steps', 'safing', 'loans', 'findings', 'readings']);
        $done = $card->steps->where('state', Step::DONE)->count();
        $next = $card->nextStep();
        $words = ["{$done} of ".Words::count($card->steps->count(), 'step').' done.'];
        if ($next !== null) {
            $begun = $next->started_at === null ? '' : ', its hold begun at '.$this->clock->time(Instant::parse($next->started_at)).' and not finished';
            $words[] = "Next: step {$next->no}, {$next->title}{$begun}.";
        }
        $fitted = $card->safing->whereNull('removed_at');
        if ($fitted->isNotEmpty()) {
            $words[] = 'Still fitted: '.$fitted->map(static fn(SafingDevice $d): string => "{$d->kind}, {$d->place}")->implode('; ').'.';
        }
        $bad = $card->readings->where('stands', true)->whereIn('verdict', ['fail', 'marginal']);
        if ($bad->isNotEmpty()) {
            $words[] = 'Out of limits: '.$bad->map(static fn(Reading $r): string => "{$r->point} {$r->value} {$r->unit}")->implode('; ').'.';
        }
        $open = $card->findings->where('state', 'open');
        if ($open->isNotEmpty()) {
            $words[] = 'Open: '.$open->map(static fn(Finding $f): string => "{$f->number} {$f->place}")->implode('; ').'.';
        }
        if ($card->loans->isNotEmpty()) {
            $words[] = 'Out on the card: '.$card->loans->map(static fn(ToolLoan $l): string => $l->quantity === 1 ? $l->what : "{$l->quantity} {$l->what}")->implode('; ').'.';
        }

        return implode(' ', $words);
    }
}
