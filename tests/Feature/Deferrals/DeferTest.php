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
            'number' => 'F0700', 'chapter' => '61', 'place' => 'cabin', 'extent' => 'propellers beat',
            'state' => 'open',
            'raised_at' => '2026-05-05T10:00:00Z',
        ]);
        $waiting = fn(): string => (string) $this->as('ines', 'GET', 'deferrals')->json('sentence');
        self::assertStringContainsString('2 findings wait for a decision.', $waiting());
        $card = app(MakeFixCard::class)($this->person('ines'), $finding, 4.0);
        self::assertStringContainsString('One finding waits for a decision.', $waiting());
        $row = array_column($this->as('ines', 'GET', 'deferrals')->json('findings'), null, 'number')['F0700'];
        self::assertSame($card->number, $row['fixCard'], 'it may still be deferred');
        $defer = fn() => $this->as('ines', 'POST', "findings/{$finding->id}/defer", [
            'item' => self::item('QA-VFB', '61-L2'), 'placard' => true, 'stamp' => 'C01', 'pin' => '1101',
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
        self::assertSame(
            ['fixed', "by card {$card->number}"],
            [$finding->refresh()->state->value, $finding->fixed_how],
        );
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

    private static function item(string $mark, string $code): int
    {
        $type = DB::table('aircraft')->where('mark', $mark)->value('type_id');

        return (int) DB::table('listed_items')->where(['type_id' => $type, 'code' => $code])->value('id');
    }

    private function raised(string $mark, string $chapter, string $at, string $says): Finding
    {
        $aircraft = DB::table('aircraft')->where('mark', $mark)->value('id');

        return Finding::create([
            'aircraft_id' => $aircraft, 'card_id' => Card::valueOrFail('id'), 'raised_by' => $this->person('oda')->id,
            'number' => 'F0702', 'chapter' => $chapter, 'place' => 'somewhere', 'extent' => $says, 'state' => 'open',
            'raised_at' => $at,
        ]);
    }

    /**
     * @return iterable<string, array{string, string, string, string, string, string}> aircraft, chapter, what is said,
     *   listed item, raised at (UTC), until when it may be carried
     */
    public static function clocks(): iterable
    {
        yield 'from its discovery, days before it is deferred'
            => ['QA-VFB', '61', 'boot torn', '61-L1', '2026-05-01T09:00:00Z', 'Tue 12 May, 00:00'];
        yield 'discovered after midnight at the operator\'s, before it in Greenwich' => [
            'QA-VFB', '61-12', 'boot torn', '61-L1', '2026-05-01T22:30:00Z', 'Wed 13 May, 00:00',
        ];
        yield 'and just before' => ['QA-VFB', '61', 'boot torn', '61-L1', '2026-05-01T21:59:00Z', 'Tue 12 May, 00:00'];
        yield 'three days' => ['QA-VFB', '35', 'microphone dead', '35-L1', '2026-05-04T09:00:00Z', 'Fri 8 May, 00:00'];
        yield 'a hundred and twenty'
            => ['QA-VFB', '61', 'beat', '61-L2', '2026-05-04T09:00:00Z', 'Wed 2 Sep, 00:00'];
        yield 'as many days as the item itself says'
            => ['Q-401', '63', 'repeater reads low', '63-L1', '2026-05-04T09:00:00Z', 'Wed 20 May, 00:00'];
        yield 'found on the last day of a month'
            => ['QA-VFB', '61', 'boot torn', '61-L1', '2026-04-30T12:00:00Z', 'Mon 11 May, 00:00'];
    }

    #[DataProvider('clocks')]
    public function test_how_long_it_may_be_carried(
        string $mark,
        string $chapter,
        string $says,
        string $code,
        string $at,
        string $until,
    ): void {
        $finding = $this->raised($mark, $chapter, $at, $says);
        $options = $this->as('ines', 'GET', "findings/{$finding->id}/options")->json('options');
        $option = array_column($options, null, 'code')[$code];
        self::assertTrue($option['fits'], $option['why']);
        $made = $this->as('ines', 'POST', "findings/{$finding->id}/defer", [
            'item' => $option['id'], 'position' => $option['positions'][0] ?? null, 'placard' => true, 'stamp' => 'C01',
            'pin' => '1101',
        ])->assertOk()->json('deferral');
        self::assertSame([$until, $option['date']], [$made['expires'], $made['date']]);
    }

    /**
     * @return iterable<string, array{string, string, string, string, string}> aircraft, chapter, what is said, item of
     *   that aircraft's type or another's, why not
     */
    public static function refusals(): iterable
    {
        yield 'of another chapter' => ['QA-VFB', '32', 'boot torn', '61-L1', 'it is of chapter 61-12'];
        yield 'of another system of the chapter' => ['QA-VFB', '61-22', 'boot torn', '61-L1', 'another system'];
        yield 'of another part of the system' => ['QA-VFB', '61', 'boot torn', '61-L2', 'does not speak of'];
        yield 'of another type' => ['QC-TAA', '61', 'boot torn', 'QA-VFB 61-L1', 'not in force for this type'];
        yield 'that is carried already, and there is but one'
            => ['QA-VFD', '32', 'parking brake light dark', '32-L1', 'there is but one'];
        yield 'whose time is over already' => ['QA-VFB', '35', 'microphone dead', '35-L1', 'found too long ago'];
        yield 'without its placard' => ['QA-VFB', '61', 'beat', '61-L2', 'Confirm first'];
        yield 'at a place that it has not' => ['QA-VFB', '61', 'rpm frozen', '61-L3', 'Say which it is'];
    }

    #[DataProvider('refusals')]
    public function test_it_is_not_carried_under_an_item(
        string $mark,
        string $chapter,
        string $says,
        string $code,
        string $why,
    ): void {
        $at = $why === 'found too long ago' ? '2026-04-30T09:00:00Z' : '2026-05-04T09:00:00Z';
        $finding = $this->raised($mark, $chapter, $at, $says);
        [$of, $code] = str_contains($code, ' ') ? explode(' ', $code) : [$mark, $code];
        $said = $this->as('ines', 'POST', "findings/{$finding->id}/defer", [
            'item' => self::item($of, $code), 'placard' => $why !== 'Confirm first', 'stamp' => 'C01', 'pin' => '1101',
            'position' => $why === 'Say which it is' ? 'tail' : ($code === '35-L1' ? 'left seat' : 'propeller 1'),
        ])->assertStatus(422)->json('message');
        self::assertStringContainsString($why, $said);
        self::assertStringContainsStringIgnoringCase('nothing was deferred', $said);
        self::assertSame('open', $finding->refresh()->state->value);
    }

    public function test_who_has_seen_it_overrules_its_words_and_two_at_one_place_are_none_to_spare(): void
    {
        $first = $this->raised('QA-VFB', '61', '2026-05-04T09:00:00Z', 'something odd');
        $body = [
            'item' => self::item('QA-VFB', '61-L3'), 'position' => 'propeller 1', 'placard' => true, 'stamp' => 'C01',
            'pin' => '1101',
        ];
        $send = fn(Finding $f, array $with)
            => $this->as('ines', 'POST', "findings/{$f->id}/defer", [...$body, ...$with]);
        $send($first, [])->assertStatus(422);
        $send($first, ['because' => 'the needle of its speed hangs'])->assertOk();
        $first->update(['number' => 'F0701']);
        $second = $this->raised('QA-VFB', '61', '2026-05-04T10:00:00Z', 'rpm dead');
        self::assertStringContainsString('carried already, as F0701', $send($second, [])->assertStatus(422)
            ->json('message'));
        self::assertStringContainsString(
            'none to spare: 1 of 2 must work',
            $send($second, ['position' => 'propeller 2', 'because' => 'x'])->assertStatus(422)->json('message'),
        );
    }

    /** What the set together forbids is said before one more is taken, and asked once. */
    public function test_two_that_forbid_each_other(): void
    {
        $finding = $this->raised('QC-TAB', '27-61', '2026-05-05T09:00:00Z', 'spoiler panel late on the left');
        $options = array_column(
            $this->as('ines', 'GET', "findings/{$finding->id}/options")->json('options'),
            null,
            'code',
        );
        self::assertTrue($options['27-L1']['fits'], $options['27-L1']['why']);
        self::assertSame(
            ['27-L1 Spoiler panels, one pair: needs 32-L2 Antiskid, one channel to work'],
            $options['27-L1']['forbids'],
        );
        $body = ['item' => $options['27-L1']['id'], 'position' => 'outer', 'stamp' => 'C01', 'pin' => '1101'];
        $asked = $this->as('ines', 'POST', "findings/{$finding->id}/defer", $body);
        self::assertSame([422, true], [$asked->status(), $asked->json('asked') !== null]);
        self::assertSame('open', $finding->refresh()->state->value);
        $this->as('ines', 'POST', "findings/{$finding->id}/defer", [...$body, 'sure' => true])->assertOk();
    }
}
