<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Fleet\Model\Aircraft;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Library\Model\CardTemplate;
use App\Library\Model\Manual;
use App\Library\Model\ProgrammeItem;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Library\Steps;
use Symfony\Component\HttpFoundation\Response;

/** Cards of templates of their own, for what a template can say. */
trait WritesCards
{
    private int $visit = 0;

    /**
     * A card of a template of its own on one visit of QA-VFC, with people on it.
     *
     * @param list<array<string, mixed>> $steps
     * @param array<string, mixed> $more of the template
     */
    private function card(array $steps, array $more = [], string ...$people): Card
    {
        self::assertSame([], Steps::faults(json_decode((string) json_encode(array_map(
            static fn(array $s): array => [...$s, 'spec' => (object) ($s['spec'] ?? [])],
            $steps,
        )))), 'the template has no faults');
        $manual = Manual::where('code', 'AM-SKV')->firstOrFail();
        $template = CardTemplate::create([
            'type_id' => Aircraft::where('mark', 'QA-VFC')->valueOrFail('type_id'), 'manual_id' => $manual->id,
            'code' => 'SKV-T'.CardTemplate::max('id'), 'title' => 'A test', 'chapter' => '35',
            'revision' => $manual->revision, 'skill' => 'airframe', 'hours' => 1.0, 'zone' => 'flight deck',
            'independent_inspection' => false, 'covers' => [], 'stage' => 'look', 'section' => '35-11', 'method' => '',
            'steps' => $steps, 'systems' => ['oxygen'], ...$more,
        ]);
        $this->visit = $this->visit !== 0 ? $this->visit : (int) $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'Tests', 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-06',
            'items' => [ProgrammeItem::where('code', '61-21')->valueOrFail('id')],
        ])->assertCreated()->json('id');
        $this->as('ines', 'POST', "visits/{$this->visit}/cards", ['template' => $template->id])->assertCreated();
        $card = Card::where(['visit_id' => $this->visit, 'template_id' => $template->id])->firstOrFail();
        foreach ($people === [] ? ['oda'] : $people as $login) {
            Assignment::create(['card_id' => $card->id, 'person_id' => $this->person($login)->id, 'role' => 'perform']);
        }

        return $card;
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<Response>
     */
    private function work(Card $card, int $no, string $do = 'done', array $more = [], string $who = 'oda'): TestResponse
    {
        return $this->as($who, 'POST', "cards/{$card->id}/steps/{$no}", [
            'version' => $card->refresh()->version, 'do' => $do, ...$more,
        ]);
    }

    /** @return array<string, mixed> one step as the card shows it */
    private function step(Card $card, int $no): array
    {
        return $this->as('oda', 'GET', "cards/{$card->id}")->assertOk()->json('steps.'.($no - 1));
    }
}
