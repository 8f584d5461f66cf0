<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Crew\Model\Qualification;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Handover;
use App\Floor\Model\Presence;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Stores\Model\FittedPart;
use App\Stores\Model\Part;
use App\Stores\Model\PartBatch;
use App\Stores\Model\ToolLoan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** Cards worked safely: every kind of step, the interlock, hand-over, inspections. */
final class FloorTest extends WorldCase
{
    protected function setUp(): void
    {
        parent::setUp();
        // However long the tests before took: a roll-call stands for its minutes.
        app(Clock::class)->start(Instant::parse('2026-05-05T12:20:00Z'));
    }

    private function gear(): Card
    {
        return Card::where('title', 'Gear extension by hand pump')->whereNot('state', Card::CLOSED)->firstOrFail();
    }

    private function flaps(): Card
    {
        return Card::where('visit_id', $this->gear()->visit_id)->where('title', 'Flap travel timing')->firstOrFail();
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<Response>
     */
    private function work(string $who, Card $card, int $no, string $do, array $more = []): TestResponse
    {
        return $this->as($who, 'POST', "cards/{$card->id}/steps/{$no}", [
            'version' => $card->refresh()->version, 'do' => $do, ...$more,
        ]);
    }

    /** @param TestResponse<Response> $response */
    private function said(TestResponse $response): string
    {
        return (string) $response->assertStatus(422)->json('message');
    }

    /** Takes everything off QC-TAC that holds the gear. */
    private function free(): void
    {
        Presence::where('card_id', $this->flaps()->id)->delete();
        SafingDevice::where('card_id', $this->flaps()->id)->update(
            ['removed_at' => '2026-05-05T12:20:00Z', 'removed_by' => 1],
        );
    }

    public function test_a_step_is_held_by_name_until_everything_is_gone_and_nothing_overrides_it(): void
    {
        $gear = $this->gear();
        $holds = fn(): array => array_column(
            array_column($this->as('oda', 'GET', "cards/{$gear->id}")->json('steps'), null, 'no')[8]['holds'],
            'name',
        );
        self::assertSame(['Stig Omdal', 'Lio Kest', 'Flap travel lock'], $holds());
        self::assertStringStartsWith(
            'Step 8 moves landing gear and hydraulics and is held: Stig Omdal works on '.$this->flaps()->number
                .' Flap travel timing',
            $this->said($this->work('oda', $gear, 8, 'count', ['entry' => '50'])),
        );
        self::assertSame(Step::OPEN, Step::where(['card_id' => $gear->id, 'no' => 8])->value('state'));
        $links = array_column(
            array_column($this->as('oda', 'GET', "cards/{$gear->id}")->json('steps'), null, 'no')[8]['holds'],
            'link',
        );
        self::assertSame(
            ["/floor/{$this->flaps()->id}", "/floor/{$this->flaps()->id}", "/floor/{$this->flaps()->id}?step=6"],
            $links,
        );
        $calls = array_map(
            static fn(array $h): array => [$h['card'], $h['person']],
            array_column($this->as('oda', 'GET', "cards/{$gear->id}")->json('steps'), null, 'no')[8]['holds'],
        );
        self::assertSame(
            [
                [$this->flaps()->id, $this->person('stig')->id], [$this->flaps()->id, $this->person('lio')->id],
                [null, null],
            ],
            $calls,
        );

        // Each cause goes: people called clear, the lock off by its own step.
        $flaps = $this->flaps();
        $this->as('ines', 'POST', "cards/{$flaps->id}/clear", ['person' => $this->person('lio')->id])->assertOk();
        self::assertSame(['Stig Omdal', 'Flap travel lock'], $holds());
        $this->work('stig', $flaps, 4, 'read', ['entry' => '0.3', 'tool' => 'FG-11'])->assertOk();
        $this->work('stig', $flaps, 5, 'read', ['entry' => '0.2', 'tool' => 'FG-11'])->assertOk();
        $this->work('stig', $flaps, 6, 'done')->assertOk();
        self::assertSame(['Stig Omdal'], $holds());
        $this->as('stig', 'POST', "cards/{$flaps->id}/clear", ['person' => $this->person('stig')->id])->assertOk();
        $this->as('stig', 'POST', "cards/{$flaps->id}/clear", ['person' => $this->person('stig')->id])
            ->assertStatus(422);
        self::assertSame([], $holds());
        $this->work('oda', $gear, 8, 'count', ['entry' => '50'])->assertOk()->assertJsonPath('next', 9);
        // Whoever works on another card is no longer where they were.
        $this->work('stig', $flaps, 7, 'call', ['entry' => 'left wing', 'note' => 'Stig Omdal'])->assertOk();
        self::assertSame(
            [$flaps->id],
            Presence::where('person_id', $this->person('stig')->id)->pluck('card_id')->all(),
        );
    }

    public function test_a_roll_call_lapses_and_is_called_again_before_anything_moves(): void
    {
        $gear = $this->gear();
        $this->free();
        app(Clock::class)->start(Instant::parse('2026-05-05T12:36:00Z'));
        self::assertStringContainsString(
            'the roll-call of step 6 is too old for nose, left wing tip, right wing tip, flight deck',
            $this->said($this->work('oda', $gear, 8, 'count', ['entry' => '50'])),
        );
        foreach ([
            'nose' => 'Noor Hadley', 'left wing tip' => 'T45', 'right wing tip' => 'Bram Oster',
        ] as $place => $who) {
            $this->work('oda', $gear, 6, 'call', ['entry' => $place, 'note' => $who])->assertOk();
        }
        self::assertStringContainsString(
            'is too old for flight deck',
            $this->said($this->work('oda', $gear, 8, 'count', ['entry' => '50'])),
        );
        $this->work('oda', $gear, 6, 'call', ['entry' => 'flight deck', 'note' => 'Oda Fenn'])->assertOk();
        $this->work('oda', $gear, 8, 'count', ['entry' => '50'])->assertOk();
        $flaps = $this->flaps();
        Step::where('card_id', $flaps->id)->where('no', '<', 7)->update(['state' => 'done']);
        self::assertStringContainsString(
            'Who stands at left wing?',
            $this->said($this->work('stig', $flaps, 7, 'call', ['entry' => 'left wing'])),
        );
        self::assertStringContainsString(
            'is not a place of this roll-call',
            $this->said($this->work('stig', $flaps, 7, 'call', ['entry' => 'tail', 'note' => 'x'])),
        );
        self::assertStringContainsString(
            'Not called clear, or too long ago: left wing, right wing, flight deck',
            $this->said($this->work('stig', $flaps, 7, 'done')),
        );
    }

    public function test_the_card_goes_on_through_every_kind_to_its_inspection_and_signature(): void
    {
        $gear = $this->gear();
        $this->free();
        self::assertStringContainsString(
            'as a whole number',
            $this->said($this->work('oda', $gear, 8, 'count', ['entry' => 'fifty'])),
        );
        $this->work('oda', $gear, 8, 'count', ['entry' => '70'])->assertOk()->assertJsonPath('next', 8)
            ->assertJsonPath('steps.7.result.verdict', 'fail');
        $this->work('oda', $gear, 8, 'count', ['entry' => '55'])->assertOk()->assertJsonPath('next', 9);

        self::assertStringContainsString(
            'one of them alone proves nothing',
            $this->said($this->work('oda', $gear, 9, 'compare', ['entries' => ['shown' => '92'], 'tool' => 'PG-28'])),
        );
        $this->work('oda', $gear, 9, 'compare', ['entries' => ['shown' => '92', 'real' => '85'], 'tool' => 'PG-28'])
            ->assertOk()->assertJsonPath('next', 9);
        $this->work('oda', $gear, 9, 'compare', ['entries' => ['shown' => '92', 'real' => '89,5'], 'tool' => 'PG-28'])
            ->assertOk()->assertJsonPath('next', 10);
        self::assertSame(
            [['fail', 0], ['fail', 0], ['pass', 1], ['pass', 1]],
            DB::table('readings')->where('card_id', $gear->id)->where('point', 'like', 'emergency line%')->orderBy('id')
                ->get()->map(static fn($r): array => [$r->verdict, $r->stands])->all(),
        );

        self::assertSame('Start the hold first.', $this->said($this->work('oda', $gear, 10, 'done')));
        $this->work('oda', $gear, 10, 'start')->assertOk();
        self::assertStringContainsString('of 8 seconds', $this->said($this->work('oda', $gear, 10, 'done')));
        app(Clock::class)->start(Instant::parse('2026-05-05T12:20:40Z'));
        $this->work('oda', $gear, 10, 'done')->assertOk()->assertJsonPath('next', 11);
        $this->work('oda', $gear, 11, 'read', ['entry' => '8.2'])->assertOk()->assertJsonPath('next', 11);
        $this->work('oda', $gear, 11, 'read', ['entry' => '6.1'])->assertOk()->assertJsonPath('next', 12);
        $this->work('oda', $gear, 12, 'done')->assertOk();
        self::assertSame(
            2,
            SafingDevice::where('kind', 'Gear lock pins')->where('aircraft_id', $gear->aircraft_id)->count(),
            'out by step 7, in again by step 12',
        );

        self::assertStringStartsWith(
            'when it is signed, planned to end Tue 5 May',
            array_column($this->as('runa', 'GET', 'floor')->json('cards'), 'inspectNext', 'id')[$this->flaps()->id],
        );
        // An inspection in the middle: by another, of everything it covers; it stands in the inspectors' list.
        self::assertStringContainsString(
            'is signed by its inspector',
            $this->said($this->work('oda', $gear, 13, 'done')),
        );
        self::assertSame(
            "For you to inspect: {$gear->number} on QC-TAC, Gear extension by hand pump.",
            $this->as('runa', 'GET', 'floor')->json('sentence'),
        );
        $inspect = fn(string $who, array $body): TestResponse => $this->as(
            $who,
            'POST',
            "cards/{$gear->id}/steps/13/inspect",
            ['version' => $gear->refresh()->version, ...$body],
        );
        $all = ['leak', 'locking', 'free and full movement'];
        self::assertStringContainsString(
            'Not yet looked at: locking, free and full movement',
            $this->said($inspect('runa', ['covers' => ['leak'], 'stamp' => 'I04', 'pin' => '4410'])),
        );
        self::assertStringContainsString(
            'Stamp or PIN',
            $this->said($inspect('runa', ['covers' => $all, 'stamp' => 'I04', 'pin' => '1'])),
        );
        $inspect('oda', ['covers' => $all, 'stamp' => 'T27', 'pin' => '2741'])->assertStatus(403);
        $inspect('runa', ['covers' => $all, 'stamp' => 'I04', 'pin' => '4410'])->assertOk()->assertJsonPath('next', 14);
        self::assertStringContainsString(
            'not waiting',
            $this->said($inspect('runa', ['covers' => $all, 'stamp' => 'I04', 'pin' => '4410'])),
        );
        // What it looked at is taken back: the inspection falls with it, and cannot be taken back by itself.
        self::assertStringContainsString(
            'stands until something that it looked at is taken back',
            $this->said($this->work('oda', $gear, 13, 'take_back', ['note' => 'x'])),
        );
        self::assertSame(
            [11, 13],
            $this->as('oda', 'GET', "cards/{$gear->id}")->json('steps.9.fallsWith'),
            'the inspection, and what took the pressure off',
        );
        $this->work('oda', $gear, 10, 'take_back', ['note' => 'the gauge was not read at the end'])->assertOk()
            ->assertJsonPath('steps.12.state', 'open');
        self::assertSame(
            ['fell' => [11, 13], 'step' => 10, 'why' => 'the gauge was not read at the end'],
            json_decode((string) DB::table('records')->where('what', 'step.taken_back')->value('data'), true),
        );
        $this->work('oda', $gear, 10, 'start')->assertOk();
        self::assertStringContainsString(
            'Step 10 comes first',
            $this->said($inspect('runa', ['covers' => $all, 'stamp' => 'I04', 'pin' => '4410'])),
        );
        app(Clock::class)->start(Instant::parse('2026-05-05T12:21:40Z'));
        $this->work('oda', $gear, 10, 'done')->assertOk();
        // The free fall took the pressure off: it falls with the hold, and the pins, in since, hold it.
        self::assertStringContainsString(
            'Gear lock pins',
            $this->said($this->work('oda', $gear, 11, 'read', ['entry' => '6.2'])),
        );
        $this->work('oda', $gear, 12, 'take_back', ['note' => 'out again for the free fall'])->assertOk();
        $this->work('oda', $gear, 11, 'read', ['entry' => '6.2'])->assertOk();
        $this->work('oda', $gear, 12, 'done')->assertOk();
        $inspect('runa', ['covers' => $all, 'stamp' => 'I04', 'pin' => '4410'])->assertOk()->assertJsonPath('next', 14);
        self::assertNull(
            array_column($this->as('runa', 'GET', 'floor')->json('cards'), 'inspectNext', 'id')[$gear->id],
            'its inspection is done',
        );
        $this->work('oda', $gear, 14, 'done')->assertOk();
        $this->work('oda', $gear, 15, 'done')->assertOk()->assertJsonPath('next', null);

        // Signed with what went out counted in; fewer than went out stay out, and nothing is signed.
        $loans = ToolLoan::where('card_id', $gear->id)->whereNull('in_at')->get()->keyBy('what');
        self::assertSame(
            ['PG-28 Pressure gauge 0 to 100', 'TW-113 Torque wrench 2 to 20', 'rags'],
            $loans->keys()->all(),
        );
        $sign = fn(array $counted): TestResponse => $this->as('oda', 'POST', "cards/{$gear->id}/sign", [
            'version' => $gear->refresh()->version, 'stamp' => 'T27', 'pin' => '2741', 'counted' => $counted,
        ]);
        $back = $loans->mapWithKeys(static fn(ToolLoan $l): array => [$l->id => $l->quantity])->all();
        self::assertStringContainsString(
            '12 of rags went out, 11 came back',
            $this->said($sign([$loans['rags']->id => 11] + $back)),
        );
        self::assertStringContainsString(
            'Still out on the card: PG-28',
            $this->said($sign([$loans['rags']->id => 12])),
        );
        self::assertSame(
            0,
            ToolLoan::where('card_id', $gear->id)->whereNotNull('in_at')->count(),
            'nothing was counted in either',
        );
        $sign($back)->assertOk()->assertJsonPath('state', 'closed');
        self::assertSame(
            $this->person('runa')->id,
            $gear->refresh()->inspected_by,
            'the step\'s inspection is the card\'s',
        );
        self::assertStringContainsString(
            'nothing more goes out on it',
            $this->said($this->as('oda', 'POST', "cards/{$gear->id}/loans", ['what' => 'rags', 'quantity' => 2])),
        );
        self::assertNotContains('tool_out', array_merge(
            ...array_column($this->as('tor', 'GET', "release/{$gear->visit_id}")->json('blockers'), 'codes'),
        ));
        $record = json_decode(
            (string) DB::table('records')->where('what', 'card.signed')->where('subject', "card:{$gear->id}")
                ->value('data'),
            true,
        );
        self::assertStringContainsString(
            'has been worked to TM-OLN revision 5: steps 1 to 12, 14 and 15 by Oda Fenn (T27).',
            $record['statement'],
        );
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function wrongParts(): iterable
    {
        $care = ['seat' => 'yes', 'lubricated' => 'yes'];
        yield 'no batch' => [$care, 'Enter the batch on the label'];
        yield 'none such' => [['batch' => 'X1', ...$care], 'There is no batch X1'];
        yield 'another part' => [
            ['batch' => 'B3231-A', ...$care], 'is JV-3231-09 Hand pump seal kit; this step needs JV-2914-02',
        ];
        yield 'shelf life over' => [
            ['batch' => 'B2914-A', ...$care], 'The shelf life of batch B2914-A ran out on Thu 30 Apr',
        ];
        yield 'a seal a second time' => [['again' => 'yes', ...$care], 'is never used twice'];
        yield 'seat not looked at' => [['batch' => 'B2914-B', 'lubricated' => 'yes'], 'Look at seat and groove'];
        yield 'dry' => [['batch' => 'B2914-B', 'seat' => 'yes'], 'Lubricate with the fluid of the system'];
    }

    /** @param array<string, string> $entries */
    #[DataProvider('wrongParts')]
    public function test_a_wrong_part_is_not_fitted(array $entries, string $why): void
    {
        $card = $this->accumulator();
        self::assertStringContainsString(
            $why,
            $this->said($this->work('oda', $card, 6, 'fit', ['entries' => $entries])),
        );
        self::assertSame(0, FittedPart::where('card_id', $card->id)->count());
    }

    public function test_a_part_is_fitted_from_its_batch_and_uses_its_reservation(): void
    {
        $card = $this->accumulator();
        $part = Part::where('number', 'JV-2914-02')->firstOrFail();
        $before = $part->batches()->sum('quantity');
        DB::table('aircraft')->where('id', $card->aircraft_id)->update(['effectivity' => 'Z9']);
        self::assertStringContainsString('fits K1, K2; QA-VFC is Z9', $this->said(
            $this->work('oda', $card, 6, 'fit', [
                'entries' => ['batch' => 'B2914-B', 'seat' => 'yes', 'lubricated' => 'yes'],
            ]),
        ));
        DB::table('aircraft')->where('id', $card->aircraft_id)->update(['effectivity' => 'K1']);
        self::assertSame(1, $card->parts()->count());
        $this->work('oda', $card, 6, 'fit', [
            'entries' => ['batch' => 'B2914-B', 'seat' => 'yes', 'lubricated' => 'yes'],
        ])->assertOk()->assertJsonPath('steps.5.result.batch', 'B2914-B');
        self::assertSame([(int) $before - 1, 3, 0], [
            (int) $part->batches()->sum('quantity'), PartBatch::where('batch', 'B2914-B')->value('quantity'),
            $card->parts()->count(),
        ]);
        // Taken back: the seal is spent, a new one is wanted.
        $this->work('oda', $card, 6, 'take_back', ['note' => 'twisted'])->assertOk();
        $this->work('oda', $card, 6, 'fit', [
            'entries' => ['batch' => 'B2914-B', 'seat' => 'yes', 'lubricated' => 'yes'],
        ])->assertOk();
        self::assertSame(2, PartBatch::where('batch', 'B2914-B')->value('quantity'));
    }

    private function accumulator(): Card
    {
        $item = DB::table('programme_items')->where('code', '29-14')->value('id');
        $visit = $this->as('ines', 'POST', 'visits', [
            'mark' => 'QA-VFC', 'title' => 'Accumulator', 'bay' => 'line', 'start' => '2026-05-05',
            'end' => '2026-05-06', 'items' => [$item],
        ])->assertCreated()->json();
        $card = Card::where('visit_id', $visit['id'])->whereNotNull('item_id')->firstOrFail();
        DB::table('card_waits')->where('card_id', $card->id)->delete();
        Step::where('card_id', $card->id)->where('no', '<', 6)
            ->update(['state' => 'done', 'done_by' => $this->person('oda')->id]);
        $this->assign($card, 'oda')->assertOk();

        return $card;
    }

    public function test_a_card_is_handed_over_with_its_state_in_words(): void
    {
        $gear = $this->gear();
        $this->as('oda', 'POST', "cards/{$gear->id}/hand-over", [
            'version' => $gear->version - 1, 'said' => 'x',
        ])->assertStatus(409);
        $view = $this->as('oda', 'POST', "cards/{$gear->id}/hand-over", [
            'version' => $gear->version, 'said' => 'Pump handle is stiff',
        ])->assertOk()->json('handover');
        self::assertSame(['Oda Fenn', 'Pump handle is stiff', null], [$view['by'], $view['said'], $view['takenBy']]);
        self::assertStringContainsString(
            '7 of 15 steps done. Next: step 8, Pump the gear down by hand. Still fitted: Nose door lock, nose gear.',
            $view['state'],
        );
        self::assertStringContainsString('Out on the card: PG-28 Pressure gauge 0 to 100; TW-113', $view['state']);
        self::assertFalse(Presence::where('person_id', $this->person('oda')->id)->exists(), 'who hands over is gone');
        self::assertStringContainsString('handed over already', $this->said(
            $this->as('oda', 'POST', "cards/{$gear->id}/hand-over", [
                'version' => $gear->refresh()->version, 'said' => 'y',
            ]),
        ));
        $this->assign($gear, 'cora')->assertOk();
        self::assertStringStartsWith('Handed over to you', $this->as('cora', 'GET', 'floor')->json('sentence'));
        $this->as('cora', 'POST', "cards/{$gear->id}/take-over")->assertOk()
            ->assertJsonPath('handover.takenBy', 'Cora Lindell');
        $this->as('cora', 'POST', "cards/{$gear->id}/take-over")->assertStatus(422);
        self::assertSame(1, Handover::where('card_id', $gear->id)->whereNotNull('taken_at')->count());
    }

    public function test_a_trainee_works_under_a_supervisor_who_signs_and_who_cannot_inspect(): void
    {
        $flaps = $this->flaps();
        $this->work('lio', $flaps, 4, 'read', ['entry' => '0.3', 'tool' => 'FG-11'])->assertOk();
        Step::where('card_id', $flaps->id)->where('kind', '!=', 'inspection')
            ->update(['state' => 'done', 'done_by' => $this->person('lio')->id]);
        $sign = fn(string $who, string $stamp, string $pin): TestResponse => $this->as(
            $who,
            'POST',
            "cards/{$flaps->id}/sign",
            [
                'version' => $flaps->refresh()->version, 'stamp' => $stamp, 'pin' => $pin,
                'counted' => $flaps->loans()->pluck('quantity', 'id')->all(),
            ],
        );
        self::assertStringContainsString('your supervisor signs', $this->said($sign('lio', 'T38', '1')));
        $pins = array_column(
            json_decode((string) file_get_contents(database_path('demo/people.json')), true),
            'pin',
            'login',
        );
        $sign('stig', 'T45', $pins['stig'])->assertOk()->assertJsonPath('state', 'signed');
        $card = Card::with(['steps', 'hands', 'assignments'])->findOrFail($flaps->id);
        self::assertEqualsCanonicalizing([$this->person('lio')->id, $this->person('stig')->id], $card->performers());
        // A supervisor stays while the trainee is on the card.
        self::assertStringContainsString(
            'Take the trainee off first',
            $this->said($this->as('ines', 'POST', "cards/{$flaps->id}/assignments", [
                'person' => $this->person('stig')->id, 'role' => 'perform', 'remove' => true,
            ])),
        );
    }

    public function test_nobody_begins_where_a_system_is_being_acted_on(): void
    {
        [$gear, $flaps] = [$this->gear(), $this->flaps()];
        $this->free();
        $this->work('oda', $gear, 8, 'count', ['entry' => '50'])->assertOk();
        $this->work('oda', $gear, 9, 'compare', ['entries' => ['shown' => '92', 'real' => '90'], 'tool' => 'PG-28'])
            ->assertOk();
        $this->work('oda', $gear, 10, 'start')->assertOk();
        $underway = fn(): array
            => array_column($this->as('stig', 'GET', "cards/{$flaps->id}")->json('underway'), 'said');
        self::assertSame(
            ["step 10 of {$gear->number}, Hold the pressure, pressurises hydraulics since 14:20, begun by Oda Fenn"],
            $underway(),
        );
        self::assertStringStartsWith(
            'Stay away from it now: step 10',
            $this->said($this->work('stig', $flaps, 4, 'read', ['entry' => '0.3', 'tool' => 'FG-11'])),
        );
        self::assertSame(0, Presence::where('card_id', $flaps->id)->count());
        // Whoever began it leaves, or works elsewhere: it runs on.
        $this->as('oda', 'POST', "cards/{$gear->id}/clear", ['person' => $this->person('oda')->id])->assertOk();
        self::assertCount(1, $underway());
        self::assertStringStartsWith('Stay away', $this->said($this->as('stig', 'POST', "cards/{$flaps->id}/here")));
        // The hold is over, the pressure is not: until the step that takes it off.
        app(Clock::class)->start(Instant::parse('2026-05-05T12:20:40Z'));
        $left = $this->work('oda', $gear, 10, 'done')->assertOk()->json('live');
        self::assertSame(
            ["hydraulics under pressure since 14:20: step 10 of {$gear->number} left it so"],
            array_column($left, 'said'),
        );
        self::assertSame(array_column($left, 'said'), $underway());
        self::assertStringStartsWith(
            "Hydraulics under pressure since 14:20: step 10 of {$gear->number} left it so. 10 of 15 steps done.",
            $this->as('oda', 'GET', "cards/{$gear->id}")->json('stateNow'),
        );
        $this->work('oda', $gear, 11, 'read', ['entry' => '6.1'])->assertOk()->assertJsonPath('live', []);
        self::assertSame([], $underway());
        $this->work('stig', $flaps, 4, 'read', ['entry' => '0.3', 'tool' => 'FG-11'])->assertOk();
    }

    public function test_a_hold_is_broken_off_with_a_reason_and_only_while_it_runs(): void
    {
        $gear = $this->gear();
        $this->free();
        $this->work('oda', $gear, 8, 'count', ['entry' => '50'])->assertOk();
        $this->work('oda', $gear, 9, 'compare', ['entries' => ['shown' => '92', 'real' => '90'], 'tool' => 'PG-28'])
            ->assertOk();
        self::assertStringContainsString(
            'does not run',
            $this->said($this->work('oda', $gear, 10, 'stop', ['note' => 'leak'])),
        );
        $this->work('oda', $gear, 10, 'start')->assertOk();
        self::assertStringContainsString('Say why', $this->said($this->work('oda', $gear, 10, 'stop')));
        $this->work('oda', $gear, 10, 'stop', ['note' => 'fluid at the union'])->assertOk()->assertJsonPath('live', [])
            ->assertJsonPath('next', 10)->assertJsonPath('steps.9.startedAt', null);
        self::assertSame('Start the hold first.', $this->said($this->work('oda', $gear, 10, 'done')));
        self::assertSame(
            ['step' => 10, 'why' => 'fluid at the union'],
            json_decode((string) DB::table('records')->where('what', 'step.broken_off')->value('data'), true),
        );
    }

    public function test_a_wrong_entry_of_a_device_is_corrected_and_the_register_says_what_is_there(): void
    {
        $gear = $this->gear();
        $kinds = fn(): array => array_column($this->as('mika', 'GET', 'registers/QC-TAC')->json('devices'), 'kind');
        // Entered as fitted, and it is not: off the register, with a reason, and the step is to be done.
        $this->work('oda', $gear, 3, 'take_back', ['note' => 'it was never in'])->assertOk()
            ->assertJsonPath('steps.2.state', 'open');
        self::assertNotContains('Nose door lock', $kinds());
        $this->work('oda', $gear, 3, 'done')->assertOk();
        self::assertContains('Nose door lock', $kinds());
        // Entered as taken off, and it is still on: back on the register, and it holds again.
        self::assertNotContains('Gear lock pins', $kinds());
        $this->work('oda', $gear, 7, 'take_back', ['note' => 'one pin is still in'])->assertOk();
        self::assertContains('Gear lock pins', $kinds());
        self::assertStringContainsString(
            'Gear lock pins',
            json_encode(
                array_column($this->as('oda', 'GET', "cards/{$gear->id}")->json('steps.7.holds'), 'said'),
            ) ?: '',
        );
        // Fitted, and off since: first the removal is taken back.
        $flaps = $this->flaps();
        $this->work('stig', $flaps, 4, 'read', ['entry' => '0.3', 'tool' => 'FG-11'])->assertOk();
        $this->work('stig', $flaps, 5, 'read', ['entry' => '0.2', 'tool' => 'FG-11'])->assertOk();
        $this->work('stig', $flaps, 6, 'done')->assertOk();
        self::assertStringContainsString(
            'is taken off already',
            $this->said($this->work('stig', $flaps, 2, 'take_back', ['note' => 'x'])),
        );
    }

    public function test_somebody_at_the_same_card_holds_a_step_that_no_roll_call_comes_before(): void
    {
        $gear = $this->gear();
        $this->free();
        Presence::create(
            ['card_id' => $gear->id, 'person_id' => $this->person('cora')->id, 'since' => '2026-05-05T12:20:00Z'],
        );
        self::assertSame(
            [],
            $this->as('oda', 'GET', "cards/{$gear->id}")->json('steps.7.holds'),
            'the roll-call of step 6 called her clear',
        );
        Step::where(['card_id' => $gear->id, 'no' => 6])->update(['kind' => 'instruction', 'spec' => '{}']);
        self::assertSame(
            ['Cora Lindell'],
            array_column($this->as('oda', 'GET', "cards/{$gear->id}")->json('steps.7.holds'), 'name'),
        );
        self::assertStringContainsString(
            "Cora Lindell works on {$gear->number} Gear extension by hand pump",
            $this->said($this->work('oda', $gear, 8, 'count', ['entry' => '50'])),
        );
        $this->as('oda', 'POST', "cards/{$gear->id}/clear", ['person' => $this->person('cora')->id])->assertOk();
        $this->work('oda', $gear, 8, 'count', ['entry' => '50'])->assertOk();
    }

    /**
     * @return iterable<string, array{string, string, string|null, string}> who loses what, until when, and why the
     *   other then cannot work
     */
    public static function lapsed(): iterable
    {
        yield 'own authority' => [
            'stig', 'stig', 'perform', 'Stig Omdal needs a valid authority to work cards: it has lapsed',
        ];
        yield 'own rating' => ['stig', 'stig', 'OLN', 'Stig Omdal needs a valid OLN rating: it has lapsed'];
        yield 'own skill' => ['stig', 'stig', 'airframe', 'Stig Omdal needs a valid airframe skill: it has lapsed'];
        yield 'the supervisor\'s, for a trainee' => [
            'lio', 'stig', 'perform',
            'Lio Kest is a trainee, and Stig Omdal needs a valid authority to work cards: it has lapsed',
        ];
        yield 'a trainee alone' => [
            'lio', 'stig', null, 'Lio Kest is a trainee, and the supervisor is not on this card',
        ];
    }

    #[DataProvider('lapsed')]
    public function test_nobody_works_on_with_what_has_lapsed_since(
        string $who,
        string $loses,
        ?string $value,
        string $why,
    ): void {
        $flaps = $this->flaps();
        $before = $flaps->version;
        self::assertNull($this->as($who, 'GET', "cards/{$flaps->id}")->json('workWhy'));
        $value === null
            ? Assignment::where(['card_id' => $flaps->id, 'person_id' => $this->person($loses)->id])->delete()
            : Qualification::where(
                ['person_id' => $this->person($loses)->id, 'value' => $value],
            )->update(['valid_until' => '2026-05-04']);
        self::assertStringStartsWith(
            $why,
            $this->said($this->work($who, $flaps, 4, 'read', ['entry' => '0.3', 'tool' => 'FG-11'])),
        );
        self::assertSame($before, $flaps->refresh()->version);
        $view = $this->as($who, 'GET', "cards/{$flaps->id}");
        self::assertSame(["{$why}.", false, true], [
            $view->json('workWhy'), in_array('work', $view->json('may'), true),
            in_array('hand', $view->json('may'), true),
        ]);
    }

    public function test_any_one_skill_of_a_card_that_needs_several_is_enough_to_work_on_it(): void
    {
        $flaps = $this->flaps();
        $flaps->update(['needs' => ['airframe' => 1, 'avionics' => 1]]);
        $stig = $this->person('stig')->id;
        Qualification::where(['person_id' => $stig, 'kind' => 'skill'])->update(['value' => 'avionics']);
        self::assertNull($this->as('stig', 'GET', "cards/{$flaps->id}")->json('workWhy'));
        self::assertSame(
            [],
            array_column($this->as('ines', 'GET', "people/{$stig}")->json('lapses'), 'said'),
            'and lacks nothing for it',
        );
        Qualification::where(['person_id' => $stig, 'kind' => 'skill'])->update(['valid_until' => '2026-05-04']);
        self::assertStringContainsString(
            'has no airframe skill',
            (string) $this->as('stig', 'GET', "cards/{$flaps->id}")->json('workWhy'),
        );
        self::assertSame(
            [$flaps->number],
            array_column($this->as('ines', 'GET', "people/{$stig}")->json('lapses.0.hits'), 'number'),
        );
    }

    public function test_the_register_draws_what_is_fitted_and_names_what_takes_it_off(): void
    {
        $register = $this->as('mika', 'GET', 'registers/QC-TAC')->assertOk()->json();
        self::assertSame(
            ['Chocks and ground wire', 'Jack collars', 'Nose door lock', 'Flap travel lock'],
            array_column($register['devices'], 'kind'),
        );
        self::assertNotContains(null, array_column($register['devices'], 'remover'));
        self::assertSame('nose door fairing on rack B4', $register['devices'][2]['storage']);
        self::assertSame([], $register['undrawn']);
        self::assertSame([1, 2, 3, 4], array_column($register['drawing']['marks'], 'no'));
        self::assertSame(
            ['Stig Omdal, Flap travel timing', 'Lio Kest, Flap travel timing', 'Oda Fenn, Gear extension by hand pump'],
            array_column($register['people'], 'name'),
        );
        SafingDevice::where('kind', 'Nose door lock')->update(['place' => 'somewhere else']);
        self::assertSame(
            ['Nose door lock, somewhere else'],
            $this->as('mika', 'GET', 'registers/QC-TAC')->json('undrawn'),
        );
        self::assertContains('QA-VFA', array_column($this->as('mika', 'GET', 'registers')->json('aircraft'), 'mark'));
    }
}
