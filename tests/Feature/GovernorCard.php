<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Library\Model\ProgrammeItem;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** A card made through the doors, and worked by whoever is assigned to it. */
trait GovernorCard
{
    private function governorCard(): Card
    {
        $item = ProgrammeItem::where('code', '61-21')->firstOrFail();
        $visit = $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'Governor', 'bay' => 'line', 'start' => '2026-05-05',
            'end' => '2026-05-06', 'items' => [$item->id],
        ])->assertCreated()->json();
        $card = Card::where('visit_id', $visit['id'])->firstOrFail();
        $this->assign($card, 'oda')->assertOk();

        return $card;
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<Response>
     */
    private function work(Card $card, int $no, string $do = 'done', array $more = [], ?string $key = null): TestResponse
    {
        return $this->as(
            'oda',
            'POST',
            "cards/{$card->id}/steps/{$no}",
            ['version' => $card->refresh()->version, 'do' => $do, ...$more],
            $key,
        );
    }

    /** A visit of one item, its cards worked by one and inspected by another. */
    private function workedVisit(): int
    {
        $item = ProgrammeItem::where('code', '29-14')->whereHas(
            'template',
            static fn($q) => $q->where('code', 'like', 'SKV%'),
        );
        $visit = (int) $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'one', 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-06',
            'items' => [(string) $item->valueOrFail('id')],
        ])->assertCreated()->json('id');
        $cards = Card::where('visit_id', $visit);
        Step::whereIn('card_id', (clone $cards)->select('id'))
            ->update(['state' => Step::DONE, 'done_by' => $this->person('oda')->id]);
        $cards->update([
            'state' => Card::CLOSED, 'signed_by' => $this->person('oda')->id, 'signed_at' => '2026-05-05T12:00:00Z',
            'inspected_by' => $this->person('runa')->id, 'inspected_at' => '2026-05-05T12:10:00Z',
        ]);

        return $visit;
    }
}
