<?php

declare(strict_types=1);

namespace App\Visits\Do\Life;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Now\LoadBay;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Do\CreateVisit;
use App\Visits\Do\NewVisit;
use App\Visits\Do\PlanVisit;
use App\Visits\Model\Visit;
use Closure;
use Illuminate\Database\Eloquent\Collection;

/**
 * Takes cards out of a visit, or puts them into another one: a new one, or one that there is. Of each that stands for
 * an item its set goes with it. Nothing may be done on them yet; in a visit that has begun it wants a reason.
 */
final readonly class ChangeCards
{
    public function __construct(
        private CommitUnmoved $commit,
        private LoseCards $lose,
        private CancelVisit $cancel,
        private InTime $inTime,
        private LoadBay $bays,
        private CreateVisit $create,
        private PlanVisit $plan,
        private Records $records,
    ) {}

    /**
     * What they were made for is to be planned again.
     *
     * @param list<int> $cards
     *
     * @throws Refused for cards that are begun, or not of this visit
     */
    public function takeOut(Person $by, int $id, array $cards, ?string $reason): Visit
    {
        $visit = ($this->commit)(function () use ($by, $id, $cards, $reason): Closure {
            $visit = $this->visit($id, $reason);
            $out = $this->chosen($visit, $cards);

            return function () use ($by, $visit, $out, $reason): Visit {
                FloorCount::up($visit->aircraft_id);
                $said = $out->map(static fn(Card $c): string => "{$c->number} {$c->title}")->all();
                $this->lose->drop($out);
                $this->lose->tidy($visit);
                $this->records->write(
                    $by,
                    'visit.taken_out',
                    "visit:{$visit->id}",
                    ['cards' => $said, 'why' => $reason],
                );

                return $visit;
            };
        });
        ($this->plan)($visit, $by, 'planned with less');

        return $visit;
    }

    /**
     * Some of its cards become a visit of their own.
     *
     * @param list<int> $cards
     *
     * @return Visit the new one
     *
     * @throws Refused likewise, and where it cannot be on those days
     */
    public function split(Person $by, int $id, array $cards, NewVisit $new, ?string $reason): Visit
    {
        return $this->across(function () use ($by, $id, $cards, $new, $reason): Closure {
            $visit = $this->visit($id, $reason);
            $out = $this->chosen($visit, $cards);
            $this->inTime->require($visit, $out, $new->start);
            $this->bays->requireWashes($new->bay, LoadBay::dry($out), 'Nothing was changed.');
            $make = $this->create->ask($by, $new, bare: true);

            return function () use ($by, $visit, $out, $make, $reason): array {
                $to = $make();
                $this->move($by, $visit, $to, $out, $reason);

                return [$visit, $to];
            };
        }, $by);
    }

    /**
     * All that is in one goes into another of the same aircraft; the first one is no more.
     *
     * @return Visit the other
     *
     * @throws Refused for one that has begun, or another aircraft's
     */
    public function merge(Person $by, int $id, int $into, ?string $reason): Visit
    {
        return $this->across(function () use ($by, $id, $into, $reason): Closure {
            $visit = $this->visit($id, $reason);
            $to = $this->visit($into, $reason);
            if ($visit->aircraft_id !== $to->aircraft_id || $visit->id === $to->id) {
                throw Refused::because('Choose another visit of the same aircraft. Nothing was changed.');
            }
            $this->lose->requireUntouched($visit->cards);
            $out = $visit->cards->filter(static fn(Card $c): bool => $c->isWork())->values();
            $this->inTime->require($visit, $out, $to->start);
            $this->bays->requireWashes($to->bay, LoadBay::dry($out), 'Nothing was changed.');

            return function () use ($by, $visit, $to, $out): array {
                $this->move($by, $visit, $to, $out, "merged into \"{$to->title}\"");
                $visit->load(['cards.steps', 'cards.item']);
                $this->cancel->end($by, $visit, "merged into \"{$to->title}\"");

                return [null, $to];
            };
        }, $by);
    }

    /** @param Closure(): (Closure(): array{Visit|null, Visit}) $ask */
    private function across(Closure $ask, Person $by): Visit
    {
        [$from, $to] = ($this->commit)($ask);
        foreach (array_filter([$from, $to]) as $visit) {
            ($this->plan)($visit->load('aircraft.type'), $by, 'planned after cards went from one visit to another');
        }

        return $to;
    }

    /** @param Collection<int, Card> $cards */
    private function move(Person $by, Visit $from, Visit $to, Collection $cards, ?string $reason): void
    {
        FloorCount::up($from->aircraft_id);
        $n = $to->cardsMade();
        $said = [];
        foreach ($cards as $card) {
            $number = sprintf('%03d-%02d', $to->id, ++$n);
            $said[] = "{$card->number} {$card->title} as {$number}";
            $card->waitsFor()->detach();
            $card->update([
                'visit_id' => $to->id, 'number' => $number, 'planned_start' => null, 'planned_end' => null,
                'latest_start' => null, 'not_before' => null, 'first' => false, 'on_chain' => false,
            ]);
        }
        foreach ([$from, $to] as $visit) {
            $visit->unsetRelation('cards');
            $visit->loadMissing('aircraft.type');
            $this->lose->tidy($visit);
        }
        $this->records->write($by, 'visit.cards_moved', "visit:{$from->id}", [
            'into' => "visit:{$to->id}", 'title' => $to->title, 'cards' => $said, 'why' => $reason,
        ]);
    }

    private function visit(int $id, ?string $reason): Visit
    {
        $visit = Visit::with(['aircraft.type', 'cards.steps', 'cards.item'])->findOrFail($id);
        if ($visit->state === Visit::RELEASED) {
            throw Refused::because("\"{$visit->title}\" is released; it stays as it was. Nothing was changed.");
        }
        if ($visit->state === Visit::IN_WORK && trim((string) $reason) === '') {
            throw Refused::because("\"{$visit->title}\" has begun: say why it is changed. Nothing was changed.");
        }

        return $visit;
    }

    /**
     * @param list<int> $ids
     *
     * @return Collection<int, Card> with the sets of items among them
     */
    private function chosen(Visit $visit, array $ids): Collection
    {
        $named = $visit->cards->whereIn('id', $ids);
        if ($named->isEmpty() || $named->count() !== count(array_unique($ids))) {
            throw Refused::because('Choose cards of this visit. Nothing was changed.');
        }
        foreach ($named as $card) {
            if (! $card->isWork()) {
                throw Refused::because("Card {$card->number} {$card->title} is there for the others: it goes when they "
                    .'go. Nothing was changed.');
            }
        }
        $items = $named->filter(static fn(Card $c): bool => $c->item_id !== null);
        $out = $visit->cards->filter(static fn(Card $c): bool => $named->contains('id', $c->id)
            || $items->contains(static fn(Card $i): bool => $i->item_id === $c->item_id
                && $i->component_id === $c->component_id))->values();
        $this->lose->requireUntouched($out);

        return $out;
    }
}
