<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\CardHand;
use App\Floor\Model\Finding;
use App\Floor\Model\Presence;
use App\Floor\Model\SafingDevice;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Stores\Model\MoveKind;
use App\Stores\Model\PartBatch;
use App\Stores\Model\PartMove;
use App\Stores\Model\ToolLoan;
use App\Visits\Model\Visit;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;

/** What was found by using the application: rules that held within a card, and have to hold for the whole aircraft. */
final class WholeAircraftTest extends WorldCase
{
    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T12:20:00Z'));
    }

    /** A card of an item in a visit of its own, with people on it, free to be begun. */
    private function card(string $mark, string $item, string $start, string ...$people): Card
    {
        $id = DB::table('programme_items')->join('aircraft', 'aircraft.type_id', '=', 'programme_items.type_id')
            ->where(['aircraft.mark' => $mark, 'programme_items.code' => $item])->value('programme_items.id');
        $visit = $this->as('ines', 'POST', 'visits', [
            'mark' => $mark, 'title' => "Work {$item}", 'bay' => 'line', 'start' => $start, 'end' => $start,
            'items' => [(string) $id],
        ])->assertCreated()->json('id');
        $card = Card::where('visit_id', $visit)->whereNotNull('item_id')->firstOrFail();
        DB::table('card_waits')->where('card_id', $card->id)->delete();
        foreach ($people as $login) {
            Assignment::create(['card_id' => $card->id, 'person_id' => $this->person($login)->id, 'role' => 'perform']);
        }

        return $card;
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<Response>
     */
    private function work(string $who, Card $card, int $no, string $do = 'done', array $more = []): TestResponse
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

    /** Every step done by somebody, every card of the visit closed. */
    private function closed(int $visit, string $by): void
    {
        $id = $this->person($by)->id;
        Step::whereIn(
            'card_id',
            Card::where('visit_id', $visit)->pluck('id'),
        )->update(['state' => Step::DONE, 'done_by' => $id]);
        Card::where('visit_id', $visit)->update([
            'state' => Card::CLOSED, 'signed_by' => $id, 'signed_at' => '2026-05-05T12:00:00Z',
            'inspected_by' => $this->person('runa')->id, 'inspected_at' => '2026-05-05T12:10:00Z',
        ]);
    }

    public function test_no_aircraft_is_released_while_somebody_works_at_it_in_another_visit(): void
    {
        $first = $this->card('QA-VFC', '29-14', '2026-05-05');
        $second = $this->card('QA-VFC', '61-21', '2026-05-07', 'oda');
        Visit::whereKey($second->visit_id)->update(['start' => '2026-05-05']);
        $this->work('oda', $second, 1)->assertOk();
        $this->as('oda', 'POST', "cards/{$second->id}/loans", ['what' => 'rags', 'quantity' => 7])->assertOk();
        $this->closed($first->visit_id, 'bram');
        $blockers = $this->as('tor', 'GET', "release/{$first->visit_id}")->json('blockers');
        self::assertSame([['person_at'], ['begun_elsewhere'], ['tool_out']], array_column($blockers, 'codes'));
        self::assertStringContainsString(
            "Card {$second->number}, {$second->title}, of \"Work 61-21\"",
            $blockers[1]['title'],
        );
        self::assertStringContainsString('7 rags, out on card '.$second->number, $blockers[2]['title']);
        self::assertStringContainsString(
            'Oda Fenn, on card',
            $this->said($this->as('tor', 'POST', "release/{$first->visit_id}", ['stamp' => 'X02', 'pin' => '5520'])),
        );
        self::assertSame(0, DB::table('releases')->where('visit_id', $first->visit_id)->count());
        // Gone, counted in, closed: it goes.
        $this->as('oda', 'POST', "cards/{$second->id}/clear", ['person' => $this->person('oda')->id])->assertOk();
        ToolLoan::where('card_id', $second->id)->update(['in_at' => '2026-05-05T12:30:00Z', 'in_by' => 1]);
        $second->refresh()->update(['state' => Card::CLOSED, 'signed_by' => $this->person('oda')->id]);
        $this->as('tor', 'POST', "release/{$first->visit_id}", ['stamp' => 'X02', 'pin' => '5520'])->assertOk();
    }

    public function test_a_fix_card_takes_the_systems_of_its_finding_and_one_without_holds_its_zone(): void
    {
        $gear = Card::where('title', 'Gear extension by hand pump')->where('state', Card::IN_WORK)->firstOrFail();
        $flaps = Card::where('visit_id', $gear->visit_id)->where('title', 'Flap travel timing')->firstOrFail();
        Presence::whereIn('card_id', [$flaps->id])->delete();
        SafingDevice::where('card_id', $flaps->id)->update(['removed_at' => '2026-05-05T12:20:00Z', 'removed_by' => 1]);
        $fix = function (string $chapter, string $place) use ($flaps): Card {
            $this->as('stig', 'POST', "cards/{$flaps->id}/findings", [
                'place' => $place, 'extent' => 'weeps', 'chapter' => $chapter,
            ])->assertOk();
            $finding = Finding::where('place', $place)->firstOrFail();
            $this->as('ines', 'POST', "findings/{$finding->id}/card", ['hours' => 1])->assertSuccessful();
            $card = Card::where('finding_id', $finding->id)->firstOrFail();
            DB::table('card_waits')->where('card_id', $card->id)->delete();
            Assignment::create(['card_id' => $card->id, 'person_id' => $this->person('noor')->id, 'role' => 'perform']);

            return $card;
        };
        $line = $fix('29-10', 'hydraulic line, bay 2');
        self::assertSame(['hydraulics'], $line->systems);
        $this->work('noor', $line, 1)->assertOk();
        self::assertStringContainsString(
            'Noor Hadley works on '.$line->number,
            $this->said($this->work('oda', $gear, 8, 'count', ['entry' => '50'])),
        );
        // A panel touches no system by itself: it holds what moves in its own zone, and what moves there keeps it away.
        $panel = $fix('53-10', 'belly panel');
        self::assertSame([[], 'wing'], [$panel->systems, $panel->zone]);
        $this->work('noor', $panel, 1)->assertOk();
        $this->work('oda', $gear, 8, 'count', ['entry' => '50'])->assertOk();
        $panel->update(['zone' => 'main gear']);
        self::assertStringContainsString(
            'Noor Hadley',
            json_encode(
                array_column($this->as('oda', 'GET', "cards/{$gear->id}")->json('steps.9.holds'), 'said'),
            ) ?: '',
        );
    }

    public function test_lifting_is_held_by_everybody_and_everything_at_the_aircraft(): void
    {
        $raise = Card::with('steps')->where('makes', 'raise')->where('state', Card::OPEN)->firstOrFail();
        DB::table('card_waits')->where('card_id', $raise->id)->delete();
        Assignment::create(['card_id' => $raise->id, 'person_id' => $this->person('bram')->id, 'role' => 'perform']);
        $mark = $raise->aircraft()->value('mark');
        Visit::whereKey($raise->visit_id)->update(['start' => '2026-05-05']);
        DB::table('qualifications')->insertOrIgnore([[
            'person_id' => $this->person('bram')->id, 'kind' => 'rating',
            'value' => $raise->aircraft()->firstOrFail()->type()->value('code'),
        ]]);
        Presence::query()->delete();
        $this->work('bram', $raise, 1)->assertOk();
        foreach (['Stig Omdal', 'Noor Hadley', 'Lio Kest', 'Bram Oster'] as $n => $who) {
            $this->work('bram', $raise, 2, 'call', ['entry' => $raise->steps[1]->spec['places'][$n], 'note' => $who])
                ->assertOk();
        }
        $this->work('bram', $raise, 2)->assertOk();
        // Somebody in the cabin, on a card that touches nothing that moves; and a lock in the tail.
        $other = Card::where('aircraft_id', $raise->aircraft_id)->where('id', '!=', $raise->id)
            ->where('state', Card::OPEN)->firstOrFail();
        $other->update(['systems' => ['oxygen'], 'zone' => 'cabin']);
        Presence::where('person_id', $this->person('noor')->id)->delete();
        Presence::create(
            ['card_id' => $other->id, 'person_id' => $this->person('noor')->id, 'since' => '2026-05-05T12:00:00Z'],
        );
        $steps = Step::where(['card_id' => $other->id])->pluck('id');
        foreach ([
            'Elevator control lock' => ['flight controls'], 'Gear lock pins' => ['landing gear'],
        ] as $kind => $against) {
            SafingDevice::create([
                'aircraft_id' => $raise->aircraft_id, 'card_id' => $other->id, 'fitted_step_id' => $steps->shift(),
                'fitted_by' => 1, 'kind' => $kind, 'place' => 'tail', 'flag' => 'red',
                'fitted_at' => '2026-05-05T10:00:00Z', 'against' => $against,
            ]);
        }
        $said = $this->said($this->work('bram', $raise, 3));
        self::assertStringContainsString('Noor Hadley works on', $said);
        self::assertStringContainsString('Elevator control lock', $said);
        self::assertStringNotContainsString('Gear lock pins', $said, "{$mark} is raised with its pins in");
    }

    /**
     * @return iterable<string, array{int, string, array<string, mixed>, string}> step, answer, what is sent, and why it
     *   is refused
     */
    public static function entries(): iterable
    {
        yield 'full-width digits' => [11, 'read', ['entry' => "\u{FF19},\u{FF19}"], 'is not a reading'];
        yield 'an Arabic nought' => [11, 'read', ['entry' => "\u{0660}"], 'is not a reading'];
        yield 'a time of nothing' => [11, 'read', ['entry' => '0'], 'is no time'];
        yield 'a time below nothing' => [11, 'read', ['entry' => '-1'], 'is no time'];
        yield 'two dead gauges' => [
            9, 'compare', ['entries' => ['shown' => '0', 'real' => '0'], 'tool' => 'PG-28'], 'two dead gauges agree',
        ];
        yield 'nearly dead' => [
            9, 'compare', ['entries' => ['shown' => '3', 'real' => '1'], 'tool' => 'PG-28'], 'two dead gauges agree',
        ];
        yield 'beyond the gauge' => [
            9, 'compare', ['entries' => ['shown' => '9000', 'real' => '9001'], 'tool' => 'PG-28'], 'lies outside it',
        ];
        yield 'finer than the wrench shows'
            => [5, 'read', ['entry' => '12.43', 'tool' => 'TW-113'], 'cannot be read on it'];
        yield 'a count in other digits' => [8, 'count', ['entry' => "\u{0665}\u{0660}"], 'as a whole number'];
    }

    /** @param array<string, mixed> $more */
    #[DataProvider('entries')]
    public function test_what_nobody_would_write_as_a_number_and_what_no_gauge_shows_is_refused(
        int $no,
        string $do,
        array $more,
        string $why,
    ): void {
        $gear = $this->gearAt($no);
        self::assertStringContainsString($why, $this->said($this->work('oda', $gear, $no, $do, $more)));
        self::assertSame(Step::OPEN, Step::where(['card_id' => $gear->id, 'no' => $no])->value('state'));
    }

    /** The gear card with everything before a step done, and nothing that holds it. */
    private function gearAt(int $no): Card
    {
        $gear = Card::where('title', 'Gear extension by hand pump')->where('state', Card::IN_WORK)->firstOrFail();
        Presence::query()->delete();
        SafingDevice::where('aircraft_id', $gear->aircraft_id)->whereNull('removed_at')
            ->update(['removed_at' => '2026-05-05T12:20:00Z', 'removed_by' => 1]);
        Step::where('card_id', $gear->id)->where('no', '<', $no)
            ->update(['state' => Step::DONE, 'done_by' => $this->person('oda')->id]);
        Step::where('card_id', $gear->id)->where('no', '>=', $no)
            ->update(['state' => Step::OPEN, 'result' => null, 'done_by' => null]);

        return $gear;
    }

    public function test_whoever_ever_had_a_hand_in_it_does_not_inspect_and_who_inspected_does_not_sign(): void
    {
        $gear = $this->gearAt(10);
        foreach (['runa' => 'perform', 'oda' => 'perform'] as $login => $role) {
            Assignment::firstOrCreate(
                ['card_id' => $gear->id, 'person_id' => $this->person($login)->id, 'role' => $role],
            );
        }
        DB::table('qualifications')->insertOrIgnore(array_map(
            fn(array $q): array => ['person_id' => $this->person('runa')->id, 'kind' => $q[0], 'value' => $q[1]],
            [['authority', 'perform'], ['skill', 'airframe'], ['rating', 'OLN']],
        ));
        DB::table('qualifications')->where('person_id', $this->person('runa')->id)->update(['valid_until' => null]);
        // She begins the hold, and breaks it off again: nothing of hers is left on the card.
        $this->work('runa', $gear, 10, 'start')->assertOk();
        $this->work('runa', $gear, 10, 'stop', ['note' => 'leak'])->assertOk();
        self::assertSame(0, Step::where(['card_id' => $gear->id, 'done_by' => $this->person('runa')->id])->count());
        Step::where('card_id', $gear->id)->where('no', '<', 13)
            ->update(['state' => Step::DONE, 'done_by' => $this->person('oda')->id]);
        $inspect = fn(string $who, string $stamp, string $pin) => $this->as(
            $who,
            'POST',
            "cards/{$gear->id}/steps/13/inspect",
            [
                'version' => $gear->refresh()->version, 'covers' => ['leak', 'locking', 'free and full movement'],
                'stamp' => $stamp, 'pin' => $pin,
            ],
        );
        self::assertStringContainsString('You had a hand in this card', $this->said($inspect('runa', 'I04', '4410')));
        // An inspector who did not work it inspects; and does not sign the work.
        $inspect('tor', 'X02', '5520')->assertOk();
        Assignment::create(['card_id' => $gear->id, 'person_id' => $this->person('tor')->id, 'role' => 'perform']);
        Step::where('card_id', $gear->id)->where('no', '>', 13)
            ->update(['state' => Step::DONE, 'done_by' => $this->person('oda')->id]);
        $sign = fn(string $who, string $stamp, string $pin) => $this->as($who, 'POST', "cards/{$gear->id}/sign", [
            'version' => $gear->refresh()->version, 'stamp' => $stamp, 'pin' => $pin,
            'counted' => $gear->loans()->pluck('quantity', 'id')->all(),
        ]);
        CardHand::create(
            ['card_id' => $gear->id, 'person_id' => $this->person('tor')->id, 'since' => '2026-05-05T12:00:00Z'],
        );
        self::assertStringContainsString('You inspected a step of card', $this->said($sign('tor', 'X02', '5520')));
        Assignment::create(['card_id' => $gear->id, 'person_id' => $this->person('stig')->id, 'role' => 'perform']);
        self::assertStringContainsString('You had no hand in card', $this->said($sign('stig', 'T45', '1')));
        $sign('oda', 'T27', '2741')->assertOk();
    }

    public function test_a_proof_falls_with_the_part_that_it_proved_and_the_store_is_told(): void
    {
        $card = $this->card('QA-VFC', '29-14', '2026-05-05', 'oda');
        Step::where('card_id', $card->id)->where('no', '<', 6)
            ->update(['state' => Step::DONE, 'done_by' => $this->person('oda')->id]);
        $care = ['batch' => 'B2914-B', 'seat' => 'yes', 'lubricated' => 'yes'];
        $this->work('oda', $card, 6, 'fit', ['entries' => $care])->assertOk();
        Step::where('card_id', $card->id)->whereIn('no', [7, 8])
            ->update(['state' => Step::DONE, 'done_by' => $this->person('oda')->id]);
        $this->work('oda', $card, 9, 'start')->assertOk();
        app(Clock::class)->start(Instant::parse('2026-05-05T12:22:00Z'));
        $this->work('oda', $card, 9)->assertOk();
        self::assertSame([9], $this->as('oda', 'GET', "cards/{$card->id}")->json('steps.5.fallsWith'));
        $this->work('oda', $card, 6, 'take_back', ['note' => 'nicked on the way in'])->assertOk()
            ->assertJsonPath('steps.8.state', 'open');
        $move = PartMove::where('kind', MoveKind::Off)->firstOrFail();
        self::assertSame([PartBatch::where('batch', 'B2914-B')->value('id'), 0], [$move->batch_id, $move->quantity]);
        self::assertStringContainsString('nicked on the way in; spent', $move->paper);
        self::assertStringContainsString('Step 6 comes first', $this->said($this->work('oda', $card, 9, 'start')));
    }

    public function test_a_roll_call_names_people_of_the_crew_at_one_place_each_and_tells_them(): void
    {
        $gear = $this->gearAt(6);
        self::assertStringContainsString(
            'nobody called "x"',
            $this->said($this->work('oda', $gear, 6, 'call', ['entry' => 'nose', 'note' => 'x'])),
        );
        $this->work('oda', $gear, 6, 'call', ['entry' => 'nose', 'note' => 'Noor Hadley'])->assertOk();
        self::assertStringContainsString(
            'stands at one place',
            $this->said($this->work('oda', $gear, 6, 'call', ['entry' => 'left wing tip', 'note' => 'T44'])),
        );
        $this->work('oda', $gear, 6, 'call', ['entry' => 'nose', 'note' => 'Noor Hadley'])->assertOk();
        $notice = $this->as('noor', 'GET', 'moment')->json('notices.0');
        self::assertStringContainsString('Oda Fenn called you clear at nose', $notice['said']);
        $unseen = fn(string $who): int => count($this->as($who, 'GET', 'moment')->json('notices'));
        $before = $unseen('noor');
        $this->as('oda', 'POST', "notices/{$notice['id']}/seen")->assertOk();
        self::assertSame($before, $unseen('noor'), 'nobody sees it for another');
        $this->as('noor', 'POST', "notices/{$notice['id']}/seen")->assertOk();
        self::assertSame($before - 1, $unseen('noor'));
        self::assertSame([], $this->as('oda', 'GET', 'moment')->json('notices'));
        // Whoever has nothing to do with the aircraft calls nobody clear of it; who is called clear is told.
        Presence::create(
            ['card_id' => $gear->id, 'person_id' => $this->person('bram')->id, 'since' => '2026-05-05T12:00:00Z'],
        );
        Assignment::where('person_id', $this->person('sanne')->id)->delete();
        $clear = ['person' => $this->person('bram')->id];
        self::assertStringContainsString(
            'You are at no card of QC-TAC',
            $this->said($this->as('sanne', 'POST', "cards/{$gear->id}/clear", $clear)),
        );
        $this->as('oda', 'POST', "cards/{$gear->id}/clear", $clear)->assertOk();
        self::assertStringContainsString(
            "Oda Fenn called you clear of {$gear->number}",
            $this->as('bram', 'GET', 'moment')->json('notices.0.said'),
        );
    }

    public function test_a_card_to_be_re_read_is_neither_worked_signed_nor_inspected(): void
    {
        $gear = $this->gearAt(13);
        DB::table('manuals')->where('code', 'TM-OLN')->update(['revision' => 6]);
        foreach ([
            ['oda', 'steps/12', ['do' => 'take_back', 'note' => 'x']], [
                'runa', 'steps/13/inspect',
                ['covers' => ['leak', 'locking', 'free and full movement'], 'stamp' => 'I04', 'pin' => '4410'],
            ],
        ] as [$who, $path, $body]) {
            self::assertStringContainsString(
                'must be re-read and accepted',
                $this->said(
                    $this->as($who, 'POST', "cards/{$gear->id}/{$path}", ['version' => $gear->version, ...$body]),
                ),
                $path,
            );
        }
        Step::where('card_id', $gear->id)->update(['state' => Step::DONE, 'done_by' => $this->person('oda')->id]);
        self::assertStringContainsString('must be re-read and accepted', $this->said(
            $this->as('oda', 'POST', "cards/{$gear->id}/sign", [
                'version' => $gear->version, 'stamp' => 'T27', 'pin' => '2741',
            ]),
        ));
        $gear->update(['state' => Card::SIGNED]);
        self::assertStringContainsString(
            'must be re-read and accepted',
            $this->said($this->as('runa', 'POST', "cards/{$gear->id}/inspect", [
                'version' => $gear->version, 'covers' => $gear->covers, 'stamp' => 'I04', 'pin' => '4410',
            ])),
        );
    }

    public function test_a_hand_over_binds_giver_and_taker(): void
    {
        $gear = $this->gearAt(8);
        Assignment::create(['card_id' => $gear->id, 'person_id' => $this->person('stig')->id, 'role' => 'perform']);
        $this->as('oda', 'POST', "cards/{$gear->id}/hand-over", [
            'version' => $gear->version, 'said' => 'left side only',
        ])->assertOk();
        foreach (['oda', 'stig'] as $who) {
            self::assertStringContainsString(
                'Read what was left, and take it over first',
                $this->said($this->work($who, $gear, 8, 'count', ['entry' => '50'])),
            );
        }
        $this->as('stig', 'POST', "cards/{$gear->id}/take-over")->assertOk();
        $this->work('stig', $gear, 8, 'count', ['entry' => '50'])->assertOk();
        // The giver may take it back; a card that is signed is taken over by nobody.
        $this->as('stig', 'POST', "cards/{$gear->id}/hand-over", [
            'version' => $gear->refresh()->version, 'said' => 'back to you',
        ])->assertOk();
        $gear->refresh()->update(['state' => Card::CLOSED]);
        self::assertStringContainsString(
            'nothing left to take over',
            $this->said($this->as('oda', 'POST', "cards/{$gear->id}/take-over")),
        );
    }

    public function test_each_leaves_a_card_by_themselves_and_anybody_at_the_aircraft_may_say_that_they_are_there(): void
    {
        $gear = $this->gearAt(16);
        Presence::create(
            ['card_id' => $gear->id, 'person_id' => $this->person('oda')->id, 'since' => '2026-05-05T12:00:00Z'],
        );
        $this->as('runa', 'POST', "cards/{$gear->id}/here")->assertOk();
        $this->as('mika', 'POST', "cards/{$gear->id}/here")->assertForbidden();
        CardHand::firstOrCreate(['card_id' => $gear->id, 'person_id' => $this->person('oda')->id], [
            'since' => '2026-05-05T12:00:00Z',
        ]);
        Step::where(['card_id' => $gear->id, 'kind' => 'inspection'])->update([
            'done_by' => $this->person('tor')->id, 'done_at' => '2026-05-05T12:10:00Z',
        ]);
        DB::table('qualifications')->where(['person_id' => $this->person('oda')->id])->update(['valid_until' => null]);
        $this->as('oda', 'POST', "cards/{$gear->id}/sign", [
            'version' => $gear->refresh()->version, 'stamp' => 'T27', 'pin' => '2741',
            'counted' => $gear->loans()->pluck('quantity', 'id')->all(),
        ])->assertOk();
        self::assertSame(
            [$this->person('runa')->id],
            Presence::where('card_id', $gear->id)->pluck('person_id')->all(),
            'whoever signs is gone; the inspector is not',
        );
    }

    public function test_emergency_equipment_is_inspected_independently(): void
    {
        foreach (['QA-VFC' => '25-61', 'QC-TAA' => '26-12', 'Q-404' => '26-12'] as $mark => $item) {
            $known = DB::table('programme_items')->join('aircraft', 'aircraft.type_id', '=', 'programme_items.type_id')
                ->where(['aircraft.mark' => $mark])->where('programme_items.chapter', 'like', substr($item, 0, 2).'%')
                ->orderBy('programme_items.code')->value('programme_items.code');
            self::assertNotNull($known, $mark);
            self::assertTrue($this->card($mark, $known, '2026-05-06')->independent_inspection, "{$mark} {$known}");
        }
    }
}
