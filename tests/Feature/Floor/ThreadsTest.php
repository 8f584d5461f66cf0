<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Bench\Model\FaultWalk;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\PressureReading;
use App\Floor\Model\Card;
use App\Floor\Model\Exceedance;
use App\Floor\Model\Finding;
use App\Floor\Model\SafingDevice;
use App\Library\Model\CardTemplate;
use App\Library\Model\ProgrammeItem;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WalksCards;
use Tests\Feature\WorldCase;

/** Whole cards of the demo, worked from their first step to their last as somebody would. */
final class ThreadsTest extends WorldCase
{
    use WalksCards;

    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T08:20:00Z'));
    }

    /** @return iterable<string, array{string, string, string, string}> aircraft, card, who works it, who inspects */
    public static function cards(): iterable
    {
        yield 'propeller overspeed' => ['QA-VFE', 'SKV-61-90', 'mette', 'runa'];
        yield 'turbine over-temperature' => ['QA-VFE', 'SKV-72-90', 'mette', 'runa'];
        yield 'ground run of both engines' => ['QA-VFE', 'SKV-71-11', 'mette', 'runa'];
        yield 'the jet, over-temperature' => ['QC-TAA', 'OLN-72-90', 'pell', 'runa'];
        yield 'rotor overspeed' => ['Q-404', 'TRK-62-90', 'aki', 'hald'];
        yield 'thread 8: elevator and ailerons' => ['Q-501', 'VSK-27-31', 'aki', 'hald'];
        yield 'the single, daily' => ['Q-502', 'VSK-05-D1', 'odin', 'hald'];
        yield '50 hours' => ['Q-502', 'VSK-05-50', 'odin', 'hald'];
        yield '100 hours' => ['Q-502', 'VSK-05-100', 'odin', 'hald'];
        yield 'wheel bearings' => ['Q-502', 'VSK-32-22', 'odin', 'hald'];
        yield 'hot section' => ['Q-502', 'VSK-72-12', 'odin', 'hald'];
        yield 'brakes and bleeding' => ['Q-502', 'VSK-32-12', 'odin', 'hald'];
        yield 'altimeter' => ['Q-502', 'VSK-34-12', 'karl', 'hald'];
    }

    #[DataProvider('cards')]
    public function test_a_whole_card_is_worked_to_its_end_and_leaves_nothing_apart(
        string $mark,
        string $template,
        string $who,
        string $inspector,
    ): void {
        $card = $this->cardOf($mark, $template, $who);
        $this->walk($card, $who, $inspector);
        $shown = $this->as($who, 'GET', "cards/{$card->id}")->assertOk();
        self::assertNull($shown->json('next'));
        self::assertSame([], $shown->json('notWhole'));
        self::assertSame([], array_filter(
            (array) $shown->json('safing'),
            static fn(array $d): bool => str_starts_with((string) $d['card'], $card->number),
        ));
        $this->as($who, 'POST', "cards/{$card->id}/sign", [
            'version' => Card::findOrFail($card->id)->version, 'stamp' => $this->person($who)->stamp,
            'pin' => $this->pinOf($who), 'counted' => array_column((array) $shown->json('loans'), 'quantity', 'id'),
        ])->assertOk();
    }

    public function test_thread_9_the_wing_off_and_on_is_not_released_with_its_static_line_untested(): void
    {
        $card = $this->cardOf('Q-501', 'VSK-57-11', 'aki');
        $steps = $card->steps()->orderBy('no')->get();
        $static = (int) $steps->firstWhere('title', 'Static line holds')?->no;
        $rear = (int) $steps->firstWhere('kind', 'meet')?->no;
        $wrong = fn(int $no, string $entry) => $this->as('aki', 'POST', "cards/{$card->id}/steps/{$no}", [
            'version' => Card::findOrFail($card->id)->version, 'do' => 'meet', 'entry' => $entry,
        ]);
        $open = fn(): array => array_column(
            (array) $this->as('aki', 'GET', "cards/{$card->id}")->json('notWhole'),
            'missing',
            'what',
        );
        $bolts = (int) $steps->firstWhere('title', 'Fittings, bare')?->no;
        $this->walk($card, 'aki', 'hald', $bolts);
        self::assertCount(14, $open(), 'fourteen parted places');
        $this->walk($card, 'aki', 'hald', $rear);
        // 0.4 mm off its mark is a heavy wing.
        $wrong($rear, '12.9')->assertOk();
        self::assertFalse($steps->firstWhere('no', $rear)?->refresh()->settled());
        $this->walk($card, 'aki', 'hald', $static);
        $left = $open();
        self::assertArrayHasKey('right static line', $left);
        $blocked = (string) json_encode($this->as('wenna', 'GET', "release/{$card->visit_id}")->json('blockers'));
        self::assertStringContainsString('Right static line', $blocked);
        $this->walk($card, 'aki', 'hald');
        self::assertSame([], $open());
        self::assertStringNotContainsString('static line', (string) json_encode(
            $this->as('wenna', 'GET', "release/{$card->visit_id}")->json('blockers'),
        ));
    }

    /** @param array<string, mixed> $more */
    private function fails(Card $card, string $who, string $title, string $do, array $more): void
    {
        $this->act($card, $who, $title, $do, $more)->assertOk();
        self::assertFalse(self::settled($card, $title), "{$title} is kept and stays open");
    }

    /** @return array<string, mixed> what is missing at each thing that is not whole */
    private function apart(Card $card, string $who): array
    {
        return array_column((array) $this->as($who, 'GET', "cards/{$card->id}")->json('notWhole'), 'missing', 'what');
    }

    public function test_thread_1_an_oxygen_bottle_a_clamp_done_again_and_bubbles_at_union_2(): void
    {
        $card = $this->cardOf('QA-VFC', 'SKV-35-11', 'oda');
        $gauge = 'Pressure of the bottle as found';
        $this->walkTo($card, 'oda', 'runa', $gauge);
        $read = ['entry' => '91.5', 'entries' => ['temp' => '3'], 'tool' => 'PG-21'];
        self::assertStringContainsString('usual', (string) json_encode(
            $this->act($card, 'oda', $gauge, 'read', $read)->assertStatus(422)->json(),
        ));
        $this->act($card, 'oda', $gauge, 'read', [...$read, 'note' => 'cold night'])->assertOk();
        $kept = PressureReading::orderByDesc('id')->firstOrFail();
        self::assertSame([91.5, 3.0], [$kept->pressure, $kept->temp_c]);
        // At 21 °C that is 97.5 bar: the trend has it so.
        $points = $kept->component->trend()->points ?? [];
        self::assertEqualsWithDelta(97.5, end($points)[1] ?? 0.0, 0.1);
        $this->walkTo($card, 'oda', 'runa', 'Gap of the upper clamp');
        $gauge = $this->toolFor($card, ['tool_kind' => 'feeler gauge', 'limit' => [
            'kind' => 'range', 'unit' => 'mm', 'min' => 1.6, 'max' => 2.4,
        ]])->code;
        $gap = fn(string $of, string $mm): array => [
            "Gap of the {$of} clamp", 'read', ['entry' => $mm, 'tool' => $gauge],
        ];
        $this->act($card, 'oda', ...$gap('upper', '1.8'))->assertOk();
        $this->act($card, 'oda', ...$gap('middle', '1.9'))->assertOk();
        $this->fails($card, 'oda', ...$gap('lower', '2.6'));
        $this->act($card, 'oda', ...$gap('lower', '2.1'))->assertOk();
        $this->walkTo($card, 'oda', 'runa', 'New seal at union 1');
        $old = ['entries' => ['again' => 'yes', 'seat' => 'yes']];
        self::assertStringContainsString('never used twice', (string) $this
            ->act($card, 'oda', 'New seal at union 1', 'fit', $old)->assertStatus(422)->json('message'));
        $this->walkTo($card, 'oda', 'runa', 'Leak fluid at both unions');
        $this->fails($card, 'oda', 'Leak fluid at both unions', 'answer', ['entry' => 'bubbles']);
        self::assertCount(2, $this->apart($card, 'oda'));
        // Union 2 is done once more: its torque, the leak test and the inspection come again.
        $this->act($card, 'oda', 'Union 2', 'again', ['note' => 'bubbles at union 2'])->assertOk();
        self::assertStringContainsString('torque', (string) json_encode(
            $this->apart($card, 'oda')['union 2, crew oxygen line'],
        ));
        $this->walk($card, 'oda', 'runa');
        self::assertSame([], $this->apart($card, 'oda'));
    }

    public function test_thread_2_two_engines_matched_and_a_governor_that_ran_beyond_its_limit(): void
    {
        $card = $this->cardOf('QA-VFE', 'SKV-76-11', 'mette', 'oda', 'edvin');
        $this->walkTo($card, 'mette', 'runa', 'engine 1: oil');
        $this->fails($card, 'mette', 'engine 1: oil', 'read', ['entry' => '38']);
        $this->act($card, 'mette', 'engine 1: oil', 'read', ['entry' => '58'])->assertOk();
        $this->walkTo($card, 'mette', 'runa', 'Governor arms');
        $ready = ['holds:oil' => '58', 'holds:joined' => 'yes'];
        $found = [...$ready, 'arm1' => '61.2', 'arm2' => '62.9', 'sep' => '12.5'];
        $rig = 'Governor arms';
        $this->act($card, 'mette', $rig, 'as_found', ['entries' => $found, 'tool' => 'PR-06'])->assertOk();
        $shown = fn(): array => array_column(
            (array) $this->as('mette', 'GET', "cards/{$card->id}")->json('steps'),
            null,
            'no',
        )[self::no($card, $rig)];
        $run = $shown()['runs'][0];
        $moved = array_column((array) $run['moves'], 'adjuster');
        sort($moved);
        self::assertSame(['rod2', 'screw1', 'screw2'], $moved);
        // As it is advised, but for the rod, which is turned less: a second run; then as predicted.
        $turned = static fn(array $run): array => array_column(array_map(static fn(array $m): array => [
            $m['adjuster'], ($m['direction'] === 'ccw' ? '-' : '').$m['amount'],
        ], $run['moves']), 1, 0);
        $this->act($card, 'mette', $rig, 'turned', ['entries' => [...$turned($run), 'rod2' => '0.5']])->assertOk();
        $this->act($card, 'mette', $rig, 'as_left', [
            'entries' => [...$ready, 'arm1' => '61.2', 'arm2' => '61.6', 'sep' => '12.7'], 'tool' => 'PR-06',
        ])->assertOk();
        self::assertCount(2, $shown()['runs']);
        $run = $shown()['runs'][1];
        $this->act($card, 'mette', $rig, 'turned', ['entries' => $turned($run)])->assertOk();
        $left = array_map(
            static fn(mixed $v): string => (string) round((float) $v, 1),
            array_column((array) $run['points'], 'next', 'id'),
        );
        $this->act($card, 'mette', $rig, 'as_left', ['entries' => [...$ready, ...$left], 'tool' => 'PR-06'])
            ->assertOk();
        self::assertTrue(self::settled($card, $rig));
        self::assertNotSame([], $this->apart($card, 'mette'), 'what was turned is to be locked');
        $this->walkTo($card, 'mette', 'runa', 'engine 1: propeller');
        self::assertSame([], $this->apart($card, 'mette'));
        $over = ['entry' => '102.6', 'entries' => ['seconds' => '6'], 'note' => 'overswing'];
        $this->act($card, 'mette', 'engine 1: propeller', 'read', $over)->assertOk();
        $exceeded = Exceedance::with('finding')->orderByDesc('id')->firstOrFail();
        self::assertSame(['engine 1', 102.6, 6.0], [$exceeded->position, $exceeded->peak, $exceeded->seconds]);
        self::assertNotNull($exceeded->finding);
        self::assertStringContainsString((string) $exceeded->finding->number, (string) json_encode(
            $this->as('tor', 'GET', "release/{$card->visit_id}")->json('blockers'),
        ), 'and its release waits for the inspection');
    }

    public function test_thread_3_the_change_over_check_by_both_methods_and_dirt_in_an_air_line(): void
    {
        $template = CardTemplate::where('code', 'TRK-76-22')->firstOrFail();
        $room = (array) $this->as('ines', 'GET', 'library/manuals/BM-TRK')->json('templates');
        $lost = array_column($room, null, 'code');
        $this->as('ines', 'POST', "library/templates/{$template->id}/reread", [
            'outcome' => 'both', 'note' => 'this fleet', 'fleets' => ['coast'], 'seen' => $lost['TRK-76-22']['lost'],
        ])->assertOk();
        $other = Aircraft::where('type_id', '!=', $template->type_id)->valueOrFail('fleet_id');
        Aircraft::where('mark', 'Q-405')->update(['fleet_id' => $other]);
        $one = $this->changeOver('Q-405');
        self::assertSame(['one engine', 6], [$one->template->method, $one->revision]);
        $card = $this->changeOver('Q-404');
        self::assertSame(['both engines', 7], [$card->template->method, $card->revision]);
        // The card refuses the other set-up: by this revision the other engine runs.
        $this->walkTo($card, 'ivo', 'hald', 'The other engine, 2');
        $this->fails($card, 'ivo', 'The other engine, 2', 'answer', ['entry' => 'shut']);
        $this->walkTo($card, 'ivo', 'hald', 'Torque of engine 1');
        $this->act($card, 'ivo', 'Torque of engine 1', 'read', ['entry' => '37.4'])->assertOk();
        $this->act($card, 'ivo', 'Torque of engine 2', 'read', ['entry' => '35'])->assertOk();
        $watch = fn(string $title, float $swing, float $partner = 0.0, string $note = ''): TestResponse
            => $this->act($card, 'ivo', $title, 'watch', ['entries' => [
                'high' => (string) (37.4 + max(0.1, $swing)), 'low' => (string) (37.4 + min(-0.1, $swing)),
                'partner' => (string) (35 + $partner),
            ], 'note' => $note]);
        $watch('Engine 1 to manual', -4.9, 3.8)->assertStatus(422);
        $watch('Engine 1 to manual', -4.9, 3.8, 'watched; inside')->assertOk()->assertJsonPath(
            'tests.0.sentence',
            'Attempt 1 goes on.',
        );
        $watch('Engine 1 back to automatic', 6.6)->assertOk();
        $this->walkTo($card, 'ivo', 'hald', 'Verdict: Change-over, engine 1');
        $over = $this->act($card, 'ivo', 'Verdict: Change-over, engine 1', 'verdict')->assertOk();
        self::assertFalse(self::settled($card, 'Verdict: Change-over, engine 1'));
        // It is a finding at once, and its fault tree is open.
        $finding = (int) $over->json('tests.0.finding');
        $tree = fn(string $answer = '', string $do = 'answer', string $note = ''): TestResponse => $this->as(
            'ivo',
            'POST',
            "bench/findings/{$finding}/walk",
            ['version' => FaultWalk::where('finding_id', $finding)->valueOrFail('version'), 'do' => $do,
                'answer' => $answer, 'note' => $note],
        );
        $tree('one')->assertOk()->assertJsonPath('here', 'linkage');
        $tree('sound')->assertOk();
        $seen = (array) $this->as('ivo', 'GET', "bench/findings/{$finding}/walk")->assertOk()->json();
        $air = array_column($seen['nodes'], null, 'id')['air'];
        self::assertSame([null, 3], array_column($air['branches'], 'times'), 'the cause three times in this fleet');
        $tree('clean')->assertOk();
        $tree('', 'back')->assertStatus(422);
        $tree('', 'back', 'it was dirty at the screen')->assertOk()->assertJsonPath('here', 'air');
        $tree('dirty', 'answer', 'cleaned')->assertOk()->assertJsonPath('cause', 'dirt in the air line')
            ->assertJsonPath('sentence', Finding::findOrFail($finding)->number.' on Q-404: repeat the test.');
        $tree('pass')->assertStatus(422);
        $this->act($card, 'ivo', 'Verdict: Change-over, engine 1', 'new_attempt')->assertOk();
        $this->walkTo($card, 'ivo', 'hald', 'Engine 1 to manual');
        $watch('Engine 1 to manual', -2.7, 2.0)->assertOk();
        $watch('Engine 1 back to automatic', -2.7)->assertOk();
        $this->walkTo($card, 'ivo', 'hald', 'Begin: Change-over, engine 2');
        self::assertTrue(self::settled($card, 'Verdict: Change-over, engine 1'));
        $walked = (array) $this->as('ivo', 'GET', "bench/findings/{$finding}/walk")->json();
        self::assertSame([null, 'attempt 2 passed'], [$walked['here'], end($walked['path'])['said']]);
        $this->walkTo($card, 'ivo', 'hald', 'Engine 2 to manual');
        // Legal, and unusual: a word is asked.
        $second = fn(string $note): TestResponse => $this->act($card, 'ivo', 'Engine 2 to manual', 'watch', [
            'entries' => ['high' => '37', 'low' => '31.6', 'partner' => '37'], 'note' => $note,
        ]);
        $second('')->assertStatus(422);
        $second('watched; inside')->assertOk();
        $this->walk($card, 'ivo', 'hald');
        $this->sign($card, 'ivo', 'hald');
        $found = Finding::findOrFail($finding);
        self::assertSame('fixed', $found->state->value);
        self::assertStringContainsString('dirt in the air line; attempt 2 passed', (string) $found->fixed_how);
    }

    /** Signs a card, and inspects it where that is due. */
    private function sign(Card $card, string $who, string $inspector): void
    {
        $shown = $this->as($who, 'GET', "cards/{$card->id}");
        $this->as($who, 'POST', "cards/{$card->id}/sign", [
            'version' => Card::findOrFail($card->id)->version, 'stamp' => $this->person($who)->stamp,
            'pin' => $this->pinOf($who), 'counted' => array_column((array) $shown->json('loans'), 'quantity', 'id'),
        ])->assertOk();
        if ($card->independent_inspection) {
            $this->as($inspector, 'POST', "cards/{$card->id}/inspect", [
                'version' => Card::findOrFail($card->id)->version, 'stamp' => $this->person($inspector)->stamp,
                'pin' => $this->pinOf($inspector), 'covers' => $card->covers,
            ])->assertOk();
        }
    }

    private function changeOver(string $mark): Card
    {
        $visit = $this->as('ines', 'POST', 'visits', [
            'mark' => $mark, 'title' => 'Change-over', 'bay' => 'line', 'start' => '2026-05-05', 'end' => '2026-05-06',
            'items' => [ProgrammeItem::where('code', '76-22')->valueOrFail('id')],
        ])->assertCreated()->json('id');
        Visit::whereKey($visit)->update(['state' => Visit::IN_WORK]);
        $card = Card::with('steps', 'template')->where('visit_id', $visit)->whereNotNull('item_id')->firstOrFail();
        foreach (['ivo', 'odin', 'hald'] as $who) {
            $this->assign($card, $who)->assertOk();
        }
        // What went wrong here once is read first, once, by whichever method.
        $lesson = (string) json_encode($this->as('odin', 'GET', "cards/{$card->id}")->json('lessons'));
        self::assertStringContainsString('before the speed had settled', $lesson);
        $this->as('ivo', 'POST', "cards/{$card->id}/lessons/read")->assertOk()->assertJsonPath('lessons', []);

        return $card;
    }

    public function test_thread_4_six_bolts_six_plates_six_fairings_and_what_stays_on(): void
    {
        $card = $this->cardOf('QC-TAB', 'OLN-78-32', 'pell');
        $this->walkTo($card, 'pell', 'runa', 'Bolts fitted');
        $this->fails($card, 'pell', 'Bolts fitted', 'count', ['entry' => '5']);
        $this->act($card, 'pell', 'Bolts fitted', 'count', ['entry' => '6'])->assertOk();
        $this->walk($card, 'pell', 'runa');
        self::assertSame(
            ['Connector caps', 'Lever lock'],
            SafingDevice::where('card_id', $card->id)->whereNull('removed_at')->orderBy('kind')->pluck('kind')->all(),
        );
        self::assertStringContainsString('safing_left', (string) json_encode(
            $this->as('tor', 'GET', "release/{$card->visit_id}")->json('blockers'),
        ), 'until a deferral carries it');
    }

    public function test_thread_5_three_ways_down_and_a_door_that_lags(): void
    {
        $card = $this->cardOf('QC-TAA', 'OLN-32-30', 'stig', 'lio', 'noor', 'oda');
        $this->walkTo($card, 'stig', 'runa', 'Nose door behind its pair');
        $this->act($card, 'stig', 'Nose door', 'read', ['entry' => '1.3'])->assertOk();
        $verdict = 'Verdict: Normal, up and down';
        $this->walkTo($card, 'stig', 'runa', $verdict);
        $over = $this->act($card, 'stig', $verdict, 'verdict')->assertOk();
        self::assertSame('Attempt 1 failed.', $over->json('tests.0.sentence'));
        $finding = (int) $over->json('tests.0.finding');
        foreach (['lag', 'air'] as $answer) {
            $this->as('stig', 'POST', "bench/findings/{$finding}/walk", [
                'version' => FaultWalk::where('finding_id', $finding)->valueOrFail('version'), 'do' => 'answer',
                'answer' => $answer,
            ])->assertOk();
        }
        $this->act($card, 'stig', $verdict, 'new_attempt')->assertOk();
        $this->walkTo($card, 'stig', 'runa', 'Nose door behind its pair');
        $this->act($card, 'stig', 'Nose door', 'read', ['entry' => '0.4', 'note' => 'bled, run again'])->assertOk();
        $this->walkTo($card, 'stig', 'runa', 'By the hand pump: strokes');
        self::assertSame('air in the door line', FaultWalk::where('finding_id', $finding)->value('cause'));
        // The left bay is not clear any more: pump and lowering are held.
        app(Clock::class)->start(Instant::fromEpoch(app(Clock::class)->now()->epoch() + 1900));
        $pump = fn(): TestResponse => $this->act(
            $card,
            'stig',
            'By the hand pump: strokes',
            'count',
            ['entry' => '47'],
        );
        self::assertStringContainsString('roll-call', strtolower((string) $pump()->assertStatus(422)->json('message')));
        // Who stands where is called again; what was proven before stands, for it was nothing that was done.
        $who = 'Who stands where';
        $called = $this->act($card, 'stig', $who, 'again', ['note' => 'somebody went into the left bay']);
        $called->assertOk();
        $this->walkTo($card, 'stig', 'runa', 'By the hand pump: strokes');
        $pump()->assertOk();
        $sheet = $card->steps()->where('title', 'Kick-out and relief')->firstOrFail();
        $this->act($card, 'stig', 'Kick-out', 'read', ['entries' => ['kick' => '196', 'relief' => '214']])->assertOk();
        self::assertSame(18.0, (float) $sheet->refresh()->result['lines'][0]['value']);
        $this->walkTo($card, 'stig', 'runa', 'Free fall, from');
        $this->act($card, 'stig', 'Free fall, from', 'read', ['entry' => '6.2'])->assertOk();
        $late = $this->act($card, 'stig', 'Free fall: in which order', 'order', [
            'entries' => ['nose' => '2', 'left' => '1', 'right' => '3'],
        ])->assertOk();
        self::assertStringContainsString('too soon: left main', (string) json_encode($late->json('steps')));
        $this->act($card, 'stig', 'Free fall: in which order', 'take_back', ['note' => 'seen from the wrong side'])
            ->assertOk();
        $this->walk($card, 'stig', 'runa');
    }

    public function test_thread_6_it_pulls_right_and_the_brakes_are_balanced(): void
    {
        $card = $this->cardOf('QA-VFC', 'SKV-32-43', 'bram');
        $this->as('bram', 'POST', "cards/{$card->id}/findings", [
            'place' => 'as the crew reports', 'extent' => 'pulls right on braking', 'chapter' => '32-42',
        ])->assertOk();
        self::assertStringContainsString('Brake pressure inner and outer', (string) json_encode(
            DB::table('follow_ups')->orderByDesc('id')->limit(6)->pluck('text'),
        ));
        $this->walkTo($card, 'bram', 'runa', 'Pressure at the brakes');
        $read = fn(string $do, string $inner, string $note = ''): TestResponse
            => $this->act($card, 'bram', 'Pressure at the brakes', $do, [
                'entries' => [
                    'lo' => '39', 'li' => $inner, 'ri' => '38', 'ro' => '38', 'tool.pressure gauge' => 'PG-21',
                ],
                'note' => $note,
            ]);
        $found = $read('as_found', '33')->assertOk();
        self::assertSame(
            'li',
            collect((array) $found->json('steps'))->firstWhere('kind', 'sheet')['result']['lines'][0]['outlier'],
        );
        self::assertFalse(self::settled($card, 'Pressure at the brakes'));
        $read('as_left', '38', 'left inner a turn and a half in')->assertOk();
        self::assertTrue(self::settled($card, 'Pressure at the brakes'));
        $this->walkTo($card, 'bram', 'runa', 'Bleed nipple');
        $this->act($card, 'bram', 'Bleed nipple', 'done')->assertOk();
        self::assertSame(['left inner brake line'], array_keys($this->apart($card, 'bram')));
        $this->walkTo($card, 'bram', 'runa', 'Accumulator');
        self::assertSame([], $this->apart($card, 'bram'), 'the opened line is bled and dry');
        $this->act($card, 'bram', 'Accumulator', 'read', ['entry' => '47', 'tool' => 'PG-21'])->assertOk();
        $this->walk($card, 'bram', 'runa');
        // The same report again is a repeat, with its story.
        Finding::where('card_id', $card->id)->update(['state' => 'fixed', 'fixed_how' => 'balanced and bled']);
        $this->as('bram', 'POST', "cards/{$card->id}/findings", [
            'place' => 'as the crew reports', 'extent' => 'pulls right again', 'chapter' => '32-42',
        ])->assertOk();
        $again = Finding::where('card_id', $card->id)->orderByDesc('id')->firstOrFail();
        self::assertStringContainsString('balanced and bled', (string) $this
            ->as('bram', 'GET', "findings/{$again->id}")->json('repeat'));
    }

    public function test_thread_7_a_daily_of_the_helicopter_with_a_cut_seal(): void
    {
        $of = ProgrammeItem::where('line', 'daily')->whereRelation('template', 'code', 'TRK-05-D1')->valueOrFail('id');
        $id = (int) $this->as('aki', 'POST', 'line', ['mark' => 'Q-402', 'item' => $of])->assertCreated()->json('id');
        $card = Card::with('steps')->findOrFail($id);
        $this->walkTo($card, 'aki', 'hald', 'Rotor brake pressure, as you come');
        $this->act($card, 'aki', 'Rotor brake pressure, as you come', 'read', ['entry' => '41'])->assertOk();
        self::assertCount(31, (array) $card->steps->firstWhere('kind', 'circuit')?->spec['points']);
        $this->walkTo($card, 'aki', 'hald', 'Bright part, left');
        $read = ['Bright part, left' => ['64', ''], 'Tyre pressure, left' => ['5.9', 'PG-22']];
        foreach ($read as $title => [$entry, $tool]) {
            $this->act($card, 'aki', $title, 'read', ['entry' => $entry, 'tool' => $tool])->assertOk();
        }
        $this->walkTo($card, 'aki', 'hald', 'Seal of the emergency lever');
        $this->fails($card, 'aki', 'Seal of the emergency lever', 'answer', ['entry' => 'bad']);
        $this->as('aki', 'POST', "cards/{$id}/findings", [
            'place' => 'emergency lever', 'extent' => 'seal is cut', 'chapter' => '32-30',
        ])->assertOk();
        self::assertStringContainsString('Was it used?', (string) json_encode(
            DB::table('follow_ups')->orderByDesc('id')->limit(6)->pluck('text'),
        ));
        $this->act($card, 'aki', 'Seal of the emergency lever', 'answer', ['entry' => 'good'])->assertOk();
        $this->walkTo($card, 'aki', 'hald', 'Rotor brake pressure, as you go');
        app(Clock::class)->start(Instant::fromEpoch(app(Clock::class)->now()->epoch() + 1500));
        $this->fails($card, 'aki', 'Rotor brake pressure, as you go', 'read', ['entry' => '39.6']);
        $this->act($card, 'aki', 'Rotor brake pressure, as you go', 'read', ['entry' => '40.2'])->assertOk();
        self::assertStringContainsString('finding_open', (string) json_encode(
            $this->as('aki', 'GET', "line/{$card->visit_id}")->json('blockers'),
        ));
    }

    public function test_thread_11_a_raft_with_its_pin_in_and_a_spoiler_channel_that_fails(): void
    {
        $raft = $this->cardOf('QC-TAA', 'OLN-25-62', 'stig');
        $this->walkTo($raft, 'stig', 'runa', 'Take the pin out');
        self::assertStringContainsString('safing_left', (string) json_encode(
            $this->as('tor', 'GET', "release/{$raft->visit_id}")->json('blockers'),
        ));
        $this->walk($raft, 'stig', 'runa');
        self::assertStringNotContainsString('safing_left', (string) json_encode(
            $this->as('tor', 'GET', "release/{$raft->visit_id}")->json('blockers'),
        ));
        $card = $this->cardOf('QC-TAD', 'OLN-27-61', 'noor', 'sanne');
        $this->walkTo($card, 'noor', 'runa', 'Self-test on both');
        $test = fn(string $b): TestResponse => $this->act($card, 'noor', 'Self-test on both', 'result', ['entries' => [
            'channel.A' => 'pass', 'channel.B' => $b, 'screen.left' => 'yes',
            'screen.right' => $b === 'pass' ? 'yes' : 'no',
        ]]);
        self::assertStringContainsString(
            'actuator slow',
            (string) json_encode($test('417')->assertOk()->json('steps')),
        );
        $verdict = 'Verdict: Spoilers, self-test';
        $this->walkTo($card, 'noor', 'runa', $verdict);
        $finding = (int) $this->act($card, 'noor', $verdict, 'verdict')->assertOk()->json('tests.0.finding');
        $tree = fn(string $answer, string $do = 'answer'): TestResponse => $this->as(
            'noor',
            'POST',
            "bench/findings/{$finding}/walk",
            [
                'version' => FaultWalk::where('finding_id', $finding)->valueOrFail('version'), 'do' => $do,
                'answer' => $answer,
            ],
        );
        $tree('late')->assertOk();
        self::assertStringContainsString('not a reading', (string) $tree('plenty')->assertStatus(422)->json('message'));
        $tree('208')->assertOk()->assertJsonPath('here', 'bleed');
        $tree('free')->assertOk()->assertJsonPath('here', 'actuator');
        // The tree names a card: it is made, and answers when it is closed.
        $tree('done')->assertStatus(422);
        $made = (int) $tree('', 'card')->assertOk()->json('cardId');
        self::assertSame($made, $tree('', 'card')->assertOk()->json('cardId'), 'once');
        self::assertStringContainsString('not closed yet', (string) $tree('done')->assertStatus(422)->json('message'));
        Card::whereKey($made)->update(['state' => Card::CLOSED, 'closed_at' => (string) app(Clock::class)->now()]);
        $tree('done')->assertOk()->assertJsonPath('here', 'again');
        $this->act($card, 'noor', $verdict, 'new_attempt')->assertOk();
        $this->walkTo($card, 'noor', 'runa', 'Self-test on both');
        $test('pass')->assertOk();
        $this->walkTo($card, 'noor', 'runa', 'Panels in');
        self::assertSame('actuator of the slow panel', FaultWalk::where('finding_id', $finding)->value('cause'));
        $this->act($card, 'noor', 'Panels in, all six', 'read', ['entry' => '1.6'])->assertOk();
        // The light says in; the pressure does not.
        $seen = (int) $card->steps()->where('kind', 'indication')->valueOrFail('no');
        $this->as('noor', 'POST', "cards/{$card->id}/steps/{$seen}", [
            'version' => Card::findOrFail($card->id)->version, 'do' => 'seen',
            'entries' => ['lamp' => 'yes', 'pressure' => 'no'],
        ])->assertOk();
        self::assertStringContainsString(
            'NOT proven',
            (string) json_encode($card->steps()->where('no', $seen)->value('result')),
        );
        $this->walkTo($card, 'noor', 'runa', 'Verdict: Spoilers, travel');
        $this->act($card, 'noor', 'Verdict: Spoilers, travel', 'verdict')->assertOk();
        $this->act($card, 'noor', 'Verdict: Spoilers, travel', 'new_attempt')->assertOk();
        $this->walk($card, 'noor', 'runa');
    }

    public function test_thread_12_an_oil_pump_handed_over_a_cut_gasket_and_a_second_leak_run(): void
    {
        $card = $this->cardOf('Q-404', 'TRK-79-32', 'ivo', 'odin', 'hald');
        $gasket = fn(string $port): string => "New gasket at port {$port}";
        $this->walkTo($card, 'ivo', 'hald', $gasket('A'));
        self::assertStringContainsString('JV-7932-03', (string) $this->act($card, 'ivo', $gasket('A'), 'fit', [
            'entries' => ['batch' => 'B7932-K', 'seat' => 'yes'],
        ])->assertStatus(422)->json('message'), 'what is for the K2 does not go on a P1');
        $this->walkTo($card, 'ivo', 'hald', $gasket('C'));
        $this->as('ivo', 'POST', "cards/{$card->id}/findings", [
            'place' => 'oil pump, port C', 'extent' => 'gasket cut', 'chapter' => '79-30',
        ])->assertOk();
        $texts = DB::table('follow_ups')->orderByDesc('id')->limit(4)->pluck('text')->implode('; ');
        foreach (['seat', 'insert', 'sister port'] as $looked) {
            self::assertStringContainsString($looked, $texts);
        }
        $this->as('ivo', 'POST', "cards/{$card->id}/hand-over", [
            'version' => Card::findOrFail($card->id)->version, 'said' => 'Port C: seat looked at, gasket to be fitted.',
        ])->assertOk();
        $this->as('odin', 'POST', "cards/{$card->id}/take-over", [
            'version' => Card::findOrFail($card->id)->version,
        ])->assertOk();
        // A revision of another section stops nothing.
        $look = $this->as('ines', 'POST', 'library/imports', [
            'kind' => 'revision', 'name' => 'r8', 'text' => json_encode([
                'manual' => 'BM-TRK', 'revision' => 8, 'issued' => '2026-05-05', 'summary' => 'x',
                'passages' => [['section' => '62-11', 'title' => 'Dampers', 'text' => 'Torque in two stages.']],
            ]),
        ])->assertOk()->json('id');
        $this->as('ines', 'POST', "library/imports/{$look}/apply")->assertOk();
        $this->walkTo($card, 'odin', 'hald', 'V-clamp');
        $this->walkTo($card, 'odin', 'hald', 'Union at port A');
        $this->walkTo($card, 'odin', 'hald', 'Oil temperature');
        $this->act($card, 'odin', 'Oil temperature', 'read', ['entry' => '55'])->assertOk();
        $run = 'Leak run';
        $this->act($card, 'odin', $run, 'start')->assertOk();
        $this->act($card, 'odin', $run, 'stop', ['note' => 'weeps at port B'])->assertOk();
        $this->act($card, 'odin', 'Union at port B', 'again', ['note' => 'weeps'])->assertOk();
        $this->walk($card, 'odin', 'hald');
        self::assertSame([], $this->apart($card, 'odin'));
    }
}
