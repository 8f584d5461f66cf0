<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Crew\Model\Qualification;
use App\Floor\Model\Card;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use App\Library\Model\ProgrammeItem;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Response;

/** Working cards over HTTP: order, versions, keys, signatures. */
final class CardTest extends WorldCase
{
    private function governorCard(): Card
    {
        $item = ProgrammeItem::where('code', '61-21')->firstOrFail();
        $visit = $this->as('ines', 'POST', 'visits', ['mark' => 'QA-VFC', 'title' => 'Governor', 'bay' => 'bay 2', 'start' => '2026-05-05', 'end' => '2026-05-06', 'items' => [$item->id]])->assertCreated()->json();
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

    public function test_steps_are_worked_in_order_and_only_as_their_kind_is(): void
    {
        $card = $this->governorCard();
        $this->work($card, 2)->assertStatus(422)->assertJsonPath('message', 'Step 1 comes first: this card is worked in order.');
        $this->work($card, 1, 'read')->assertStatus(422);
        $this->work($card, 1)->assertOk()->assertJsonPath('next', 2)->assertJsonPath('state', 'in_work');
        $this->work($card, 1)->assertStatus(422)->assertJsonPath('message', 'Step 1 is already done. Take it back first if it was wrong.');
        $this->work($card, 1, 'reopen')->assertStatus(422);
        $this->work($card, 1, 'reopen', ['note' => 'not read aloud'])->assertOk()->assertJsonPath('next', 1);
        self::assertSame(1, DB::table('records')->where('what', 'step.taken_back')->count());
    }

    public function test_the_second_of_two_is_told_and_nothing_is_lost(): void
    {
        $card = $this->governorCard();
        $seen = $card->refresh()->version;
        $this->as('oda', 'POST', "cards/{$card->id}/steps/1", ['version' => $seen, 'do' => 'done'])->assertOk();
        $this->as('oda', 'POST', "cards/{$card->id}/steps/2", ['version' => $seen, 'do' => 'done'])->assertStatus(409)->assertJsonPath('current', $seen + 1);
        self::assertSame('done', Step::where(['card_id' => $card->id, 'no' => 1])->value('state'));
        self::assertSame('open', Step::where(['card_id' => $card->id, 'no' => 2])->value('state'));
    }

    public function test_the_same_request_again_is_answered_and_not_worked(): void
    {
        $card = $this->governorCard();
        $body = ['version' => $card->refresh()->version, 'do' => 'done'];
        $first = $this->as('oda', 'POST', "cards/{$card->id}/steps/1", $body, 'k1')->assertOk();
        $again = $this->as('oda', 'POST', "cards/{$card->id}/steps/1", $body, 'k1')->assertOk()->assertHeader('Idempotent-Replay', 'true');
        self::assertSame($first->json(), $again->json());
        self::assertSame(1, DB::table('records')->where('what', 'step.done')->where('subject', "card:{$card->id}")->count());
        $this->as('oda', 'POST', "cards/{$card->id}/steps/1", [...$body, 'do' => 'start'], 'k1')->assertStatus(422)->assertJsonPath('message', 'This key was already used for another request.');
        // A refused request leaves no answer: the same key may be tried again.
        $this->work($card, 3, 'done', [], 'k2')->assertStatus(422);
        $this->work($card, 2)->assertOk();
        $this->work($card, 3, 'done', [], 'k2')->assertStatus(200);
    }

    public function test_steps_that_waited_on_a_tablet_are_worked_once_each_in_their_order(): void
    {
        $card = $this->governorCard();
        $from = $card->refresh()->version;
        $queue = [[1, 'done', 'q1'], [2, 'done', 'q2'], [3, 'done', 'q3']];
        // The first answer is lost on its way; the tablet sends everything again.
        $this->as('oda', 'POST', "cards/{$card->id}/steps/1", ['version' => $from, 'do' => 'done'], 'q1')->assertOk();
        foreach ($queue as $n => [$no, $do, $key]) {
            $answer = $this->as('oda', 'POST', "cards/{$card->id}/steps/{$no}", ['version' => $from + $n, 'do' => $do], $key)->assertOk();
            self::assertSame($no === 1 ? 'true' : null, $answer->headers->get('Idempotent-Replay'));
        }
        self::assertSame($from + 3, $card->refresh()->version);
        self::assertSame([1, 2, 3], DB::table('records')->where('what', 'step.done')->where('subject', "card:{$card->id}")->orderBy('id')->pluck('data')->map(static fn(string $d): int => json_decode($d)->step)->all());
        // One that comes too late for its version is refused, and leaves everything as it is.
        $this->as('oda', 'POST', "cards/{$card->id}/steps/4", ['version' => $from, 'do' => 'read', 'entry' => '48', 'tool' => 'PG-21'], 'q4')->assertStatus(409);
        self::assertSame([$from + 3, 0], [$card->refresh()->version, Reading::where('card_id', $card->id)->count()]);
    }

    public function test_readings(): void
    {
        $card = $this->governorCard();
        foreach ([1, 2, 3] as $no) {
            $this->work($card, $no)->assertOk();
        }
        $refused = [
            [['entry' => '48', 'tool' => ''], 'Choose the pressure gauge'], [['entry' => '48', 'tool' => 'TW-108'], 'is a torque wrench'], [['entry' => '48', 'tool' => 'PG-27'], 'is away for calibration'],
            [['entry' => '48 psi', 'tool' => 'PG-21'], 'not in "psi"'], [['entry' => '', 'tool' => 'PG-21'], 'enter a reading'], [['entry' => '120', 'tool' => 'PG-21'], 'lies outside it'],
        ];
        foreach ($refused as [$given, $why]) {
            self::assertStringContainsString($why, $this->work($card, 4, 'read', $given)->assertStatus(422)->json('message'));
        }
        self::assertSame(0, Reading::where('card_id', $card->id)->count());
        $this->work($card, 4, 'read', ['entry' => '45', 'tool' => 'PG-21'])->assertOk()->assertJsonPath('next', 4);
        $this->work($card, 4, 'read', ['entry' => '48,5', 'tool' => 'PG-21'])->assertOk()->assertJsonPath('next', 5);
        self::assertSame([['fail', false], ['pass', true]], Reading::where('card_id', $card->id)->orderBy('id')->get()->map(static fn(Reading $r): array => [$r->verdict, $r->stands])->all());
        $this->as('mika', 'POST', "cards/{$card->id}/steps/4/preview", ['entry' => '49', 'tool' => 'PG-21'])->assertOk()->assertJsonPath('verdict', 'pass');
    }

    public function test_a_hold_is_timed_by_the_server(): void
    {
        $card = $this->governorCard();
        Step::where('card_id', $card->id)->where('no', '<', 6)->update(['state' => 'done', 'done_by' => $this->person('oda')->id]);
        $this->work($card, 6, 'read', ['entry' => '44', 'tool' => 'PG-21'])->assertStatus(422)->assertJsonPath('message', 'Start the hold first.');
        $this->work($card, 6, 'start')->assertOk();
        self::assertStringContainsString('of 6 seconds', $this->work($card, 6, 'read', ['entry' => '44', 'tool' => 'PG-21'])->assertStatus(422)->json('message'));
    }

    public function test_signatures(): void
    {
        $card = $this->governorCard();
        $oda = $this->person('oda');
        $sign = fn(string $who, string $what, array $given) => $this->as($who, 'POST', "cards/{$card->id}/{$what}", ['version' => $card->refresh()->version, ...$given]);
        $mine = ['stamp' => 'T27', 'pin' => '2741'];
        self::assertStringContainsString('Still open: step 1, 2', $sign('oda', 'sign', $mine)->assertStatus(422)->json('message'));
        Step::where('card_id', $card->id)->update(['state' => 'done', 'done_by' => $oda->id]);
        $sign('oda', 'sign', ['stamp' => 'T27', 'pin' => '1'])->assertStatus(422);
        $sign('oda', 'sign', ['stamp' => 'C01', 'pin' => '1101'])->assertStatus(422);
        Qualification::where(['person_id' => $oda->id, 'value' => 'perform'])->update(['valid_until' => '2026-05-04']);
        self::assertStringContainsString('needs a valid authority to work cards: it has lapsed', $sign('oda', 'sign', $mine)->assertStatus(422)->json('message'));
        Qualification::where(['person_id' => $oda->id, 'value' => 'perform'])->update(['valid_until' => '2026-05-05']);
        $sign('oda', 'sign', $mine)->assertOk()->assertJsonPath('state', 'signed');
        $sign('oda', 'sign', $mine)->assertStatus(422);
        self::assertStringContainsString('is signed; its steps stand', $this->work($card, 1, 'reopen', ['note' => 'x'])->assertStatus(422)->json('message'));

        // Somebody who worked a step cannot inspect, whatever their role.
        Step::where(['card_id' => $card->id, 'no' => 2])->update(['done_by' => $this->person('runa')->id]);
        self::assertStringContainsString('you cannot inspect it independently', $sign('runa', 'inspect', ['stamp' => 'I04', 'pin' => '4410'])->assertStatus(422)->json('message'));
        self::assertStringContainsString('Not yet looked at: torque, locking', $sign('tor', 'inspect', ['stamp' => 'X02', 'pin' => '5520', 'covers' => ['assembly']])->assertStatus(422)->json('message'));
        $sign('tor', 'inspect', ['stamp' => 'X02', 'pin' => '5520', 'covers' => ['assembly', 'torque', 'locking']])->assertOk()->assertJsonPath('state', 'closed');
    }

    public function test_a_card_written_from_an_old_revision_is_held(): void
    {
        $card = Card::with('template.manual')->where('title', 'Engine control check')->orWhere('title', 'Engine control change-over check')->firstOrFail();
        $said = $this->as('ivo', 'POST', "cards/{$card->id}/steps/1", ['version' => $card->version, 'do' => 'done'])->assertStatus(422)->json('message');
        self::assertStringContainsString('revision 6; BM-TRK is at revision 7', $said);
        self::assertStringContainsString('re-read', $this->as('ivo', 'GET', "cards/{$card->id}")->json('held'));
    }

    public function test_a_visit_too_late_for_an_item_is_refused(): void
    {
        $item = ProgrammeItem::where('code', '61-21')->firstOrFail();
        $make = fn(string $start, string $end) => $this->as('ines', 'POST', 'visits', ['mark' => 'QA-VFC', 'title' => 'x', 'bay' => 'x', 'start' => $start, 'end' => $end, 'items' => [$item->id]])->assertStatus(422)->json('message');
        self::assertStringContainsString('must be done by 2026-05-13; a visit from 2026-05-20 is too late', $make('2026-05-20', '2026-05-21'));
        self::assertStringContainsString('before it begins', $make('2026-05-07', '2026-05-06'));
        $this->as('ines', 'POST', 'visits', ['mark' => 'QA-VFA', 'title' => 'x', 'bay' => 'x', 'start' => '2026-05-10', 'end' => '2026-05-11', 'items' => [$item->id]])->assertStatus(422)->assertJsonFragment(['message' => 'QA-VFA is already in "Block check" from 2026-04-29 to 2026-05-14. Choose other dates; nothing was saved.']);
    }

    public function test_release_lists_what_blocks_in_order_and_refuses(): void
    {
        $card = $this->governorCard();
        $this->work($card, 1)->assertOk();
        $this->work($card, 2)->assertOk();
        $this->work($card, 3)->assertOk();
        $this->as('oda', 'POST', "cards/{$card->id}/findings", ['place' => 'blade 2', 'extent' => 'nick'])->assertOk();
        $view = $this->as('tor', 'GET', "release/{$card->visit_id}")->assertOk();
        self::assertSame([['person_at'], ['card_open', 'steps_open', 'duplicate_missing'], ['finding_open'], ['safing_left']], array_column($view->json('blockers'), 'codes'), 'a line for the card; who is at it first');
        self::assertContains('not_authorised', array_column($this->as('oda', 'GET', "release/{$card->visit_id}")->json('blockers'), 'code'));
        self::assertStringContainsString('4 open points keep it here, first: Oda Fenn, on card ', $this->as('tor', 'POST', "release/{$card->visit_id}", ['stamp' => 'X02', 'pin' => '5520'])->assertStatus(422)->json('message'));
        $finding = $card->findings()->firstOrFail();
        $this->as('oda', 'POST', "findings/{$finding->id}/fixed", ['how' => 'dressed out', 'stamp' => 'T27', 'pin' => '2741'])->assertNotFound();
        $finding->update(['state' => 'fixed']);
        $this->as('ines', 'POST', "findings/{$finding->id}/defer", ['item' => 1, 'safed' => true, 'stamp' => 'C01', 'pin' => '1101'])->assertStatus(422)->assertJsonPath('message', 'Finding F0021 is already fixed.');
    }
}
