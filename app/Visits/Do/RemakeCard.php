<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Floor\Model\Card;
use App\Floor\Model\Remark;
use App\Floor\Model\Step;
use App\Floor\Model\Stoppage;
use App\Library\Model\CardTemplate;
use App\Now\FloorCount;
use App\Shared\Refused;

/**
 * Makes a card of which nothing is done anew from its template, with all that the text asks: a second person, panels,
 * parts, how the aircraft stands. What its item, its finding or its visit gave it stays, and so do its people. What was
 * said at a step goes to the one of the same title, else to the first.
 */
final readonly class RemakeCard
{
    public function __construct(private VisitFrame $frame) {}

    /** @throws Refused for a card with steps done, and for one whose steps are another card's */
    public function __invoke(Card $card, CardTemplate $template): void
    {
        $card->load(['steps', 'item', 'visit.aircraft.type']);
        if ($card->worked() || $card->steps->contains(static fn(Step $s): bool => $s->settled())) {
            throw Refused::because(
                "Card {$card->number} has steps done. They cannot be made anew: finish it under a note that the "
                    .'steps stand, or have the controller take the task into another card.',
            );
        }
        if (in_array($card->makes, Card::OWN_STEPS, true)) {
            throw Refused::because($card->makes === Card::RECHECK
                ? "Card {$card->number} checks again what another card measured; its steps are that card's and stand."
                : "Card {$card->number} belongs to a deferral; its steps were made for that one and stand. Take the "
                    .'deferral back, or finish it as it is.');
        }
        FloorCount::up($card->aircraft_id);
        $said = array_map(
            static fn(string $of): array => [$of, $of::where('card_id', $card->id)->whereNotNull('step_id')->toBase()
                ->get()
                ->map(static fn(object $row): array => (array) $row)
                ->all()],
            [Remark::class, Stoppage::class],
        );
        $titles = $card->steps->pluck('title', 'id');
        $card->dropSteps();
        $card->parts()->delete();
        $card->update(MakeCard::row($card->visit, $template, self::own($card), $card->item?->chapter));
        MakeCard::fill($card, $template);
        $card->load('steps');
        foreach ($said as [$of, $rows]) {
            foreach ($rows as $row) {
                $step = $card->steps->firstWhere('title', $titles[$row['step_id']]) ?? $card->steps->firstOrFail();
                $of::upsert([...$row, 'step_id' => $step->id], ['id'], ['step_id']);
            }
        }
        $this->frame->complete($card->visit);
    }

    /** @return array<string, mixed> what it has from elsewhere than its text */
    private static function own(Card $card): array
    {
        return match (true) {
            $card->finding_id !== null => $card->only([
                'title', 'skill', 'needs', 'hours', 'zone', 'independent_inspection', 'covers', 'systems', 'panels',
                'configuration',
            ]),
            $card->of_set => $card->only(['title', 'configuration', 'of_set']),
            $card->item !== null => [
                ...$card->only(['title', 'hours', 'zone']),
                'panels' => $card->item->access, 'configuration' => $card->item->configuration ?? [],
            ],
            $card->makes !== null => $card->only(['title', 'hours', 'zone', 'makes']),
            default => [],
        };
    }
}
