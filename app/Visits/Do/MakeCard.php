<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Library\Model\CardTemplate;
use App\Stores\Model\CardPart;
use App\Stores\Model\Part;
use App\Visits\Model\Visit;

/** Makes one card of a visit from its template: needs, steps, and the parts that it reserves. */
final readonly class MakeCard
{
    /** What an independent inspection looks at where neither template nor system says. */
    private const USUAL = ['assembly', 'torque', 'locking'];

    /**
     * @param array<string, mixed> $own what differs from the template: title, hours, zone, panels, configuration, item,
     *   finding
     * @param string|null $chapter of the system that is worked on, where it is not the template's
     */
    public function __invoke(
        Visit $visit,
        CardTemplate $template,
        int $n,
        array $own = [],
        ?string $chapter = null,
    ): Card {
        $template = self::methodFor($template, $visit);
        $card = Card::create([
            'visit_id' => $visit->id, 'aircraft_id' => $visit->aircraft_id, 'template_id' => $template->id,
            'number' => sprintf('%03d-%02d', $visit->id, $n), 'state' => Card::OPEN, 'version' => 1,
            ...self::row($visit, $template, $own, $chapter),
        ]);
        self::fill($card, $template);

        return $card;
    }

    /**
     * What a card has from the text of its template: also when it takes a newer one.
     *
     * @param array<string, mixed> $own as above
     *
     * @return array<string, mixed> columns of `cards`
     */
    public static function row(Visit $visit, CardTemplate $template, array $own, ?string $chapter): array
    {
        $panels = array_values(array_unique([...$own['panels'] ?? [], ...$template->panels ?? []]));
        // What a visit makes by itself, panels and jacks, is no work on the system.
        $covers = $own['covers'] ?? $template->covers
            ?? ($template->makes === null
                ? $visit->aircraft->loadMissing('type')->type->inspectedOn($chapter ?? $template->chapter)
                : []);
        $independent = ($own['independent_inspection'] ?? $template->independent_inspection)
            || $covers !== []
            || in_array('inspection', array_column($template->expanded(), 'kind'), true);

        return [
            'title' => $template->title, 'revision' => $template->revision, 'skill' => $template->skill,
            'hours' => $template->hours, 'zone' => $template->zone,
            'stage' => $template->stage, 'makes' => $template->makes, 'needs' => $template->people(),
            'positions' => $template->positions, 'tools' => $template->toolKinds(),
            'ground' => $template->ground, 'template_version' => $template->version,
            ...$own,
            'independent_inspection' => $independent,
            'covers' => $independent && $covers === [] ? self::USUAL : $covers,
            'systems' => $own['systems'] ?? self::systems($visit, $template, $chapter), 'panels' => $panels,
            'configuration' => [
                ...$template->configuration ?? [],
                ...$own['configuration'] ?? [],
            ] ?: null,
        ];
    }

    /** The steps of a card that has none, and the parts that it reserves. */
    public static function fill(Card $card, CardTemplate $template): void
    {
        Step::insert($template->stepRows($card->id));
        if ($template->parts !== null) {
            $ids = Part::whereIn('number', array_keys($template->parts))->pluck('id', 'number');
            CardPart::insert(array_map(
                static fn(string $no, int $many): array => [
                    'card_id' => $card->id,
                    'part_id' => $ids[$no],
                    'quantity' => $many,
                ],
                array_keys($template->parts),
                $template->parts,
            ));
        }
    }

    /**
     * What whoever works it has their hands in: as the template says, else as its chapter does; none, and it touches
     * everything in its zone.
     *
     * @return list<string>
     */
    private static function systems(Visit $visit, CardTemplate $template, ?string $chapter): array
    {
        return $template->systems !== [] || $template->makes !== null
            ? $template->systems
            : $visit->aircraft->loadMissing('type')->type->systemsOf($chapter ?? $template->chapter);
    }

    /** Of several methods of a task, the one that the approved data of the aircraft's fleet names. */
    private static function methodFor(CardTemplate $template, Visit $visit): CardTemplate
    {
        $fleet = $visit->aircraft->loadMissing('fleet')->fleet->code;

        return $template
            ->loadMissing('methods')->methods
            ->first(static fn(CardTemplate $t): bool => in_array($fleet, $t->fleets ?? [], true))
            ?? $template;
    }
}
