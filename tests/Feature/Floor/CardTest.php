<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Crew\Model\Qualification;
use App\Floor\Model\Card;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use App\Now\CardFile;
use App\Now\CommitOnFloor;
use App\Shared\Refused;
use Closure;
use Illuminate\Support\Facades\DB;
use Tests\Feature\GovernorCard;
use Tests\Feature\WorldCase;

/** Working cards over HTTP: order, versions, keys, signatures. */
final class CardTest extends WorldCase
{
    use GovernorCard;

    public function test_steps_are_worked_in_order_and_only_as_their_kind_is(): void
    {
        $card = $this->governorCard();
        $this->work($card, 2)->assertStatus(422)
            ->assertJsonPath('message', 'Step 1 comes first: this card is worked in order.');
        $this->work($card, 1, 'read')->assertStatus(422);
        $this->work($card, 1)->assertOk()->assertJsonPath('next', 2)->assertJsonPath('state', 'in_work');
        $this->work($card, 1)->assertStatus(422)
            ->assertJsonPath('message', 'Step 1 is already done. Take it back first if it was wrong.');
        $this->work($card, 1, 'take_back')->assertStatus(422);
        $this->work($card, 1, 'take_back', ['note' => 'not read aloud'])->assertOk()->assertJsonPath('next', 1);
        self::assertSame(1, DB::table('records')->where('what', 'step.taken_back')->count());
    }

    public function test_what_is_refused_of_a_card_that_changed_meanwhile_is_asked_again(): void
    {
        $id = Card::where('state', Card::IN_WORK)->valueOrFail('id');
        $asked = 0;
        app(CommitOnFloor::class)($id, static function (CardFile $file) use (&$asked): Closure {
            if ($asked++ === 0) {
                DB::table('cards')->where('id', $file->card->id)->increment('version');
                throw Refused::because('The step is already done.');
            }

            return static fn() => null;
        });
        self::assertSame(2, $asked);
    }

    public function test_the_second_of_two_is_told_and_nothing_is_lost(): void
    {
        $card = $this->governorCard();
        $seen = $card->refresh()->version;
        $this->as('oda', 'POST', "cards/{$card->id}/steps/1", ['version' => $seen, 'do' => 'done'])->assertOk();
        $this->as('oda', 'POST', "cards/{$card->id}/steps/2", ['version' => $seen, 'do' => 'done'])->assertStatus(409)
            ->assertJsonPath('current', $seen + 1);
        self::assertSame(Step::DONE, Step::where(['card_id' => $card->id, 'no' => 1])->value('state'));
        self::assertSame(Step::OPEN, Step::where(['card_id' => $card->id, 'no' => 2])->value('state'));
    }

    public function test_the_same_request_again_is_answered_and_not_worked(): void
    {
        $card = $this->governorCard();
        $body = ['version' => $card->refresh()->version, 'do' => 'done'];
        $first = $this->as('oda', 'POST', "cards/{$card->id}/steps/1", $body, 'k1')->assertOk();
        $again = $this->as('oda', 'POST', "cards/{$card->id}/steps/1", $body, 'k1')->assertOk()
            ->assertHeader('Idempotent-Replay', 'true');
        self::assertSame($first->json(), $again->json());
        self::assertSame(
            1,
            DB::table('records')->where('what', 'step.done')->where('subject', "card:{$card->id}")->count(),
        );
        $this->as('oda', 'POST', "cards/{$card->id}/steps/1", [...$body, 'do' => 'start'], 'k1')->assertStatus(422)
            ->assertJsonPath('message', 'This key was already used for another request.');
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
            $answer = $this->as(
                'oda',
                'POST',
                "cards/{$card->id}/steps/{$no}",
                ['version' => $from + $n, 'do' => $do],
                $key,
            )->assertOk();
            self::assertSame($no === 1 ? 'true' : null, $answer->headers->get('Idempotent-Replay'));
        }
        self::assertSame($from + 3, $card->refresh()->version);
        self::assertSame(
            [1, 2, 3],
            DB::table('records')->where('what', 'step.done')->where('subject', "card:{$card->id}")->orderBy('id')
                ->pluck('data')->map(static fn(string $d): int => json_decode($d)->step)->all(),
        );
        // One that comes too late for its version is refused, and leaves everything as it is.
        $this->as(
            'oda',
            'POST',
            "cards/{$card->id}/steps/4",
            ['version' => $from, 'do' => 'read', 'entry' => '48', 'tool' => 'PG-21'],
            'q4',
        )->assertStatus(409);
        self::assertSame([$from + 3, 0], [$card->refresh()->version, Reading::where('card_id', $card->id)->count()]);
    }

    public function test_a_signature_whose_answer_was_lost_is_answered_however_many_were_given_since(): void
    {
        $card = $this->governorCard();
        Step::where('card_id', $card->id)->update(['state' => 'done', 'done_by' => $this->person('oda')->id]);
        $body = ['version' => $card->refresh()->version, 'stamp' => 'T27', 'pin' => '2741'];
        $sign = fn(string $key): int => $this->as('oda', 'POST', "cards/{$card->id}/sign", $body, $key)->status();
        self::assertSame(200, $sign('first'));
        $others = array_map(
            static fn(int $n): int => $sign("other-{$n}"),
            range(1, (int) config('jorvel.sign_a_minute')),
        );
        self::assertSame([429, 200], [end($others), $sign('first')]);
    }

    public function test_signatures(): void
    {
        $card = $this->governorCard();
        $oda = $this->person('oda');
        $sign = fn(string $who, string $what, array $given) => $this->as($who, 'POST', "cards/{$card->id}/{$what}", [
            'version' => $card->refresh()->version, ...$given,
        ]);
        $mine = ['stamp' => 'T27', 'pin' => '2741'];
        self::assertStringContainsString(
            'Still open: step 1, 2',
            $sign('oda', 'sign', $mine)->assertStatus(422)->json('message'),
        );
        Step::where('card_id', $card->id)->update(['state' => 'done', 'done_by' => $oda->id]);
        $sign('oda', 'sign', ['stamp' => 'T27', 'pin' => '1'])->assertStatus(422);
        $sign('oda', 'sign', ['stamp' => 'C01', 'pin' => '1101'])->assertStatus(422);
        Qualification::where(['person_id' => $oda->id, 'value' => 'perform'])->update(['valid_until' => '2026-05-04']);
        self::assertStringContainsString(
            'needs a valid authority to work cards: it has lapsed',
            $sign('oda', 'sign', $mine)->assertStatus(422)->json('message'),
        );
        Qualification::where(['person_id' => $oda->id, 'value' => 'perform'])->update(['valid_until' => '2026-05-05']);
        $sign('oda', 'sign', $mine)->assertOk()->assertJsonPath('state', 'signed');
        $sign('oda', 'sign', $mine)->assertStatus(422);
        self::assertStringContainsString(
            'is signed; its steps stand',
            $this->work($card, 1, 'take_back', ['note' => 'x'])->assertStatus(422)->json('message'),
        );

        // Somebody who worked a step cannot inspect, whatever their role.
        Step::where(['card_id' => $card->id, 'no' => 2])->update(['done_by' => $this->person('runa')->id]);
        self::assertStringContainsString(
            'you cannot inspect it independently',
            $sign('runa', 'inspect', ['stamp' => 'I04', 'pin' => '4410'])->assertStatus(422)->json('message'),
        );
        self::assertStringContainsString(
            'Not yet looked at: torque, locking',
            $sign('tor', 'inspect', ['stamp' => 'X02', 'pin' => '5520', 'covers' => ['assembly']])->assertStatus(422)
                ->json('message'),
        );
        $sign('tor', 'inspect', [
            'stamp' => 'X02', 'pin' => '5520', 'covers' => ['assembly', 'torque', 'locking'],
        ])->assertOk()->assertJsonPath('state', 'closed');
    }

    public function test_a_card_written_from_an_old_revision_is_held(): void
    {
        $card = Card::with('template.manual')->where('title', 'Engine control check')
            ->orWhere('title', 'Engine control change-over check')->firstOrFail();
        $said = $this->as('ivo', 'POST', "cards/{$card->id}/steps/1", ['version' => $card->version, 'do' => 'done'])
            ->assertStatus(422)->json('message');
        self::assertStringContainsString('revision 6; BM-TRK is at revision 7', $said);
        self::assertStringContainsString('re-read', $this->as('ivo', 'GET', "cards/{$card->id}")->json('held'));
    }
}
