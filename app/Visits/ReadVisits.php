<?php

declare(strict_types=1);

namespace App\Visits;

use App\Floor\Assignment;
use App\Floor\Card;
use App\Floor\Step;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\View\AssignedView;
use App\Visits\View\VisitCard;
use App\Visits\View\VisitsView;
use App\Visits\View\VisitView;
use Illuminate\Database\Eloquent\Builder;
use Jorvel\Core\Shared\Day;

/** What the room Visits shows. */
final readonly class ReadVisits
{
    public function __construct(private Clock $clock) {}

    public function all(): VisitsView
    {
        $visits = $this->query()->where('state', '!=', Visit::RELEASED)->orderBy('start')->get()->map($this->view(...))->all();
        $open = array_filter($visits, static fn(VisitView $v): bool => $v->state === Visit::IN_WORK);
        $next = array_values(array_filter($visits, static fn(VisitView $v): bool => $v->state === Visit::PLANNED))[0] ?? null;
        $sentence = match (true) {
            $visits === [] => 'No visit is planned. Open an aircraft in Fleet, choose its due items and make one.',
            $next === null => count($open) === 1 ? 'One aircraft is in work; nothing else is planned.' : count($open).' aircraft are in work; nothing else is planned.',
            default => "{$next->mark} comes in next: {$next->title}, on ".$this->clock->words(Day::parse($next->start)).", {$next->bay}.",
        };

        return new VisitsView($sentence, $visits);
    }

    public function one(int $id): VisitView
    {
        return $this->view($this->query()->findOrFail($id));
    }

    /** @return Builder<Visit> */
    private function query(): Builder
    {
        return Visit::with(['aircraft.type', 'cards.steps', 'cards.assignments.person']);
    }

    private function view(Visit $visit): VisitView
    {
        $cards = array_values($visit->cards->map($this->card(...))->all());
        $closed = $visit->cards->where('state', Card::CLOSED)->count();
        $lacking = array_filter($cards, static fn(VisitCard $c): bool => $c->lacks !== null);
        $progress = count($cards) === 1 ? 'Its one card is open' : "{$closed} of ".count($cards).' cards are closed';
        $sentence = match (true) {
            $visit->state === Visit::RELEASED => "Released; {$closed} cards are in the record.",
            $closed === count($cards) => 'Every card is closed. The aircraft can be looked at for release.',
            $lacking !== [] => count($lacking) === 1 ? 'One card has nobody to work it yet.' : count($lacking).' cards have nobody to work them yet.',
            default => $progress.'; it must leave on '.$this->clock->words(Day::parse($visit->end)).', '.Words::fromNow($this->clock->today()->daysUntil(Day::parse($visit->end))).'.',
        };

        return new VisitView($visit->id, $visit->aircraft->mark, $visit->aircraft->type->code, $visit->title, $visit->bay, $visit->start, $visit->end, $visit->state, $sentence, (float) $visit->cards->sum('hours'), $closed, $cards);
    }

    private function card(Card $card): VisitCard
    {
        $roles = $card->assignments->pluck('role');
        $lacks = match (true) {
            $card->state === Card::CLOSED => null,
            ! $roles->contains('perform') => 'nobody to work it',
            default => null,
        };

        return new VisitCard(
            $card->id,
            $card->number,
            $card->title,
            $card->state,
            $card->critical,
            $card->skill,
            $card->hours,
            $card->zone,
            $card->steps->where('state', Step::DONE)->count(),
            $card->steps->count(),
            $card->assignments->map(static fn(Assignment $a): AssignedView => new AssignedView($a->person_id, $a->person->name, $a->person->stamp, $a->role))->all(),
            $lacks,
        );
    }
}
