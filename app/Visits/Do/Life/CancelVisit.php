<?php

declare(strict_types=1);

namespace App\Visits\Do\Life;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Closure;

/** Cancels a visit of which nothing is done, with a reason; what it was made for is to be planned again. */
final readonly class CancelVisit
{
    public function __construct(
        private CommitUnmoved $commit,
        private LoseCards $lose,
        private Records $records,
    ) {}

    /** @throws Refused for one that is over, or on which somebody worked */
    public function __invoke(Person $by, int $id, string $reason): void
    {
        ($this->commit)(function () use ($by, $id, $reason): Closure {
            $visit = Visit::with(['aircraft', 'cards.steps', 'cards.item'])->findOrFail($id);
            if ($visit->state === Visit::RELEASED) {
                throw Refused::because("\"{$visit->title}\" is released; it stays on the record.");
            }
            $this->lose->requireUntouched($visit->cards);

            return fn() => $this->end($by, $visit, $reason);
        });
    }

    /** Takes it away with its cards, in the transaction in which it is called. */
    public function end(Person $by, Visit $visit, string $reason): void
    {
        FloorCount::up($visit->aircraft_id);
        $this->lose->drop($visit->cards);
        $visit->update(['kind' => Visit::CANCELLED, 'state' => Visit::RELEASED]);
        $this->records->write($by, 'visit.cancelled', "visit:{$visit->id}", [
            'aircraft' => $visit->aircraft->mark, 'title' => $visit->title, 'bay' => $visit->bay,
            'start' => (string) $visit->start, 'end' => (string) $visit->end, 'why' => $reason,
            'items' => $visit->cards->map(static fn(Card $c): ?string => $c->item?->code)->filter()->values()->all(),
            'cards' => $visit->cards->pluck('number')->all(),
        ]);
    }
}
