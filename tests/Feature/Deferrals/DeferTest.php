<?php

declare(strict_types=1);

namespace Tests\Feature\Deferrals;

use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Visits\Do\MakeFixCard;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;

/** A finding that is carried: what it does to its card, its devices and the release. */
final class DeferTest extends WorldCase
{
    public function test_deferring_a_finding_withdraws_the_card_that_was_to_fix_it(): void
    {
        $look = Card::where('visit_id', 3)->firstOrFail();
        $finding = Finding::create([
            'aircraft_id' => $look->aircraft_id, 'card_id' => $look->id, 'raised_by' => $this->person('oda')->id,
            'number' => 'F0700', 'chapter' => '61', 'place' => 'boot', 'extent' => 'torn', 'state' => 'open',
            'raised_at' => '2026-05-05T10:00:00Z',
        ]);
        $waiting = fn(): string => (string) $this->as('ines', 'GET', 'deferrals')->json('sentence');
        self::assertStringContainsString('One finding waits for a decision.', $waiting());
        $card = app(MakeFixCard::class)($this->person('ines'), $finding, 4.0);
        self::assertStringNotContainsString('for a decision', $waiting());
        $row = array_column($this->as('ines', 'GET', 'deferrals')->json('findings'), null, 'number')['F0700'];
        self::assertSame($card->number, $row['fixCard'], 'it may still be deferred');
        $defer = fn() => $this->as('ines', 'POST', "findings/{$finding->id}/defer", [
            'item' => $row['options'][0]['id'], 'safed' => true, 'stamp' => 'C01', 'pin' => '1101',
        ]);
        $card->update(['state' => Card::IN_WORK]);
        self::assertStringContainsString(
            "Card {$card->number}, which fixes F0700, is begun.",
            $defer()->assertStatus(422)->json('message'),
        );
        $card->update(['state' => Card::OPEN]);
        $defer()->assertOk();
        self::assertNull(Card::find($card->id));
        self::assertSame(0, Step::where('card_id', $card->id)->count());
        self::assertSame('deferred', $finding->refresh()->state->value);
    }

    public function test_a_finding_closes_with_its_card_and_a_device_carried_by_a_deferral_has_no_step_to_take_it_off(): void
    {
        $finding = Finding::where('number', 'F0019')->firstOrFail();
        $view = $this->as('mika', 'GET', "findings/{$finding->id}")->json();
        $card = Card::where('finding_id', $finding->id)->firstOrFail();
        self::assertSame([$card->number, []], [$view['fixCard'], $view['may']]);
        DB::table('card_waits')->where('card_id', $card->id)->delete();
        $card->update(['planned_start' => null, 'planned_end' => null]);
        $this->assign($card, 'oda')->assertOk();
        Step::where('card_id', $card->id)->update(['state' => Step::DONE, 'done_by' => $this->person('oda')->id]);
        $card->update(['independent_inspection' => false]);
        $this->as('oda', 'POST', "cards/{$card->id}/sign", [
            'version' => $card->refresh()->version, 'stamp' => 'T27', 'pin' => '2741',
        ])->assertOk();
        self::assertSame(['fixed', "by card {$card->number}"], [$finding->refresh()->state->value, $finding->fixed_how]);
        self::assertStringContainsString(
            'fixed',
            $this->as('mika', 'GET', "findings/{$finding->id}")->json('sentence'),
        );

        SafingDevice::where('kind', 'Nose door lock')->update(
            ['carried_by' => Finding::where('state', 'deferred')->value('id')],
        );
        $device = array_column(
            $this->as('mika', 'GET', 'registers/QC-TAC')->json('devices'),
            null,
            'kind',
        )['Nose door lock'];
        self::assertStringStartsWith('F', $device['carriedBy']);
    }

    private function raised(string $mark, string $chapter, string $at): Finding
    {
        $aircraft = DB::table('aircraft')->where('mark', $mark)->value('id');

        return Finding::create([
            'aircraft_id' => $aircraft, 'card_id' => Card::valueOrFail('id'), 'raised_by' => $this->person('oda')->id,
            'number' => 'F0702', 'chapter' => $chapter, 'place' => 'boot', 'extent' => 'torn', 'state' => 'open',
            'raised_at' => $at,
        ]);
    }

    /**
     * @return iterable<string, array{string, string, string, string, string}> aircraft, chapter, listed item, raised at
     *   (UTC), until when it may be carried
     */
    public static function clocks(): iterable
    {
        yield 'from its discovery, days before it is deferred'
            => ['QA-VFB', '61', '61-L1', '2026-05-01T09:00:00Z', 'Tue 12 May, 00:00'];
        yield 'discovered after midnight at the operator\'s, before it in Greenwich' => [
            'QA-VFB', '61', '61-L1', '2026-05-01T22:30:00Z', 'Wed 13 May, 00:00',
        ];
        yield 'and just before' => ['QA-VFB', '61', '61-L1', '2026-05-01T21:59:00Z', 'Tue 12 May, 00:00'];
        yield 'three days' => ['QA-VFB', '35', '35-L1', '2026-05-04T09:00:00Z', 'Fri 8 May, 00:00'];
        yield 'a hundred and twenty' => ['QA-VFB', '61', '61-L2', '2026-05-04T09:00:00Z', 'Wed 2 Sep, 00:00'];
        yield 'as many days as the item itself says'
            => ['Q-401', '63', '63-L1', '2026-05-04T09:00:00Z', 'Wed 20 May, 00:00'];
    }

    #[DataProvider('clocks')]
    public function test_how_long_it_may_be_carried(
        string $mark,
        string $chapter,
        string $code,
        string $at,
        string $until,
    ): void {
        $finding = $this->raised($mark, $chapter, $at);
        $item = DB::table('listed_items')->where('code', $code)->value('id');
        $this->as('ines', 'POST', "findings/{$finding->id}/defer", [
            'item' => $item, 'safed' => true, 'stamp' => 'C01', 'pin' => '1101',
        ])->assertOk();
        $row = array_column($this->as('ines', 'GET', 'deferrals')->json('deferrals'), null, 'finding')['F0702'];
        self::assertSame($until, $row['expires'], (string) json_encode($row));
    }

    /** @return iterable<string, array{string, string, string}> aircraft, chapter, listed item */
    public static function covers(): iterable
    {
        yield 'of another chapter alone' => ['QA-VFB', '32', '61-L1'];
        yield 'of another type alone' => ['QC-TAA', '61', '61-L1'];
    }

    #[DataProvider('covers')]
    public function test_an_item_covers_its_own_type_and_chapter(string $mark, string $chapter, string $code): void
    {
        $finding = $this->raised($mark, $chapter, '2026-05-04T09:00:00Z');
        $body = [
            'item' => DB::table('listed_items')->where('code', $code)->value('id'), 'safed' => true, 'stamp' => 'C01',
            'pin' => '1101',
        ];
        $this->as('ines', 'POST', "findings/{$finding->id}/defer", $body)->assertStatus(422)
            ->assertJsonPath('message', "{$code} does not cover this finding: it is for another type or chapter.");
        self::assertSame('open', $finding->refresh()->state->value);
    }

    public function test_it_is_not_deferred_before_its_procedure_is_carried_out(): void
    {
        $finding = $this->raised('QA-VFB', '61', '2026-05-04T09:00:00Z');
        self::assertStringContainsString(
            'Confirm first',
            $this->as('ines', 'POST', "findings/{$finding->id}/defer", [
                'item' => 1, 'safed' => false, 'stamp' => 'C01', 'pin' => '1101',
            ])->assertStatus(422)->json('message'),
        );
        self::assertSame('open', $finding->refresh()->state->value);
    }
}
