<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Library\Model\CardTemplate;
use App\Library\Model\ProgrammeItem;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Now\LoadBay;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Closure;

/** Puts a card of the Library on a visit by itself: a proof that is missing, a test that is asked for. */
final readonly class AddCard
{
    public function __construct(
        private MakeCard $make,
        private VisitFrame $frame,
        private LoadBay $bays,
        private Records $records,
        private CommitUnmoved $commit,
    ) {}

    /** @throws Refused for a visit that is over, a card of another type, and one that stands open on it already */
    public function __invoke(Person $by, int $visitId, int $templateId): Card
    {
        return ($this->commit)(function () use ($by, $visitId, $templateId): Closure {
            $visit = Visit::with('aircraft.type')->findOrFail($visitId);
            $template = CardTemplate::with('manual')->findOrFail($templateId);
            if ($visit->state === Visit::RELEASED) {
                throw Refused::because("\"{$visit->title}\" is released; nothing is added to it any more.");
            }
            if ($template->type_id !== $visit->aircraft->type_id) {
                throw Refused::because("{$template->code} is a card of another type than {$visit->aircraft->mark}.");
            }
            $open = $visit->cards()->where('template_id', $template->id)->whereIn('state', [Card::OPEN, Card::IN_WORK])
                ->first();
            if ($open !== null) {
                throw Refused::because("Card {$open->number} is {$template->code} already, and open. Work that one.");
            }

            // One that an item of the visit has got since belongs to that item's set.
            $with = ProgrammeItem::whereRelation('set', 'card_templates.id', $template->id)->select('id');
            $of = $visit->cards()->with('item')->where('of_set', false)->whereIn('item_id', $with)
                ->first();
            $this->bays->requireWashes(
                $visit->bay,
                collect($of?->item->wash === true ? [] : ["{$template->code} {$template->title}"]),
                'Nothing was added.',
            );

            return function () use ($by, $visit, $template, $of): Card {
                FloorCount::up($visit->aircraft_id);
                $card = ($this->make)($visit, $template, $visit->cardsMade() + 1, $of === null ? [] : [
                    ...$of->only('item_id', 'component_id'),
                    'of_set' => true,
                    'title' => $template->partOf($of->title),
                ]);
                $this->frame->complete($visit);
                $this->records->write(
                    $by,
                    'card.made',
                    "card:{$card->id}",
                    ['number' => $card->number, 'template' => $template->code],
                );

                return $card;
            };
        });
    }
}
