<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Deferrals\Model\ListedItem;
use App\Floor\Model\Card;
use App\Floor\Model\Exceedance;
use App\Floor\Model\Finding;
use App\Floor\Model\FollowUp;
use App\Library\Model\CardTemplate;
use App\Library\Model\ProgrammeItem;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** What follows from a finding or an exceeded limit: opened at once, answered by name, and nothing settled before. */
final class FollowsTest extends WorldCase
{
    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T12:20:00Z'));
    }

    /** A card of a visit of QA-VFC that oda works. */
    private function card(string $template = 'SKV-29-11'): Card
    {
        $visit = $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'Tests', 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-06',
            'items' => [ProgrammeItem::where('code', '61-21')->valueOrFail('id')],
        ])->assertCreated()->json('id');
        $this->as('ines', 'POST', "visits/{$visit}/cards", [
            'template' => CardTemplate::where('code', $template)->valueOrFail('id'),
        ])->assertCreated();
        $card = Card::where('visit_id', $visit)->orderByDesc('id')->with('template')->get()
            ->firstOrFail(static fn(Card $c): bool => $c->template->code === $template);
        $this->assign($card, $card->skill === 'engine' ? 'mette' : 'oda')->assertOk();

        return $card;
    }

    /** @return array<string, array<string, mixed>> what follows, by its text */
    private function follows(int $finding): array
    {
        return array_column((array) $this->as('oda', 'GET', "findings/{$finding}")->assertOk()->json('follows'), null, 'text');
    }

    private function raise(Card $card, string $extent, string $chapter = '29-10'): int
    {
        $this->as('oda', 'POST', "cards/{$card->id}/findings", [
            'place' => 'pressure filter, port C', 'extent' => $extent, 'severity' => 'major', 'chapter' => $chapter,
        ])->assertOk();

        return (int) Finding::where('card_id', $card->id)->max('id');
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return TestResponse<Response>
     */
    private function answer(int $follow, array $body, string $who = 'oda'): TestResponse
    {
        return $this->as($who, 'POST', "follow-ups/{$follow}", $body);
    }

    public function test_a_cut_seal_asks_for_its_seat_its_insert_and_its_sister_before_it_is_settled(): void
    {
        $card = $this->card();
        $finding = $this->raise($card, 'gasket cut through');
        $of = $this->follows($finding);
        self::assertSame(4, count($of));
        $this->as('ines', 'POST', "findings/{$finding}/card", ['hours' => 2])->assertCreated();
        $fix = Card::where('finding_id', $finding)->firstOrFail();
        $this->assign($fix, 'oda')->assertOk();
        $sign = fn(): TestResponse => $this->signed($fix->id);
        self::assertStringContainsString('not answered yet', (string) $sign()->assertStatus(422)->json('message'));
        $listed = $this->as('ines', 'POST', "findings/{$finding}/defer", [
            'item' => 1, 'procedure_done' => true, 'stamp' => 'C01', 'pin' => '1101',
        ]);
        self::assertGreaterThanOrEqual(400, $listed->status());
        [$seat, $insert, $sister, $batch] = array_column(array_values($of), 'id');
        $this->answer($seat, ['answer' => 'No score, lamp and glass'])->assertOk();
        $this->answer($seat, ['answer' => 'once more'])->assertStatus(422);
        // Answered by mistake: it is open again, with the reason, and the record keeps what was said.
        $mistake = fn(int $of): TestResponse
            => $this->as('oda', 'POST', "follow-ups/{$of}/mistake", ['why' => 'the wrong port']);
        $mistake($insert)->assertStatus(422);
        $mistake($seat)->assertOk();
        self::assertTrue($this->follows($finding)[array_key_first($of)]['waits']);
        $this->answer($seat, ['answer' => 'Scored at the edge'])->assertOk();
        self::assertStringContainsString('No score, lamp and glass', (string) DB::table('records')
            ->where('what', 'follow.opened_again')->value('data'));
        $this->answer($insert, ['answer' => 'This filter has none', 'not_needed' => true])->assertOk();
        $this->answer($sister, ['answer' => 'nicked as well', 'wrong' => [
            'place' => 'return filter, port C', 'extent' => 'seal nicked', 'severity' => 'minor',
        ]])->assertOk();
        $of = $this->follows($finding);
        $led = (int) Finding::where('place', 'return filter, port C')->valueOrFail('id');
        self::assertSame("/floor/findings/{$led}", $of['The sister port, the same seal']['link']);
        self::assertCount(4, $this->follows($led), 'what is wrong there is a finding of its own, with what follows');
        self::assertStringContainsString('was raised for it', (string) $mistake($sister)->assertStatus(422)->json('message'));
        self::assertStringContainsString('Which batch', (string) $sign()->assertStatus(422)->json('message'));
        $this->answer($batch, ['answer' => 'B-4471'], 'mika')->assertForbidden();
        $this->answer($batch, ['answer' => 'B-4471'])->assertOk();
        $sign()->assertOk();
        self::assertStringContainsString('fixed', (string) $mistake($batch)->assertStatus(422)->json('message'));
        self::assertSame(['answered', 'not_needed', 'answered', 'answered'], FollowUp::where('finding_id', $finding)
            ->orderBy('id')->pluck('state')->all());
    }

    /** @return TestResponse<Response> oda signs a card as if its steps had been worked */
    private function signed(int $card, string $who = 'oda'): TestResponse
    {
        $this->stepsDone($card, $who);

        return $this->as($who, 'POST', "cards/{$card}/sign", [
            'version' => Card::findOrFail($card)->version, 'stamp' => $this->person($who)->stamp,
            'pin' => $this->pinOf($who),
        ]);
    }

    public function test_a_rule_that_the_words_do_not_tell_is_opened_by_hand_once(): void
    {
        $card = $this->card();
        $finding = $this->raise($card, 'it is not as it should be');
        self::assertSame([], $this->follows($finding));
        $rules = array_column((array) $this->as('oda', 'GET', "findings/{$finding}")->json('rules'), 'id', 'code');
        self::assertArrayNotHasKey('SKV-X-NP', $rules);
        $this->as('oda', 'POST', "findings/{$finding}/follows", ['rule' => $rules['SKV-F-LEAK']])->assertCreated();
        $of = $this->follows($finding);
        self::assertCount(3, $of);
        self::assertSame('suspect', $of['Hydraulics']['word'], 'a suspect is shown, and nobody answers it');
        $this->as('oda', 'POST', "findings/{$finding}/follows", ['rule' => $rules['SKV-F-LEAK']])->assertStatus(422);
        $this->answer($of['Hydraulics']['id'], ['answer' => 'no'])->assertStatus(422);
    }

    /** @return array<string, string> */
    private static function told(string $peak, string $seconds, string $time = '10:00'): array
    {
        return [
            'mark' => 'QA-VFE', 'rule' => 'SKV-X-NP', 'position' => 'engine 2', 'peak' => $peak,
            'seconds' => $seconds, 'source' => 'crew', 'date' => '2026-05-05', 'time' => $time,
        ];
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function wrong(): iterable
    {
        yield 'within the limit' => [self::told('101', '60'), 'within the limit'];
        yield 'no number' => [self::told('fast', '6'), 'peak'];
        yield 'a time below nought' => [self::told('103', '-1'), 'is no time'];
        yield 'a time to come' => [self::told('103', '6', '23:50'), 'still to come'];
        yield 'no such place' => [[...self::told('103', '6'), 'position' => 'engine 3'], 'engine 1, engine 2'];
        yield 'another type\'s limit' => [[...self::told('103', '6'), 'rule' => 'TRK-X-NR'], 'No rule'];
    }

    /** @param array<string, string> $told */
    #[DataProvider('wrong')]
    public function test_what_was_no_exceedance_is_not_recorded(array $told, string $says): void
    {
        $before = Exceedance::count();
        $answer = $this->as('oda', 'POST', 'exceedances', $told)->assertStatus(422);
        self::assertStringContainsString($says, (string) $answer->getContent());
        self::assertSame($before, Exceedance::count());
    }

    public function test_on_the_line_its_table_opens_the_inspection_and_the_aircraft_waits_for_it(): void
    {
        $said = (string) $this->as('oda', 'POST', 'exceedances/preview', self::told('102.6', '6'))->assertOk()->json('sentence');
        self::assertStringContainsString('102.6 %, 1.6 beyond, for 6 s', $said);
        self::assertStringContainsString('major finding', $said);
        // A little, and it is recorded and no more.
        $this->as('oda', 'POST', 'exceedances', self::told('101.2', '30', '09:00'))->assertCreated();
        self::assertNull(Exceedance::orderByDesc('id')->firstOrFail()->finding_id);
        $this->as('ines', 'POST', 'exceedances', self::told('102.6', '6'))->assertCreated();
        $this->as('ines', 'POST', 'exceedances', self::told('102.7', '6'))->assertStatus(422);
        $of = Exceedance::with('finding')->orderByDesc('id')->firstOrFail();
        $finding = $of->finding ?? self::fail('no finding');
        $line = array_column((array) $this->as('oda', 'GET', 'line')->json('rows'), null, 'mark')['QA-VFE'];
        self::assertSame(['stop', "finding {$finding->number} is open"], [$line['state'], $line['said']]);
        self::assertStringContainsString(
            "must not fly: finding {$finding->number} is open",
            (string) $this->as('oda', 'GET', 'fleet/QA-VFE')->json('sentence'),
        );
        // A second one of the same aircraft comes to the same check.
        $visits = Visit::onLine()->count();
        $this->as('ines', 'POST', 'exceedances', [...self::told('103', '8', '11:00'), 'position' => 'engine 1'])
            ->assertCreated();
        self::assertSame($visits, Visit::onLine()->count());
        $card = Card::with('template')->where('finding_id', $finding->id)->firstOrFail();
        self::assertSame('SKV-61-90', $card->template->code);
        self::assertContains('take', (array) $this->as('mette', 'GET', "cards/{$card->id}")->json('may'));
        $this->as('lena', 'POST', "cards/{$card->id}/take");
        $this->as('mette', 'POST', "cards/{$card->id}/take")->assertOk();
        $asked = array_column(array_filter(
            $this->follows($finding->id),
            static fn(array $f): bool => $f['waits'],
        ), 'id');
        self::assertStringContainsString('not answered', (string) $this->signed($card->id, 'mette')->json('message'));
        $this->answer($asked[0], ['answer' => 'Power lever back at once'], 'mette')->assertOk();
        $this->signed($card->id, 'mette')->assertOk();
        $state = array_column((array) $this->as('oda', 'GET', 'exceedances')->json('rows'), null, 'number');
        self::assertContains($state[$of->number]['word'], ['inspected', 'to be inspected']);
        self::assertSame($finding->refresh()->state->value, $card->refresh()->state === Card::CLOSED ? 'fixed' : 'open');
        $this->as('ines', 'POST', "exceedances/{$of->id}/mistake", ['why' => 'misread'])->assertStatus(422);
    }

    public function test_a_type_without_a_check_after_a_report_gets_a_visit_that_begins_with_a_look_round(): void
    {
        $of = DB::table('programme_items')->where('line', 'report');
        $of->update(['withdrawn' => true]);
        $this->as('ines', 'POST', 'exceedances', self::told('102.6', '6'))->assertCreated();
        $exceeded = Exceedance::with('finding.card.visit')->orderByDesc('id')->firstOrFail();
        $visit = $exceeded->finding?->card->visit ?? self::fail('no visit');
        self::assertSame([Visit::IN_WORK, 'line', 'induct'], [
            $visit->state, $visit->bay, $exceeded->finding->card->makes,
        ]);
        $fix = Card::with('template')->where('finding_id', $exceeded->finding_id)->firstOrFail();
        self::assertSame(['SKV-61-90', $visit->id], [$fix->template->code, $fix->visit_id]);
        self::assertStringContainsString($exceeded->finding->number, (string) json_encode(
            $this->as('tor', 'GET', "release/{$visit->id}")->assertOk()->json('blockers'),
        ));
        // Without a card to begin with nothing is half done.
        DB::table('card_templates')->where('makes', 'induct')->update(['makes' => null]);
        Visit::whereKey($visit->id)->update(['state' => Visit::RELEASED]);
        $before = Exceedance::count();
        self::assertStringContainsString('Nothing was recorded', (string) $this
            ->as('ines', 'POST', 'exceedances', self::told('103', '8', '11:00'))->assertStatus(422)->json('message'));
        self::assertSame($before, Exceedance::count());
    }

    public function test_in_a_visit_the_inspection_is_one_of_its_cards_and_holds_its_release(): void
    {
        $card = $this->card();
        Visit::whereKey($card->visit_id)->update(['state' => Visit::IN_WORK]);
        $this->as('ines', 'POST', 'exceedances', [...self::told('107.5', '1'), 'mark' => 'QA-VFC'])->assertCreated();
        $of = Exceedance::with('finding')->orderByDesc('id')->firstOrFail();
        self::assertSame('critical', $of->finding?->severity->value);
        // What the approved data wants inspected is not carried instead.
        $listed = ListedItem::inForce($card->template->type_id)->where('code', '61-L2')->firstOrFail();
        FollowUp::where('finding_id', $of->finding_id)->whereIn('kind', ['question', 'look'])->update(['state' => 'answered']);
        self::assertStringContainsString('it comes first', (string) $this
            ->as('tor', 'POST', "findings/{$of->finding_id}/defer", [
                'item' => $listed->id, 'placard' => true, 'stamp' => 'X02', 'pin' => '5520',
            ])->assertStatus(422)->json('message'));
        $blockers = (string) json_encode($this->as('tor', 'GET', "release/{$card->visit_id}")->json('blockers'));
        self::assertStringContainsString((string) $of->finding->number, $blockers);
        self::assertSame($card->visit_id, Card::where('finding_id', $of->finding_id)->valueOrFail('visit_id'));
    }

    public function test_a_reading_beyond_its_limit_is_recorded_at_once_with_how_long_it_was(): void
    {
        $card = $this->card('SKV-71-11');
        $card->load('steps');
        $step = $card->steps->firstOrFail(static fn($s): bool => ($s->spec['reading']['exceeds']['rule'] ?? '') === 'SKV-X-NP'
            && $s->spec['reading']['exceeds']['position'] === 'engine 2');
        DB::table('steps')->where('card_id', $card->id)->where('no', '<', $step->no)
            ->update(['state' => 'done', 'done_by' => $this->person('mette')->id]);
        $read = fn(string $entry, string ...$more): TestResponse
            => $this->as('mette', 'POST', "cards/{$card->id}/steps/{$step->no}", [
                'version' => Card::findOrFail($card->id)->version, 'do' => 'read', 'entry' => $entry,
                'entries' => $more === [] ? [] : ['seconds' => $more[0]],
            ]);
        $before = Exceedance::count();
        self::assertStringContainsString('for how many seconds', (string) $read('102.6')->assertStatus(422)->json('message'));
        $read('102.6', '-3')->assertStatus(422);
        self::assertSame($before, Exceedance::count());
        $read('102.6', '6')->assertOk();
        $of = Exceedance::with('finding.fixCard.template')->orderByDesc('id')->firstOrFail();
        self::assertSame(['engine 2', 102.6, 6.0, 'card', $step->id], [
            $of->position, $of->peak, $of->seconds, $of->source, $of->step_id,
        ]);
        self::assertSame('SKV-61-90', $of->finding?->fixCard?->template->code);
        self::assertSame('open', $step->refresh()->state->value, 'the reading itself is still to be in limits');
        app(Clock::class)->start(Instant::parse('2026-05-05T12:40:00Z'));
        $read('99.8')->assertOk();
        self::assertSame($before + 1, Exceedance::count());
    }

    public function test_a_recorder_is_read_whole_or_not_at_all(): void
    {
        $csv = static fn(string ...$lines): array
            => ['text' => implode("\n", ['mark,rule,position,peak,seconds,at', ...$lines])];
        $good = 'QA-VFE,SKV-X-ITT,engine 1,799,6,2026-05-05T08:00:00Z';
        $bad = $this->as('ines', 'POST', 'exceedances/recorder', $csv(
            $good,
            'QZ-NONE,SKV-X-ITT,engine 1,799,6,2026-05-05T08:00:00Z',
            'QA-VFE,SKV-X-ITT,engine 1,770,6,2026-05-05T08:05:00Z',
            'QA-VFE,SKV-X-ITT,engine 1,hot,6,2026-05-05T08:06:00Z',
            'QA-VFE,SKV-X-ITT,engine 1,799,6,yesterday',
            'QA-VFE,SKV-X-ITT,engine 1,799',
            $good,
            str_replace('08:00:00Z', '08:00:00.0Z', $good),
        ))->assertStatus(422);
        self::assertSame(
            ['line 3, mark', 'line 4', 'line 5, peak', 'line 6, at', 'line 7', 'line 8, at', 'line 9, at'],
            array_column((array) $bad->json('lines'), 'line'),
        );
        $before = Exceedance::count();
        $seen = $this->as('ines', 'POST', 'exceedances/recorder/preview', $csv($good))->assertOk();
        self::assertStringContainsString('major finding', (string) $seen->json('lines.0'));
        self::assertSame($before, Exceedance::count());
        $this->as('ines', 'POST', 'exceedances/recorder', $csv($good))->assertCreated();
        self::assertSame('SKV-72-90', Exceedance::orderByDesc('id')->firstOrFail()->finding?->fixCard?->template->code);
        $this->as('ines', 'POST', 'exceedances/recorder', $csv($good))->assertStatus(422);
    }
}
