<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Crew\Model\Person;
use App\Floor\FloorWords;
use App\Floor\Model\Card;
use App\Floor\Model\Presence;
use App\Floor\Model\Step;
use App\Floor\Model\Stoppage;
use App\Floor\Show\View\CardRow;
use App\Floor\Show\View\FloorView;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Model\Visit;

/** The cards of the Floor: mine, those waiting for an inspection, the rest. */
final readonly class ShowFloor
{
    public function __construct(private Clock $clock) {}

    public function cards(Person $me): FloorView
    {
        $open = Card::with([
            'aircraft.type',
            'visit',
            'steps',
            'hands',
            'assignments',
            'presences.person',
            'stoppages',
            'handovers' => static fn($q) => $q->whereNull('taken_at')->with('person'),
            'template.manual',
            'waitsFor:id,number,title,state',
        ])
            ->whereHas('visit', static fn($q) => $q->where('state', '!=', Visit::RELEASED))
            ->where('state', '!=', Card::CLOSED)->orderBy('id')->get();
        $planned = $open->pluck('planned_start', 'id');
        $cards = $open->map(fn(Card $c): CardRow => $this->row($c, $me))
            ->sortBy(static fn(CardRow $r): array => [
                $r->mine ? 0 : 1,
                $r->handedOver !== null ? 0 : 1,
                $r->state === Card::IN_WORK->value ? 0 : 1,
                $planned[$r->id] ?? '',
                $r->id,
            ])
            ->values();
        $mine = $cards->where('mine', true);
        $next = $mine->first(
            static fn(CardRow $r): bool => $r->hold === null && $r->state !== Card::SIGNED->value && ! $r->inspection,
        );
        $waiting = $cards->where('inspection', true);
        $forMe = $waiting->firstWhere('inspectWhy', null);
        $inspector = $me->can('inspect', Card::class);
        $coming = $cards->first(static fn(CardRow $r): bool => $r->inspectNext !== null && ! $r->mine);
        $sentence = match (true) {
            $cards->isEmpty() => 'No card is open. Cards come here when the controller makes a visit.',
            $inspector && $forMe !== null => "For you to inspect: {$forMe->number} on {$forMe->mark}, {$forMe->title}.",
            $next !== null => (
                $next->handedOver !== null ? 'Handed over to you: ' : 'Your next card: '
            )."{$next->number} on {$next->mark}, {$next->title}.",
            $inspector && $waiting->isEmpty() && $coming !== null
                => "No card waits for an inspection. Next comes {$coming->number} on {$coming->mark}, "
                    ."{$coming->title}: {$coming->inspectNext}.",
            $waiting->isNotEmpty() => Words::count(
                $waiting->count(),
                'card waits',
                'cards wait',
            ).' for an independent inspection'.($inspector ? '; none is for you' : '').'.',
            default => 'None of the open cards is yours.',
        };

        return new FloorView($sentence, $cards->all());
    }

    /** Why a card must not be worked at all now; null when it may. */
    public function hold(Card $card): ?string
    {
        if (! $card->worked() && $card->visit->daysEarly($this->clock->today()) > 0) {
            return FloorWords::early($card->visit, $this->clock);
        }
        $first = $card->mustWaitFor();
        if ($first !== null) {
            return "waits for {$first->number}, {$first->title}";
        }
        $template = $card->template;

        return $card->revisionCurrent()
            ? null
            : "Written from revision {$card->revision}; {$template->manual->code} is at "
            ."revision {$template->revisionInForce()}. It must be re-read and accepted before anyone starts.";
    }

    /** Whether it stands at an independent inspection: signed, or at a step that is one. */
    public static function atInspection(Card $card): bool
    {
        return $card->state === Card::SIGNED || $card->nextStep()?->kind === 'inspection';
    }

    /** Why somebody may not inspect a card; null when they may. */
    public function inspectWhy(Card $card, Person $me): ?string
    {
        $type = $card->aircraft->type->code;
        $code = $me->can('inspect', $card) ? $me->qualified()->unfit(
            'duplicate',
            $type,
            null,
            $this->clock->today(),
            $card->tookPart($me->id),
        ) : 'no_authority';

        return match ($code) {
            null => null,
            'not_independent' => 'you worked on it',
            default => "{$me->name} ".Words::unfit($code, 'duplicate', $type, null),
        };
    }

    /** When a card that is in work comes to its independent inspection; null when it is not begun, or none is due. */
    private function inspectNext(Card $card): ?string
    {
        if ($card->state !== Card::IN_WORK) {
            return null;
        }
        $inspections = $card->steps->where('kind', 'inspection');
        $step = $inspections->first(static fn(Step $s): bool => ! $s->settled());
        // An inspection in mid-card, once done, is the card's.
        if ($step === null && ($inspections->isNotEmpty() || ! $card->independent_inspection)) {
            return null;
        }
        $end = $card->planned_end === null
            ? ''
            : ', planned to end '.$this->clock->local($card->planned_end);

        return ($step === null ? 'when it is signed' : "at step {$step->no}").$end;
    }

    private function row(Card $card, Person $me): CardRow
    {
        $left = $card->handovers->first();
        $inspection = self::atInspection($card);

        return new CardRow(
            $card->id,
            $card->number,
            $card->aircraft->mark,
            $card->title,
            $card->state->value,
            $card->assignments->contains('person_id', $me->id),
            $inspection,
            $inspection ? $this->inspectWhy($card, $me) : null,
            $inspection ? null : $this->inspectNext($card),
            $this->hold($card),
            $left === null
                ? null
                : "{$left->person->name}, ".$this->clock->time($left->at).": {$left->said}",
            array_values($card->presences->map(static fn(Presence $p): string => $p->person->name)->all()),
            $card->steps->where('state', '!=', Step::OPEN)->count(),
            $card->steps->count(),
            $card->zone,
            $card->visit->title,
            $card->stoppages->map(
                static fn(Stoppage $s): string => FloorWords::stopped($s->kind, $s->what),
            )->implode('; ') ?: null,
        );
    }
}
