<?php

declare(strict_types=1);

namespace App\Visits;

use App\Floor\Card;
use App\Floor\Step;
use App\Library\CardTemplate;
use App\Stores\CardPart;
use App\Stores\Part;

/** Makes one card of a visit from its template: needs, steps, and the parts that it reserves. */
final readonly class MakeCard
{
    /** @param array<string, mixed> $own what differs from the template: title, hours, zone, panels, states, item, finding */
    public function __invoke(Visit $visit, CardTemplate $template, int $n, array $own = []): Card
    {
        $panels = $own['panels'] ?? [];
        $card = Card::create([
            'visit_id' => $visit->id, 'aircraft_id' => $visit->aircraft_id, 'template_id' => $template->id,
            'number' => sprintf('%03d-%02d', $visit->id, $n), 'title' => $template->title, 'revision' => $template->revision, 'skill' => $template->skill,
            'hours' => $template->hours, 'zone' => $template->zone, 'critical' => $template->critical, 'state' => Card::OPEN, 'version' => 1,
            'phase' => $template->phase, 'makes' => $template->makes, 'needs' => $template->people(), 'positions' => $template->positions, 'tools' => $template->toolKinds(),
            ...$own,
            'panels' => $panels, 'states' => [...$template->states ?? [], ...$own['states'] ?? []] ?: null,
        ]);
        Step::insert(array_map(static fn(array $s, int $i): array => [
            'card_id' => $card->id, 'no' => $i + 1, 'kind' => $s['kind'], 'title' => $s['title'], 'text' => $s['text'] ?? '',
            'spec' => json_encode((object) ($s['spec'] ?? []), JSON_THROW_ON_ERROR), 'state' => Step::OPEN,
        ], $template->steps, array_keys($template->steps)));
        if ($template->parts !== null) {
            $ids = Part::whereIn('number', array_keys($template->parts))->pluck('id', 'number');
            CardPart::insert(array_map(static fn(string $no, int $many): array => ['card_id' => $card->id, 'part_id' => $ids[$no], 'quantity' => $many], array_keys($template->parts), $template->parts));
        }

        return $card;
    }
}
