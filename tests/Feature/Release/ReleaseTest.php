<?php

declare(strict_types=1);

namespace Tests\Feature\Release;

use App\Deferrals\Model\Deferral;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ItemDoing;
use App\Fleet\Model\ItemStatus;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Library\Model\ProgrammeItem;
use Illuminate\Support\Facades\DB;
use Tests\Feature\GovernorCard;
use Tests\Feature\WorldCase;

/** When an aircraft may be released, and what its release does. */
final class ReleaseTest extends WorldCase
{
    use GovernorCard;

    public function test_a_release_moves_its_items_on_by_their_own_school(): void
    {
        $done = ['state' => Step::DONE, 'done_by' => $this->person('oda')->id, 'done_at' => '2026-05-05T12:00:00Z'];
        $closed = [
            'state' => Card::CLOSED, 'signed_by' => $this->person('oda')->id, 'signed_at' => '2026-05-05T12:00:00Z',
            'inspected_by' => $this->person('runa')->id, 'inspected_at' => '2026-05-05T12:30:00Z',
        ];
        $items = ProgrammeItem::whereHas(
            'template',
            static fn($q) => $q->where('code', 'like', 'SKV%'),
        )->whereIn('code', ['61-21', '29-14'])->pluck('id', 'code');
        $aircraft = Aircraft::where('mark', 'QA-VFC')->firstOrFail();
        ItemStatus::where(
            ['aircraft_id' => $aircraft->id, 'item_id' => $items['29-14']],
        )->update(['date' => '2025-11-30', 'planned' => null]);
        $before = array_column($this->as('ines', 'GET', 'fleet/QA-VFC')->json('items'), null, 'code');
        $visit = $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'two', 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-06',
            'items' => $items->values()->all(),
        ])->assertCreated()->json('id');
        Step::whereIn('card_id', Card::where('visit_id', $visit)->pluck('id'))->update($done);
        Card::where('visit_id', $visit)->update($closed);
        $this->as('tor', 'POST', "release/{$visit}", ['stamp' => 'X02', 'pin' => '0'])->assertStatus(422)
            ->assertJsonPath('message', 'Stamp or PIN is wrong. Nothing was signed; enter both again.');
        $this->as('tor', 'POST', "release/{$visit}", ['stamp' => 'X02', 'pin' => '5520'])->assertOk()
            ->assertJsonPath('state', 'released');
        $after = array_column($this->as('ines', 'GET', 'fleet/QA-VFC')->json('items'), null, 'code');

        // The governor keeps its plan but was done too early for its window, so it counts from today's hours.
        $now = $aircraft->counters['fh'];
        self::assertSame(number_format($now, 1, '.', '').' flight hours', $after['61-21']['limits'][0]['base']);
        self::assertSame('600 flight hours', $after['61-21']['remaining']);
        // The accumulator counts from when it was done.
        self::assertSame(['2026-05-05', '2026-11-05'], [
            $after['29-14']['limits'][0]['base'], $after['29-14']['limits'][0]['next'],
        ]);
        self::assertSame('2026-05-30', $before['29-14']['limits'][0]['next'], '30 November and 6 months');
        $planned = ItemStatus::where(
            ['aircraft_id' => $aircraft->id, 'item_id' => $items['61-21']],
        )->firstOrFail()->planned;
        self::assertEqualsWithDelta(
            $now + 46.5,
            (float) ($planned['fh'] ?? 0),
            0.01,
            'what had been planned is kept for the next base',
        );
        $this->as('tor', 'POST', "release/{$visit}", ['stamp' => 'X02', 'pin' => '5520'])->assertStatus(422)
            ->assertJsonPath('message', 'This visit is already released.');
    }

    public function test_one_open_point_is_enough_to_keep_it(): void
    {
        $visit = $this->workedVisit();
        $sign = fn() => $this->as('tor', 'POST', "release/{$visit}", ['stamp' => 'X02', 'pin' => '5520']);
        $step = Step::whereIn('card_id', Card::where('visit_id', $visit)->select('id'))->firstOrFail();
        $keeps = [
            'a step' => [
                static fn()
                    => $step->update(['state' => Step::OPEN]), static fn() => $step->update(['state' => Step::DONE]),
            ],
            'a card' => [
                static fn() => $step->card()->update(['state' => Card::SIGNED]),
                static fn() => $step->card()->update(['state' => Card::CLOSED]),
            ],
            'a tool' => [
                static fn() => DB::table('tool_loans')->insert([
                    'card_id' => $step->card_id, 'person_id' => 2, 'what' => 'rags', 'quantity' => 1,
                    'out_at' => '2026-05-05T10:00:00Z',
                ]),
                static fn() => DB::table('tool_loans')->where('card_id', $step->card_id)->delete(),
            ],
            'a device' => [
                static fn() => SafingDevice::create([
                    'aircraft_id' => Card::findOrFail($step->card_id)->aircraft_id, 'card_id' => $step->card_id,
                    'fitted_step_id' => $step->id, 'fitted_by' => 2, 'kind' => 'Collar', 'place' => 'panel',
                    'flag' => 'red', 'fitted_at' => '2026-05-05T10:00:00Z',
                ]),
                static fn() => SafingDevice::where('card_id', $step->card_id)->delete(),
            ],
        ];
        foreach ($keeps as $what => [$leave, $clear]) {
            $leave();
            self::assertCount(1, $this->as('tor', 'GET', "release/{$visit}")->json('blockers'), $what);
            self::assertStringContainsString('Nothing was signed', $sign()->assertStatus(422)->json('message'), $what);
            $clear();
        }
        $sign()->assertOk();
    }

    public function test_a_deferral_carries_its_safing_devices_through_release(): void
    {
        $card = Card::where('state', Card::IN_WORK)->firstOrFail();
        Finding::where('aircraft_id', $card->aircraft_id)->update(['state' => 'fixed']);
        SafingDevice::query()->update(['removed_at' => '2026-05-05T10:00:00Z']);
        $step = $card->steps()->firstOrFail();
        SafingDevice::create([
            'aircraft_id' => $card->aircraft_id, 'card_id' => $card->id, 'fitted_step_id' => $step->id,
            'fitted_by' => $this->person('oda')->id, 'kind' => 'Collar', 'place' => 'panel', 'flag' => 'red',
            'fitted_at' => '2026-05-05T10:00:00Z',
        ]);
        $finding = Finding::create([
            'aircraft_id' => $card->aircraft_id, 'card_id' => $card->id, 'raised_by' => $this->person('oda')->id,
            'number' => 'F0099', 'chapter' => '61', 'place' => 'propeller 1', 'extent' => 'rpm frozen',
            'state' => 'open',
            'raised_at' => '2026-05-05T10:00:00Z',
        ]);
        $option = array_column(
            $this->as('ines', 'GET', "findings/{$finding->id}/options")->json('options'),
            null,
            'code',
        );
        $option = $option['61-L3'];
        self::assertSame(['2026-05-08', true], [$option['date'], $option['fits']]);
        $body = [
            'item' => $option['id'], 'position' => 'propeller 1', 'placard' => true, 'stamp' => 'C01', 'pin' => '1101',
            'carry' => [SafingDevice::where('card_id', $card->id)->orderByDesc('id')->valueOrFail('id')],
        ];
        $codes = fn(): array
            => array_column($this->as('tor', 'GET', "release/{$card->visit_id}")->json('blockers'), 'code');
        self::assertContains('safing_left', $codes());
        $this->as('ines', 'POST', "findings/{$finding->id}/defer", $body)->assertOk();
        self::assertNotContains('safing_left', $codes());
        Deferral::where('finding_id', $finding->id)->update(['discovered_at' => '2026-04-20T10:00:00Z']);
        self::assertSame(
            ['deferral_invalid', 'safing_left'],
            array_values(array_intersect($codes(), ['deferral_invalid', 'safing_left'])),
            'run out, it carries nothing',
        );
        self::assertStringContainsString('must not fly', $this->as('ines', 'GET', 'deferrals')->json('sentence'));
    }

    public function test_a_closed_card_stands_by_the_revision_that_was_in_force_and_small_ranges_are_said_whole(): void
    {
        $visit = DB::table('visits')->where('state', 'in_work')->value('id');
        $stale = fn(): bool => in_array('revision_stale', array_merge(...array_column(
            $this->as('tor', 'GET', "release/{$visit}")->json('blockers'),
            'codes',
        )), true);
        DB::table('manuals')->where('code', 'AM-SKV')->update(['revision' => 13]);
        self::assertTrue($stale());
        Card::where('visit_id', $visit)->update(['state' => Card::CLOSED]);
        self::assertFalse($stale());
        $tools = array_column($this->as('mika', 'GET', 'stores')->json('tools'), 'range', 'code');
        self::assertSame('0.02 to 1 mm, reads to 0.02', $tools['FG-11']);
    }

    public function test_a_release_moves_a_component_on_and_what_a_deeper_block_includes(): void
    {
        $craft = Aircraft::where('mark', 'QC-TAA')->firstOrFail();
        $items = array_column($this->as('ines', 'GET', 'fleet/QC-TAA')->json('items'), null, 'code');
        $engine = array_values(array_filter(
            $this->as('ines', 'GET', 'fleet/QC-TAA')->json('items'),
            static fn(array $i): bool => $i['title'] === 'Borescope inspection, engine 2',
        ))[0];
        $visit = $this->as('ines', 'POST', 'visits', [
            'mark' => 'QC-TAA', 'title' => 'both', 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-06',
            'items' => [$items['05-24']['key'], $engine['key']],
        ])->assertCreated()->json('id');
        self::assertSame(
            'Borescope inspection, engine 2',
            Card::where(['visit_id' => $visit])->whereNotNull('component_id')->firstOrFail()->title,
        );
        Step::whereIn('card_id', Card::where('visit_id', $visit)->pluck('id'))->update([
            'state' => Step::DONE, 'done_by' => $this->person('oda')->id, 'done_at' => '2026-05-05T12:00:00Z',
        ]);
        Card::where('visit_id', $visit)->update([
            'state' => Card::CLOSED, 'signed_by' => $this->person('oda')->id, 'signed_at' => '2026-05-05T12:00:00Z',
        ]);
        $certifier = DB::table('people')->whereIn(
            'id',
            DB::table('qualifications')->where(['kind' => 'rating', 'value' => 'OLN'])->select('person_id'),
        )->whereIn('id', DB::table('qualifications')->where('value', 'certify')->select('person_id'))->first();
        self::assertNotNull($certifier);
        $pin = array_column(
            json_decode((string) file_get_contents(database_path('demo/people.json')), true),
            'pin',
            'login',
        )[$certifier->login];
        $this->as($certifier->login, 'POST', "release/{$visit}", ['stamp' => $certifier->stamp, 'pin' => $pin])
            ->assertOk();
        foreach (['05-24', '05-12', '05-06'] as $code) {
            $status = ItemStatus::where([
                'aircraft_id' => $craft->id,
                'item_id' => ProgrammeItem::where(['type_id' => $craft->type_id, 'code' => $code])->value('id'),
            ])->firstOrFail();
            self::assertSame('2026-05-05', (string) $status->date, "{$code} is done with the 24-month check");
        }
        [$itemId, $componentId] = explode(':', $engine['key']);
        $status = ItemStatus::where(['component_id' => $componentId, 'item_id' => $itemId])->firstOrFail();
        self::assertSame(['2026-05-05', null], [(string) $status->date, $status->aircraft_id]);
        self::assertGreaterThan(0, $status->counters['cyc'], 'its own counters, not the aircraft\'s');
        self::assertSame(4, ItemDoing::where('visit_id', $visit)->count());
    }

    public function test_release_lists_what_blocks_in_order_and_refuses(): void
    {
        $card = $this->governorCard();
        $this->work($card, 1)->assertOk();
        $this->work($card, 2)->assertOk();
        $this->work($card, 3)->assertOk();
        $this->as('oda', 'POST', "cards/{$card->id}/findings", ['place' => 'blade 2', 'extent' => 'nick'])->assertOk();
        $view = $this->as('tor', 'GET', "release/{$card->visit_id}")->assertOk();
        self::assertSame(
            [['person_at'], ['card_open', 'steps_open', 'duplicate_missing'], ['finding_open'], ['safing_left']],
            array_column($view->json('blockers'), 'codes'),
            'a line for the card; who is at it first',
        );
        self::assertContains(
            'not_authorised',
            array_column($this->as('oda', 'GET', "release/{$card->visit_id}")->json('blockers'), 'code'),
        );
        self::assertStringContainsString(
            '4 open points keep it here, first: Oda Fenn, on card ',
            $this->as('tor', 'POST', "release/{$card->visit_id}", ['stamp' => 'X02', 'pin' => '5520'])
                ->assertStatus(422)->json('message'),
        );
        $finding = $card->findings()->firstOrFail();
        $this->as('oda', 'POST', "findings/{$finding->id}/fixed", [
            'how' => 'dressed out', 'stamp' => 'T27', 'pin' => '2741',
        ])->assertNotFound();
        $finding->update(['state' => 'fixed']);
        $this->as('ines', 'POST', "findings/{$finding->id}/defer", [
            'item' => 1, 'safed' => true, 'stamp' => 'C01', 'pin' => '1101',
        ])->assertStatus(422)->assertJsonPath('message', "Finding {$finding->number} is already fixed.");
    }
}
