<?php

declare(strict_types=1);

namespace App\Floor\Do;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\ReportTaken;
use App\Floor\Show\LineFlights;
use App\Library\Model\ProgrammeItem;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Do\Assign;
use App\Visits\Do\MakeCard;
use App\Visits\Model\Visit;
use Closure;
use Jorvel\Core\Fleet\LineCheck;

/** Checks on the line: begun at the aircraft by whoever goes round it, without a visit and without a plan. */
final readonly class LineChecks
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private CommitUnmoved $commit,
        private MakeCard $make,
        private Assign $assign,
        private RaiseFinding $raise,
    ) {}

    /**
     * Begins a check, or joins the one that is begun.
     *
     * @param NewFinding|null $report what the crew said, where the check follows a report
     * @param string|null $before number of today's flight before which it is turned round; null for the next
     *
     * @return Card its card
     *
     * @throws Refused while the aircraft stands in a visit, for somebody who does not fit, an item of another type, or
     *   a flight that wants no turnaround
     */
    public function begin(Person $by, string $mark, int $itemId, ?NewFinding $report, ?string $before = null): Card
    {
        return ($this->commit)(function () use ($by, $mark, $itemId, $report, $before): Closure {
            $aircraft = Aircraft::with('type', 'fleet')->where('mark', $mark)->firstOrFail();
            $item = ProgrammeItem::with('template')->where(['type_id' => $aircraft->type_id, 'withdrawn' => false])
                ->whereNotNull('line')->find($itemId)
                ?? throw Refused::because("{$aircraft->type->code} has no such check on the line. Nothing was begun.");
            $open = self::openOf($aircraft->id, $item->id);
            if ($open !== null && $before !== null && $open->visit->flight !== $before) {
                throw Refused::because("{$open->title} is begun and not signed, on card {$open->number}. Finish it "
                    .'first; nothing was begun.');
            }
            if ($open !== null && $report === null) {
                return fn(): Card => $this->join($by, $open);
            }
            if (($item->line === LineCheck::Report) !== ($report !== null)) {
                throw Refused::because($report === null
                    ? 'Enter what the crew said; the check follows that. Nothing was begun.'
                    : 'What a crew said begins the check that follows a report. Nothing was begun.');
            }
            $visit = Visit::where(['aircraft_id' => $aircraft->id, 'state' => Visit::IN_WORK])->first();
            if ($visit !== null) {
                throw Refused::because("{$mark} stands in \"{$visit->title}\": it is looked at there, and its release "
                    .'says that it is good. Nothing was begun.');
            }

            $flight = $item->line === LineCheck::Turnaround ? $this->flight($aircraft, $before) : null;

            return function () use ($by, $aircraft, $item, $report, $flight): Card {
                $card = $this->write($by, $aircraft, $item, $report, flight: $flight);
                if ($report !== null) {
                    event(new ReportTaken($by, $aircraft, Finding::where('card_id', $card->id)->firstOrFail()));
                }

                return $card;
            };
        });
    }

    /** @throws Refused for a flight that wants none, and once every flight of today has its own */
    private function flight(Aircraft $aircraft, ?string $before): ?string
    {
        $turns = LineFlights::today($this->clock, [$aircraft->id])->of($aircraft->id);
        if ($before !== null && ! $turns->wants($before)) {
            throw Refused::because("{$before} wants no turnaround of {$aircraft->mark} today: it is its first flight, "
                .'is signed, or comes before one that is. Nothing was begun.');
        }
        if ($before === null && $turns->any() && $turns->next() === null) {
            throw Refused::because("{$aircraft->mark} is turned round for every flight of today. Nothing was begun.");
        }

        return $before ?? $turns->next();
    }

    /**
     * The check after a report, for something that was told elsewhere: by a recorder, by a controller. Whoever works
     * cards is on it; others leave it to who takes it.
     *
     * @return Card|null its card, with the finding raised at it; null for a type without such a check
     */
    public function after(Person $by, Aircraft $aircraft, NewFinding $report): ?Card
    {
        $item = ProgrammeItem::with('template')->where([
            'type_id' => $aircraft->type_id, 'withdrawn' => false, 'line' => LineCheck::Report,
        ])->orderBy('code')->first();

        if ($item === null) {
            return null;
        }
        $open = self::openOf($aircraft->id, $item->id);
        if ($open !== null) {
            $this->raise->raise($by, $open, $report);
        }

        return $open ?? $this->write(
            $by,
            $aircraft,
            $item,
            $report,
            with: $by->holds(Role::Technician, Role::Inspector, Role::Certifier),
        );
    }

    private static function openOf(int $aircraft, int $item): ?Card
    {
        return Card::with('assignments', 'steps', 'aircraft.type', 'visit')
            ->where(['aircraft_id' => $aircraft, 'item_id' => $item])
            ->whereIn('visit_id', Visit::onLine()->where('visits.state', '!=', Visit::RELEASED)->select('id'))
            ->orderByDesc('id')->first();
    }

    private function join(Person $by, Card $card): Card
    {
        $on = $card->assignments->contains(static fn(Assignment $a): bool => $a->person_id === $by->id);
        if (! $on && ! $card->worked()) {
            $this->assign->add($by, $card, $by->id, 'perform');
        }

        return $card;
    }

    /** @param bool $with whoever begins it is on it */
    private function write(
        Person $by,
        Aircraft $aircraft,
        ProgrammeItem $item,
        ?NewFinding $report,
        bool $with = true,
        ?string $flight = null,
    ): Card {
        FloorCount::up($aircraft->id);
        $today = (string) $this->clock->today();
        $title = $item->title.($flight === null ? '' : " before {$flight}");
        $visit = Visit::create([
            'aircraft_id' => $aircraft->id, 'title' => $title, 'flight' => $flight, 'bay' => Visit::LINE,
            'kind' => Visit::CHECK,
            'start' => $today, 'end' => $today, 'state' => Visit::IN_WORK,
        ]);
        $visit->setRelation('aircraft', $aircraft);
        $card = ($this->make)($visit, $item->template, 1, [
            'item_id' => $item->id, 'title' => $title, 'hours' => $item->ownHours(),
        ], $item->chapter);
        $card->load('aircraft.type', 'assignments', 'steps')->setRelation('visit', $visit);
        $this->records->write($by, 'line.begun', "card:{$card->id}", [
            'aircraft' => $aircraft->mark, 'item' => $item->code, 'number' => $card->number,
        ]);
        if ($with) {
            $this->assign->add($by, $card, $by->id, 'perform');
        }
        if ($report !== null) {
            $this->raise->raise($by, $card, $report);
        }

        return $card;
    }

    /**
     * A card on the line is taken by whoever fits: there is no plan that gives it to somebody.
     *
     * @throws Refused for a card of a visit, one that is worked, or somebody who does not fit
     */
    public function take(Person $by, int $cardId): Card
    {
        return ($this->commit)(function () use ($by, $cardId): Closure {
            $card = Card::with('assignments', 'steps', 'aircraft.type', 'visit')->findOrFail($cardId);
            if ($card->visit->kind !== Visit::CHECK || $card->worked()) {
                throw Refused::because($card->worked()
                    ? "Card {$card->number} is worked. Nothing was changed."
                    : "Card {$card->number} belongs to a visit: whoever plans it puts people on it. Nothing was "
                        .'changed.');
            }

            return fn(): Card => $this->join($by, $card);
        });
    }

    /**
     * A check that was begun by mistake, or at the wrong aircraft, is left; nothing of it was done.
     *
     * @throws Refused once something was done or found at it
     */
    public function leave(Person $by, int $visitId, string $why): void
    {
        ($this->commit)(function () use ($by, $visitId, $why): Closure {
            $visit = Visit::onLine()->with('cards.steps', 'cards.findings')->findOrFail($visitId);
            $worked = $visit->cards->contains(static fn(Card $c): bool => $c->begun_at !== null
                || $c->findings->contains(static fn(Finding $f): bool => $f->state === Finding::OPEN));
            if ($visit->state === Visit::RELEASED || $worked) {
                throw Refused::because($visit->state === Visit::RELEASED
                    ? 'That check is over. Nothing was changed.'
                    : 'Something was done or found at it: it is finished and signed, or what is open is deferred. '
                        .'Nothing was changed.');
            }

            return function () use ($by, $visit, $why): void {
                FloorCount::up($visit->aircraft_id);
                Visit::withoutGlobalScope('visits')->whereKey($visit->id)->update([
                    'state' => Visit::RELEASED, 'released_at' => (string) $this->clock->now(),
                ]);
                $this->records->write($by, 'line.left', "visit:{$visit->id}", [
                    'title' => $visit->title, 'why' => $why,
                ]);
            };
        });
    }
}
