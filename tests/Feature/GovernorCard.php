<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Floor\Model\Card;
use App\Library\Model\ProgrammeItem;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** A card made through the doors, and worked by whoever is assigned to it. */
trait GovernorCard
{
    private function governorCard(): Card
    {
        $item = ProgrammeItem::where('code', '61-21')->firstOrFail();
        $visit = $this->as(
            'ines',
            'POST',
            'visits',
            ['mark' => 'QA-VFC', 'title' => 'Governor', 'bay' => 'bay 2', 'start' => '2026-05-05', 'end' => '2026-05-06', 'items' => [$item->id]],
        )
            ->assertCreated()
            ->json();
        $card = Card::where('visit_id', $visit['id'])->firstOrFail();
        $this->as('ines', 'POST', "cards/{$card->id}/assignments", ['person' => $this->person('oda')->id, 'role' => 'perform'])->assertOk();

        return $card;
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<Response>
     */
    private function work(Card $card, int $no, string $do = 'done', array $more = [], ?string $key = null): TestResponse
    {
        return $this->as('oda', 'POST', "cards/{$card->id}/steps/{$no}", ['version' => $card->refresh()->version, 'do' => $do, ...$more], $key);
    }
}
