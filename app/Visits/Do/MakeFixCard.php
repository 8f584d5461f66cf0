<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Library\Model\CardTemplate;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Closure;

/**
 * Turns a finding into a card of its visit that fixes it; panels that were closed meanwhile are opened and closed
 * again.
 */
final readonly class MakeFixCard
{
    public function __construct(
        private MakeCard $make,
        private VisitFrame $frame,
        private Records $records,
        private CommitUnmoved $commit,
    ) {}

    /**
     * @param float $hours of work that the controller reckons with
     *
     * @throws Refused when the finding is settled, has its card, or its visit is over
     */
    public function __invoke(Person $by, Finding $finding, float $hours, ?string $skill = null): Card
    {
        return ($this->commit)(function () use ($by, $finding, $hours, $skill): Closure {
            $finding->refresh()->load('card.visit.aircraft.type', 'aircraft.type');
            $found = $finding->card;
            if ($finding->state !== Finding::OPEN) {
                throw Refused::because("Finding {$finding->number} is already {$finding->state->value}.");
            }
            if (Card::where('finding_id', $finding->id)->exists()) {
                throw Refused::because("Finding {$finding->number} already has a card.");
            }
            if ($found->visit->state === Visit::RELEASED) {
                throw Refused::because(
                    "The visit in which {$finding->number} was found is released. Take it into the next visit.",
                );
            }
            $template = self::template($found->visit->aircraft->type_id);

            return fn(): Card => $this->write($by, $finding, $template, $hours, $skill);
        });
    }

    /** @throws Refused for a type that has none */
    public static function template(int $typeId): CardTemplate
    {
        return CardTemplate::where(['type_id' => $typeId, 'makes' => 'fix'])->first() ?? throw Refused::because(
            'There is no card template for fixing a finding of this type. Add one in Library.',
        );
    }

    /**
     * What a card that fixes a finding has of its own: inspected as what it was found on is, and as its own system is.
     *
     * @param Finding $finding with `card.aircraft.type`
     *
     * @return array<string, mixed> as {@see MakeCard} takes it
     */
    public static function own(Finding $finding, float $hours, ?string $skill): array
    {
        $found = $finding->card;
        $type = $finding->aircraft->type;
        $skill ??= $found->skill;
        $covers = array_values(array_unique([...$found->covers, ...$type->inspectedOn($finding->chapter)]));

        return [
            'finding_id' => $finding->id, 'title' => "Fix {$finding->number}: {$finding->place}", 'skill' => $skill,
            'needs' => [$skill => $hours >= 8 ? 2 : 1], 'hours' => $hours, 'zone' => $found->zone,
            'independent_inspection' => $found->independent_inspection || $covers !== [],
            'covers' => $covers, 'systems' => $type->systemsOf($finding->chapter),
            'panels' => $found->panels, 'configuration' => $found->configuration ?? [],
        ];
    }

    private function write(
        Person $by,
        Finding $finding,
        CardTemplate $template,
        float $hours,
        ?string $skill,
    ): Card {
        $found = $finding->card;
        FloorCount::up($found->aircraft_id);
        $own = self::own($finding, $hours, $skill);
        $card = ($this->make)($found->visit, $template, $found->visit->cardsMade() + 1, $own);
        $finding->update(['fix_hours' => $hours]);
        $this->frame->complete($found->visit);
        $this->records->write(
            $by,
            'card.made',
            "card:{$card->id}",
            ['number' => $card->number, 'finding' => $finding->number, 'hours' => $hours],
        );

        return $card;
    }
}
