<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Floor\FloorWords;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Handover;
use App\Floor\Model\Presence;
use App\Floor\Model\Reading;
use App\Floor\Model\Stoppage;
use App\Now\CardFile;
use App\Now\CommitOnFloor;
use App\Shared\Clock;
use App\Shared\Notices;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Closure;
use Jorvel\Core\Now\Acting;
use Jorvel\Core\Now\CardNow;
use Jorvel\Core\Now\DeviceOn;
use Jorvel\Core\Now\NotWhole;
use Jorvel\Core\Now\PersonAt;

/**
 * Hands a half-done card over with its state in words, and takes it over; people come to a card, and are clear of it.
 */
final readonly class HandCardOver
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private Notices $notices,
        private Standings $standings,
        private CommitOnFloor $commit,
    ) {}

    /** @throws Refused when there is nothing to hand over */
    public function give(Person $by, int $cardId, int $version, string $said): CardFile
    {
        return ($this->commit)($cardId, function (CardFile $file) use ($by, $version, $said): Closure {
            $file->requireVersion($version);
            $card = $file->card;
            if ($file->now->state()->worked()) {
                throw Refused::because("Card {$card->number} is signed; there is nothing left to hand over.");
            }
            if ($file->now->leftBy !== null) {
                throw Refused::because("Card {$card->number} is handed over already and waits for whoever takes it.");
            }
            $state = $this->state($file);

            return function () use ($by, $card, $state, $said): void {
                Handover::create([
                    'card_id' => $card->id,
                    'person_id' => $by->id,
                    'state' => $state,
                    'said' => $said,
                    'at' => (string) $this->clock->now(),
                ]);
                Presence::leave($by->id, $card->id, (string) $this->clock->now());
                $this->records->write(
                    $by,
                    'card.handed_over',
                    "card:{$card->id}",
                    ['number' => $card->number, 'state' => $state, 'said' => $said],
                );
            };
        });
    }

    /**
     * Whoever takes it over has read what was left; the giver may take it back the same way. @throws Refused when
     * nothing waits to be taken over
     */
    public function take(Person $by, int $cardId): CardFile
    {
        return ($this->commit)($cardId, function (CardFile $file) use ($by): Closure {
            $card = $file->card;
            $last = $card->openHandover;
            if ($last === null || $file->now->state()->worked()) {
                throw Refused::because(
                    $last === null
                        ? "Card {$card->number} is not handed over."
                        : "Card {$card->number} is signed; there is nothing left to take over.",
                );
            }

            return function () use ($by, $card, $last): void {
                $last->update(['taken_by' => $by->id, 'taken_at' => (string) $this->clock->now()]);
                $this->records->write(
                    $by,
                    'card.taken_over',
                    "card:{$card->id}",
                    ['number' => $card->number, 'from' => $last->person_id],
                );
            };
        });
    }

    /**
     * Somebody says that they are at a card: to look, to read, to help, to inspect. From now on they hold what would
     * move there.
     *
     * @throws Refused while its systems are acted on
     */
    public function come(Person $by, int $cardId): CardFile
    {
        return ($this->commit)($cardId, function (CardFile $file) use ($by): Closure {
            $this->standings->requireQuiet($by, $file);

            return function () use ($by, $file): void {
                Presence::come($by->id, $file->card->id, (string) $this->clock->now());
                $this->records->write(
                    $by,
                    'person.came',
                    "card:{$file->card->id}",
                    ['number' => $file->card->number, 'person' => $by->stamp],
                );
            };
        });
    }

    /**
     * Somebody is no longer at a card's work: themselves, or called clear by somebody else at the aircraft, or by the
     * controller; who is called clear is told.
     *
     * @throws Refused when they are not there, or whoever calls has nothing to do with this aircraft
     */
    public function clear(Person $by, int $cardId, int $personId): CardFile
    {
        return ($this->commit)($cardId, function (CardFile $file) use ($by, $personId): Closure {
            $card = $file->card;
            $there = array_values(array_filter(
                $file->now->on->at((string) $card->id),
                static fn(PersonAt $p): bool => $p->id === (string) $personId,
            ))[0]
                ?? throw Refused::because('That person is not at this card.');
            $here = $by->role === Role::Controller || $by->id === $personId
                || array_filter(
                    $file->now->on->people,
                    static fn(PersonAt $p): bool => $p->id === (string) $by->id,
                ) !== []
                || Assignment::where('person_id', $by->id)->whereHas(
                    'card',
                    static fn($q) => $q->where('aircraft_id', $card->aircraft_id)->whereIn(
                        'state',
                        [Card::OPEN, Card::IN_WORK, Card::SIGNED],
                    ),
                )->exists();
            if (! $here) {
                throw Refused::because(
                    "You are at no card of {$card->aircraft->mark}. {$there->name}, whoever works there, or the "
                        .'controller says that they are clear. Nothing was changed.',
                );
            }

            return function () use ($by, $card, $there, $personId): void {
                Presence::leave($personId, $card->id, (string) $this->clock->now());
                $this->records->write(
                    $by,
                    'person.clear',
                    "card:{$card->id}",
                    ['person' => $personId, 'since' => (string) $there->since],
                );
                if ($by->id !== $personId) {
                    $this->notices->tell(
                        $personId,
                        "{$by->name} called you clear of {$card->number}, {$card->title}. If you are still there, "
                            .'open it and say "I am here".',
                        "/floor/{$card->id}",
                    );
                }
            };
        });
    }

    /** The state of a card in words, as it would be handed over now: what is unsafe to touch first. */
    public function state(CardFile $file): string
    {
        $card = $file->card->loadMissing(['findings', 'readings']);
        $now = $file->now;
        $done = count($now->steps) - count($now->stepsOpen());
        $next = $card->nextStep();
        $bad = $card->readings->where('stands', true)->whereIn('verdict', ['fail', 'marginal']);
        $said = [
            ...array_map(
                fn(Acting $a): string => ucfirst(FloorWords::actingHolds($a, $this->clock->time($a->since))->said).'.',
                $now->on->actingOf($now->ref->id),
            ),
            "{$done} of ".Words::count(count($now->steps), 'step').' done.',
            $next === null ? '' : "Next: step {$next->no}, {$next->title}.",
            self::list(
                'Still fitted',
                array_map(static fn(DeviceOn $d): string => "{$d->kind}, {$d->place}", self::devicesOf($now)),
            ),
            self::list('Not whole', array_map(
                static fn(NotWhole $n): string => FloorWords::notWhole($n),
                array_values(array_filter(
                    $now->on->notWhole(),
                    static fn(NotWhole $n): bool => $n->last->card->id === $now->ref->id,
                )),
            )),
            self::list('It', array_values($card->loadMissing('stoppages')->stoppages->map(
                static fn(Stoppage $s): string => FloorWords::stopped($s->kind, $s->what),
            )->all())),
            self::list(
                'Out of limits',
                array_values($bad->map(static fn(Reading $r): string => "{$r->point} {$r->value} {$r->unit}")->all()),
            ),
            self::list(
                'Open',
                array_values($card->findings->where('state', 'open')->map(
                    static fn(Finding $f): string => "{$f->number} {$f->place}",
                )->all()),
            ),
            self::list('Out on the card', array_map(FloorWords::loan(...), $now->on->loansOf($now->ref->id))),
        ];

        return implode(' ', array_filter($said));
    }

    /** @return list<DeviceOn> */
    private static function devicesOf(CardNow $card): array
    {
        return array_values(array_filter(
            $card->on->devices,
            static fn(DeviceOn $d): bool => $d->card->id === $card->ref->id,
        ));
    }

    /** @param list<string> $things */
    private static function list(string $what, array $things): string
    {
        return $things === [] ? '' : "{$what}: ".implode('; ', $things).'.';
    }
}
