<?php

declare(strict_types=1);

namespace Tests\Feature\Floor;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ComponentTenure;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\CircuitPoint;
use App\Floor\Model\DisturbanceRow;
use App\Library\Model\CardTemplate;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Library\Steps;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WorldCase;
use Tests\Feature\WritesCards;

/** What a card can say: every kind worked to pass and to fail, and what holds for the whole aircraft. */
final class CardLanguageTest extends WorldCase
{
    use WritesCards;

    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T08:20:00Z'));
    }

    /**
     * @return iterable<string, array{list<array<string, mixed>>, string, array<string, mixed>, string, array<string,
     *   mixed>, string}> steps, of which the last is worked: what fails and what is said, what passes and what is said
     */
    public static function kinds(): iterable
    {
        $reading = ['point' => 'bottle', 'limit' => ['kind' => 'range', 'unit' => 'bar', 'min' => 90, 'max' => 130],
            'advised' => ['min' => 110]];
        yield 'a count in quarters' => [
            [
                [
                    'kind' => 'count', 'title' => 'Turns',
                    'spec' => ['counts' => 'turns', 'min' => 1, 'max' => 2, 'fraction' => 0.25],
                ],
            ],
            'count', ['entry' => '2 1/4'], 'fail', ['entry' => '1 3/4'], '1.75',
        ];
        yield 'an answer' => [
            [['kind' => 'answer', 'title' => 'Feel', 'spec' => ['graded' => true, 'choices' => [
                ['id' => 'free', 'title' => 'free', 'verdict' => 'pass'],
                ['id' => 'stiff', 'title' => 'stiff', 'verdict' => 'pass', 'unusual' => true],
                ['id' => 'binding', 'title' => 'binding', 'verdict' => 'fail'],
            ]]]],
            'answer', ['entry' => 'binding'], 'binding', ['entry' => 'stiff', 'note' => 'cold soaked'], 'cold soaked',
        ];
        yield 'a mark in words' => [
            [
                ['kind' => 'mark', 'title' => 'Index', 'spec' => ['id' => 'line', 'what' => 'Index line']],
                ['kind' => 'meet', 'title' => 'Met', 'spec' => ['mark' => 'line']],
            ],
            'meet', ['entry' => ''], '422', ['entry' => 'met'], 'red across the flats',
        ];
        yield 'a mark in millimetres' => [
            [
                [
                    'kind' => 'mark', 'title' => 'Threads',
                    'spec' => ['id' => 'line', 'what' => 'Threads', 'unit' => 'mm'],
                ],
                ['kind' => 'meet', 'title' => 'Met', 'spec' => ['mark' => 'line', 'within' => 0.3]],
            ],
            'meet', ['entry' => '12.9'], 'fail', ['entry' => '12.2'], '12.5',
        ];
        yield 'a legal reading outside of what is advised' => [
            [['kind' => 'measurement', 'title' => 'Bottle', 'spec' => ['reading' => $reading]]],
            'read', ['entry' => '100'], '422',
            ['entry' => '100', 'note' => 'used on the last flight'], 'used on the last',
        ];
    }

    /**
     * @param list<array<string, mixed>> $steps
     * @param array<string, mixed> $bad
     * @param array<string, mixed> $good
     */
    #[DataProvider('kinds')]
    public function test_each_kind_is_worked_to_fail_and_to_pass(
        array $steps,
        string $do,
        array $bad,
        string $failed,
        array $good,
        string $passed,
    ): void {
        $card = $this->card($steps);
        $no = count($steps);
        if ($no === 2) {
            $this->work($card, 1, 'mark', ['entry' => ''])->assertStatus(422);
            $unit = $steps[0]['spec']['unit'] ?? null;
            $this->work($card, 1, 'mark', ['entry' => $unit === null ? 'red across the flats' : '12.5'])->assertOk();
        }
        $answer = $this->work($card, $no, $do, $bad);
        if ($failed === '422') {
            $answer->assertStatus(422);
        } else {
            $answer->assertOk();
            self::assertStringContainsString(
                $failed,
                (string) json_encode($answer->json('steps.'.($no - 1).'.result')),
            );
        }
        self::assertSame('open', $this->step($card, $no)['state']);
        $this->work($card, $no, $do, $good)->assertOk();
        $step = $this->step($card, $no);
        self::assertSame('done', $step['state']);
        self::assertStringContainsString($passed, (string) json_encode($step['result']));
        $this->work($card, $no, 'take_back', ['note' => 'wrong card'])->assertOk();
        self::assertSame([], (array) $this->step($card, $no)['result']);
        $this->artisan('jorvel:verify')->assertSuccessful();
    }

    public function test_a_preview_says_that_a_legal_reading_is_unusual(): void
    {
        $card = $this->card(iterator_to_array(self::kinds())['a legal reading outside of what is advised'][0]);
        $said = fn(string $entry): array => $this->as(
            'oda',
            'POST',
            "cards/{$card->id}/steps/1/preview",
            ['entry' => $entry],
        )
            ->assertOk()->json();
        self::assertSame([true, false, false], [
            $said('100')['unusual'], $said('120')['unusual'], $said('80')['unusual'],
        ]);
    }

    public function test_what_does_not_apply_is_said_so_with_its_reason_and_a_name_and_is_not_done(): void
    {
        $card = $this->card([
            ['kind' => 'answer', 'title' => 'Bottle', 'spec' => ['id' => 'bottle', 'choices' => [
                ['id' => 'steel', 'title' => 'steel', 'verdict' => 'pass'],
                ['id' => 'wound', 'title' => 'wound', 'verdict' => 'pass'],
            ]]],
            ['kind' => 'instruction', 'title' => 'Look at the winding', 'spec' => [
                'applies' => ['answer' => ['step' => 'bottle', 'is' => ['wound']], 'why' => 'steel has none'],
            ]],
            ['kind' => 'instruction', 'title' => 'Winch', 'spec' => ['applies' => ['option' => ['winch']]]],
            ['kind' => 'rollcall', 'title' => 'Clear', 'spec' => ['places' => ['nose']]],
        ]);
        $this->work($card, 1, 'answer', ['entry' => 'steel'])->assertOk();
        self::assertStringContainsString('steel has none', (string) $this->step($card, 2)['notFor']);
        $said = $this->work($card, 2)->assertStatus(422)->json('message');
        self::assertStringContainsString('does not apply here', $said);
        $this->work($card, 2, 'not_applicable')->assertOk();
        $this->work($card, 3, 'not_applicable')->assertOk();
        $two = $this->step($card, 2);
        self::assertSame(['not_applicable', $this->person('oda')->name.' (T27)'], [$two['state'], $two['doneBy']]);
        self::assertStringContainsString('follows the answer wound', $two['result']['why']);
        self::assertStringContainsString('fitted here: none', $this->step($card, 3)['result']['why']);
        // What keeps people safe is worked, whatever anybody says.
        $this->work($card, 4, 'not_applicable', ['note' => 'nobody is there'])->assertStatus(422);
        $this->artisan('jorvel:verify')->assertSuccessful();
        // The answer taken back takes along what followed from it, and no more.
        $this->work($card, 1, 'take_back', ['note' => 'it is wound'])->assertOk();
        self::assertSame(['open', 'open', 'not_applicable'], array_column(
            array_slice($this->as('oda', 'GET', "cards/{$card->id}")->json('steps'), 0, 3),
            'state',
        ));
        $this->work($card, 1, 'answer', ['entry' => 'wound'])->assertOk();
        self::assertNull($this->step($card, 2)['notFor']);
        $this->work($card, 2, 'not_applicable')->assertStatus(422);
        $this->work($card, 2, 'not_applicable', ['note' => 'winding is under the bracket'])->assertOk();
    }

    public function test_a_block_is_worked_position_by_position_in_any_order(): void
    {
        $card = $this->card([
            ['kind' => 'each', 'title' => 'Each mask', 'spec' => [
                'positions' => ['left', 'right', 'spare'],
                'steps' => [
                    ['kind' => 'instruction', 'title' => 'Open the {position} box'],
                    ['kind' => 'count', 'title' => 'Flow', 'spec' => ['counts' => 'breaths', 'min' => 3]],
                ],
            ]],
            ['kind' => 'instruction', 'title' => 'Close up'],
        ]);
        self::assertSame(
            ['Open the right box', ['title' => 'Each mask', 'position' => 'right', 'n' => 2, 'of' => 3]],
            [$this->step($card, 3)['title'], $this->step($card, 3)['spec']['each']],
        );
        $this->work($card, 4, 'count', ['entry' => '3'])->assertStatus(422);
        foreach ([5, 3] as $no) {
            $this->work($card, $no)->assertOk();
        }
        $this->work($card, 6, 'count', ['entry' => '4'])->assertOk();
        $this->work($card, 7)->assertStatus(422)->assertJsonPath(
            'message',
            'Step 1 comes first: this card is worked in order.',
        );
    }

    public function test_a_round_is_seen_point_by_point_by_several_people_over_several_shifts(): void
    {
        $points = array_map(static fn(int $i): array => ['id' => "n{$i}", 'place' => "nipple {$i}"], range(1, 4));
        $card = $this->card([
            ['kind' => 'circuit', 'title' => 'Nipples', 'spec' => [
                'ask' => 'count', 'counts' => 'strokes', 'min' => 2, 'max' => 6, 'product' => 'JV grease',
                'points' => $points,
            ]],
        ], [], 'oda', 'bram');
        $version = $card->version;
        $point = fn(string $who, array $entries): TestResponse => $this->as($who, 'POST', "cards/{$card->id}/steps/1", [
            'version' => $version, 'do' => 'point', 'entries' => $entries,
        ]);
        $point('oda', ['n1' => '3', 'n2' => '1'])->assertOk();
        // Somebody with an older picture of the card sees another point: nobody is in their way.
        app(Clock::class)->start(Instant::parse('2026-05-05T16:20:00Z'));
        $point('bram', ['n3' => '4'])->assertOk();
        $said = $point('bram', ['n1' => '2'])->assertStatus(422)->json('message');
        self::assertStringContainsString('nipple 1 was seen by '.$this->person('oda')->name, $said);
        $point('bram', ['n9' => '2'])->assertStatus(422);
        $point('bram', ['n4' => 'two'])->assertStatus(422);
        self::assertStringContainsString('2 of 4', $this->work($card, 1)->assertStatus(422)->json('message'));
        $point('oda', ['n2' => '2'])->assertOk();
        // The last one does not take grease: it is found, at the very point, and the round goes on.
        $raised = ['place' => 'nipple 4', 'extent' => 'blocked', 'step' => 1, 'point' => 'n4'];
        $this->as('bram', 'POST', "cards/{$card->id}/findings", [...$raised, 'point' => 'n7'])->assertStatus(422);
        $found = $this->as('bram', 'POST', "cards/{$card->id}/findings", $raised)
            ->assertOk()->json('findings.0.number');
        $shown = $this->step($card, 1)['points'];
        self::assertSame(['seen', 'seen', 'seen', 'found'], array_column($shown, 'state'));
        self::assertSame(['3', '2', '4', $found], array_column($shown, 'entry'));
        self::assertStringContainsString('Bram', $shown[2]['by']);
        $back = ['version' => 0, 'do' => 'point_back', 'entries' => ['n3' => '']];
        $this->as('oda', 'POST', "cards/{$card->id}/steps/1", $back)->assertStatus(422);
        $this->as('oda', 'POST', "cards/{$card->id}/steps/1", [...$back, 'note' => 'wrong nipple'])->assertOk();
        $point('oda', ['n3' => '5'])->assertOk();
        // The same by the way that answers with the round alone.
        $path = "cards/{$card->id}/steps/1/points";
        $light = fn(string $do, array $more): TestResponse => $this->as('bram', 'POST', $path, [
            'do' => $do, 'entries' => ['n1' => '4'], ...$more,
        ]);
        $light('point', [])->assertStatus(422);
        $light('point_back', ['note' => 'counted again'])->assertOk()->assertJsonPath('points.0.state', 'open');
        $seen = $light('point', [])->assertOk()->assertJsonPath('points.0.entry', '4')
            ->assertJsonCount(1, 'points');
        self::assertSame($card->refresh()->version, $seen->json('version'));
        $this->work($card, 1)->assertOk();
        self::assertSame(7, CircuitPoint::count(), 'what was entered first is still there');
        $this->artisan('jorvel:verify')->assertSuccessful();
    }

    /** @return list<array<string, mixed>> a union is slackened, joined and torqued here */
    private static function union(): array
    {
        return [
            ['kind' => 'instruction', 'title' => 'Slacken', 'spec' => ['disturbs' => [[
                'what' => 'union 2', 'how' => 'slackened', 'proofs' => ['torque', 'leak', 'independent_inspection'],
            ]]]],
            ['kind' => 'instruction', 'title' => 'Tighten', 'spec' => [
                'joins' => ['union 2'], 'proves' => [['by' => 'torque', 'of' => ['union 2']]],
            ]],
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function leakRun(): array
    {
        return [
            [
                'kind' => 'instruction', 'title' => 'Leak run',
                'spec' => ['proves' => [['by' => 'leak', 'of' => ['union 2']]]],
            ],
        ];
    }

    /** @return list<string> what the register says is not whole */
    private function open(): array
    {
        return array_column($this->as('ines', 'GET', 'registers/QA-VFC')->assertOk()->json('notWhole'), 'said');
    }

    public function test_what_was_parted_keeps_the_aircraft_until_it_is_proven_after_the_last_touch(): void
    {
        $line = $this->card(self::union(), ['independent_inspection' => true, 'covers' => ['torque']]);
        $run = $this->card(self::leakRun());
        $this->work($run, 1)->assertOk();
        $this->work($line, 1)->assertOk();
        // Whoever takes the card over reads it first.
        self::assertStringContainsString(
            'Not whole: union 2 is slackened and not joined.',
            $this->as('oda', 'GET', "cards/{$line->id}")->json('stateNow'),
        );
        self::assertSame(['Union 2 is slackened and not joined.'], $this->open());
        // The leak run of before is no proof, and none can be made while it is apart.
        $this->work($run, 1, 'again', ['note' => 'the union was slackened'])->assertOk();
        self::assertStringContainsString(
            'Still apart: union 2',
            $this->work($run, 1)->assertStatus(422)->json('message'),
        );
        $this->work($line, 2)->assertOk();
        self::assertSame(
            ['Union 2 is not proven since it was last touched: leak check, independent inspection.'],
            $this->open(),
        );
        $blockers = $this->as('tor', 'GET', "release/{$this->visit}")->assertOk()->json('blockers');
        $codes = array_column($blockers, null, 'code');
        self::assertStringContainsString('independent inspection', $codes['not_whole']['title']);
        self::assertSame('/floor/registers/QA-VFC', $codes['not_whole']['link']);
        // The run that is open would prove it: nothing else is proposed.
        $offers = $this->as('ines', 'GET', 'registers/QA-VFC')->json('offers');
        self::assertSame(["/floor/{$run->id}"], array_column($offers, 'link'));
        $this->work($run, 1)->assertOk();
        $sign = fn(string $who, Card $card, string $stamp, string $pin, string $how, array $more = []): TestResponse
            => $this->as($who, 'POST', "cards/{$card->id}/{$how}", [
                'version' => $card->refresh()->version, 'stamp' => $stamp, 'pin' => $pin, ...$more,
            ]);
        $sign('oda', $line, 'T27', '2741', 'sign')->assertOk();
        $sign('runa', $line, 'I04', '4410', 'inspect', ['covers' => ['torque']])->assertOk();
        self::assertSame([], $this->open());
        self::assertSame(
            0,
            DisturbanceRow::where('settled', false)->where('stands', true)->where('id', '>', 1)->count(),
        );
    }

    public function test_worked_once_more_it_is_proven_once_more_and_taken_back_it_is_as_if_it_had_not_been(): void
    {
        $steps = [...self::union(), ...self::leakRun()];
        $steps[0]['spec']['disturbs'][0]['proofs'] = ['torque', 'leak'];
        $card = $this->card($steps);
        foreach ([1, 2, 3] as $no) {
            $this->work($card, $no)->assertOk();
        }
        self::assertSame([], $this->open());
        $this->work($card, 2, 'again')->assertStatus(422);
        $this->work($card, 2, 'again', ['note' => 'bubbles at union 2'])->assertOk();
        self::assertSame('open', $this->step($card, 3)['state'], 'the leak run falls with it');
        self::assertSame(['Union 2 is not proven since it was last touched: torque, leak check.'], $this->open());
        $this->work($card, 2)->assertOk();
        $this->work($card, 3)->assertOk();
        self::assertSame([], $this->open());
        // The leak run was entered for another aircraft: what it proved is unproven again, though it had been settled.
        $this->work($card, 3, 'take_back', ['note' => 'that was QA-VFD'])->assertOk();
        self::assertSame(['Union 2 is not proven since it was last touched: leak check.'], $this->open());
        $this->work($card, 2, 'take_back', ['note' => 'not tightened yet'])->assertOk();
        $this->work($card, 1, 'take_back', ['note' => 'it was union 3'])->assertOk();
        self::assertSame([], array_filter($this->open(), static fn(string $s): bool => str_contains($s, 'slackened')));
        $this->artisan('jorvel:verify')->assertSuccessful();
    }

    public function test_what_is_of_a_component_goes_where_the_component_goes(): void
    {
        $tenure = ComponentTenure::where('aircraft_id', Aircraft::where('mark', 'QA-VFC')->valueOrFail('id'))
            ->whereNull('to_date')->orderBy('id')->firstOrFail();
        $steps = self::union();
        $steps[0]['spec']['disturbs'][0]['component'] = true;
        $card = $this->card($steps);
        $card->update(['component_id' => $tenure->component_id]);
        $this->work($card, 1)->assertOk();
        self::assertCount(1, $this->open());
        $to = Aircraft::where('mark', 'QA-VFD')->firstOrFail();
        $tenure->update(['aircraft_id' => $to->id, 'position' => 'where it came to']);
        self::assertSame([], $this->open());
        $there = $this->as('ines', 'GET', 'registers/QA-VFD')->json('notWhole.0');
        self::assertSame('Union 2 is slackened and not joined.', $there['said']);
        // Joined and proven there, on a card of that aircraft.
        $card->update(['aircraft_id' => $to->id, 'independent_inspection' => false]);
        $this->work($card, 2)->assertOk();
        self::assertSame(
            [$tenure->component_id],
            DisturbanceRow::orderBy('id')->pluck('component_id')->unique()->all(),
        );
        self::assertStringContainsString(
            'leak check',
            $this->as('ines', 'GET', 'registers/QA-VFD')->json('notWhole.0.said'),
        );
    }

    public function test_the_shortest_proof_is_put_on_the_visit_from_the_register(): void
    {
        $steps = self::union();
        $steps[0]['spec']['disturbs'][0]['proofs'] = ['leak'];
        $line = $this->card($steps);
        $run = $this->card(self::leakRun(), ['code' => 'SKV-LEAK', 'title' => 'Leak run']);
        $run->withdraw();
        $this->work($line, 1)->assertOk();
        $this->work($line, 2)->assertOk();
        $register = $this->as('ines', 'GET', 'registers/QA-VFC')->json();
        self::assertSame(['SKV-LEAK, Leak run', 'leak check of union 2'], [
            $register['offers'][0]['title'], $register['offers'][0]['proves'],
        ]);
        self::assertNull($this->as('oda', 'GET', 'registers/QA-VFC')->json('visitId'), 'a technician plans no visit');
        $put = ['template' => $register['offers'][0]['template']];
        $this->as('oda', 'POST', "visits/{$register['visitId']}/cards", $put)->assertForbidden();
        $this->as('ines', 'POST', "visits/{$register['visitId']}/cards", $put)->assertCreated();
        $this->as('ines', 'POST', "visits/{$register['visitId']}/cards", $put)->assertStatus(422);
        $other = CardTemplate::where('code', 'TRK-GVI')->valueOrFail('id');
        $this->as('ines', 'POST', "visits/{$register['visitId']}/cards", ['template' => $other])->assertStatus(422);
        $released = Visit::where('state', Visit::RELEASED)->valueOrFail('id');
        $this->as('ines', 'POST', "visits/{$released}/cards", $put)->assertStatus(422);
    }

    public function test_a_word_is_added_and_the_controller_hears_at_once_what_a_card_waits_for(): void
    {
        $card = $this->card([['kind' => 'instruction', 'title' => 'Do']]);
        $this->as('oda', 'POST', "cards/{$card->id}/steps/1/remarks", ['text' => 'clip was bent'])->assertOk();
        self::assertSame('clip was bent', $this->step($card, 1)['remarks'][0]['text']);
        $wait = ['kind' => 'part', 'what' => '2 clips JV-3511-09', 'step' => 1];
        $this->as('oda', 'POST', "cards/{$card->id}/waits", [...$wait, 'kind' => 'tea'])->assertStatus(422);
        $shown = $this->as('oda', 'POST', "cards/{$card->id}/waits", $wait)->assertOk()->json('waits.0');
        self::assertSame(['part', '2 clips JV-3511-09', 1], [$shown['kind'], $shown['what'], $shown['step']]);
        $this->as('oda', 'POST', "cards/{$card->id}/waits", $wait)->assertStatus(422);
        $told = DB::table('notices')->where('person_id', $this->person('ines')->id)->orderByDesc('id')->value('said');
        self::assertStringContainsString('waits for a part: 2 clips JV-3511-09', $told);
        $this->as('mika', 'POST', "cards/{$card->id}/waits/{$shown['id']}/end")->assertForbidden();
        $this->as('ines', 'POST', "cards/{$card->id}/waits/{$shown['id']}/end")
            ->assertOk()->assertJsonPath('waits', []);
        $this->as('ines', 'POST', "cards/{$card->id}/waits/{$shown['id']}/end")->assertStatus(422);
        $this->work($card, 1)->assertOk();
        $this->as('oda', 'POST', "cards/{$card->id}/sign", [
            'version' => $card->refresh()->version, 'stamp' => 'T27', 'pin' => '2741',
        ])->assertOk();
        $this->as('oda', 'POST', "cards/{$card->id}/steps/1/remarks", ['text' => 'too late'])->assertStatus(422);
    }

    public function test_a_limit_flows_from_an_earlier_reading_from_the_same_position_and_from_the_last_card(): void
    {
        $reading = static fn(string $point, array $limit): array => [
            'reading' => ['point' => $point, 'limit' => $limit],
        ];
        $steps = [
            ['kind' => 'measurement', 'title' => 'Found', 'spec' => [
                'id' => 'found', ...$reading('found', ['kind' => 'range', 'unit' => 'bar', 'min' => 90, 'max' => 130]),
            ]],
            ['kind' => 'measurement', 'title' => 'After', 'spec' => $reading('after', [
                'kind' => 'range', 'unit' => 'bar', 'min' => 'found - 2.5', 'max' => 'found',
            ])],
            ['kind' => 'each', 'title' => 'Each side', 'spec' => ['positions' => ['left', 'right'], 'steps' => [
                [
                    'kind' => 'mark', 'title' => 'Droop {position}',
                    'spec' => ['id' => 'droop', 'what' => 'droop', 'unit' => 'deg'],
                ],
                ['kind' => 'measurement', 'title' => 'Travel {position}', 'spec' => $reading('{position} travel', [
                    'kind' => 'min', 'unit' => 'deg', 'min' => 'droop + 10',
                ])],
            ]]],
            ['kind' => 'measurement', 'title' => 'Again', 'spec' => $reading('again', [
                'kind' => 'max', 'unit' => 'bar', 'max' => 'last_found + 5',
            ])],
        ];
        $card = $this->card($steps);
        self::assertSame(['found'], $this->step($card, 2)['spec']['reading']['pending']);
        $this->as('oda', 'POST', "cards/{$card->id}/steps/2/preview", ['entry' => '96'])->assertOk()
            ->assertJsonPath('verdict', 'invalid');
        $this->work($card, 1, 'read', ['entry' => '97'])->assertOk();
        self::assertEquals(
            ['kind' => 'range', 'unit' => 'bar', 'min' => 94.5, 'max' => 97],
            $this->step($card, 2)['spec']['reading']['limit'],
        );
        $this->work($card, 2, 'read', ['entry' => '94'])->assertOk();
        self::assertSame('open', $this->step($card, 2)['state']);
        $this->work($card, 2, 'read', ['entry' => '95'])->assertOk();
        $this->work($card, 3, 'mark', ['entry' => '1.4'])->assertOk();
        $this->work($card, 5, 'mark', ['entry' => '3'])->assertOk();
        $this->work($card, 4, 'read', ['entry' => '11.3'])->assertOk();
        self::assertSame('open', $this->step($card, 4)['state'], 'the left side has its own droop');
        $this->work($card, 4, 'read', ['entry' => '11.4'])->assertOk();
        $this->work($card, 6, 'read', ['entry' => '13.5'])->assertOk();
        self::assertSame(['done', 'done'], [$this->step($card, 4)['state'], $this->step($card, 6)['state']]);
        // The last one rests on a card that there was not yet.
        $said = $this->work($card, 7, 'read', ['entry' => '97'])->assertStatus(422)->json('message');
        self::assertStringContainsString('last_found, which is not read yet', $said);
        // What was read first is taken back: what took its limit from it falls.
        self::assertContains(2, $this->step($card, 1)['fallsWith']);
        $this->work($card, 1, 'take_back', ['note' => 'wrong gauge'])->assertOk();
        self::assertSame('open', $this->step($card, 2)['state']);
        $this->work($card, 1, 'read', ['entry' => '100'])->assertOk();
        $card->update(['state' => Card::CLOSED]);
        $next = Card::create([...$card->refresh()->only([
            'visit_id', 'aircraft_id', 'template_id', 'title', 'revision', 'skill', 'hours', 'zone',
            'independent_inspection', 'stage', 'positions', 'systems', 'covers', 'panels', 'tools',
        ]), 'number' => 'X-1', 'state' => Card::OPEN, 'version' => 1]);
        $next->steps()->insert($card->template->stepRows($next->id));
        self::assertEquals(105, $this->step($next, 7)['spec']['reading']['limit']['max']);
    }

    public function test_a_card_with_a_word_and_a_wait_on_it_is_made_anew_and_taken_out_of_its_visit(): void
    {
        $card = $this->card([['kind' => 'instruction', 'title' => 'Do']]);
        $say = function () use ($card): void {
            $this->as('oda', 'POST', "cards/{$card->id}/steps/1/remarks", ['text' => 'the panel is painted shut'])
                ->assertOk();
            $this->as('oda', 'POST', "cards/{$card->id}/waits", ['kind' => 'help', 'what' => 'a painter', 'step' => 1]);
        };
        $say();
        self::assertStringContainsString(
            'waits for help: a painter',
            $this->as('oda', 'GET', "cards/{$card->id}")->json('stateNow'),
        );
        CardTemplate::whereKey($card->template_id)->update(['revision' => 11]);
        $card->update(['revision' => 10]);
        DB::table('card_templates')->where('id', $card->template_id)->update(['stays_until' => 12]);
        $this->as('oda', 'POST', "cards/{$card->id}/reread", [
            'version' => $card->refresh()->version, 'outcome' => 'new', 'note' => 'read',
        ])->assertOk()->assertJsonPath('waits.0.what', 'a painter');
        $say();
        $card->refresh()->withdraw();
        self::assertNull(Card::find($card->id));
        $this->artisan('jorvel:verify')->assertSuccessful();
    }

    /** @return array<string, mixed> */
    private function fitted(string $position = 'crew oxygen'): array
    {
        return ComponentTenure::with('component')->whereRelation('craft', 'mark', 'QA-VFC')->whereNull('to_date')
            ->where('position', $position)->first()?->component->only(['id', 'serial']) ?? [];
    }

    public function test_a_unit_comes_off_by_its_plate_and_another_goes_on_with_what_goes_over(): void
    {
        $card = $this->card([['kind' => 'exchange', 'title' => 'Crew oxygen bottle', 'spec' => [
            'component' => 'oxygen bottle', 'position' => 'crew oxygen',
            'hardware' => [['what' => 'clamp', 'count' => 2]],
        ]]]);
        $was = $this->fitted();
        $off = static fn(array $more = []): array => ['entry' => $was['serial'], 'note' => 'test due', 'entries' => [
            'tag' => 'time_expired', 'to' => 'oxygen shop', 'clamp' => '2', ...$more,
        ]];
        foreach (
            [
                [['entry' => 'BO999', ...array_diff_key($off(), ['entry' => 0])], 'The plate says BO999'],
                [$off(['tag' => 'green']), 'Which tag'], [$off(['to' => '']), 'Say where it goes'],
                [$off(['clamp' => 'two']), 'Count clamp off'],
                [$off(['clamp' => '1']), '1 × clamp came off; 2 belong'],
                [[...$off(), 'note' => ''], 'Say why it comes off'],
            ] as [$body, $why]
        ) {
            $said = (string) $this->work($card, 1, 'unit_off', $body)->assertStatus(422)->json('message');
            self::assertStringContainsString($why, $said);
        }
        $this->work($card, 1, 'unit_on', ['entry' => 'BO201', 'entries' => ['clamp' => '2']])->assertStatus(422);
        self::assertSame($was, $this->fitted(), 'nothing moved so far');

        // It comes off; the place is empty, and everybody knows.
        $this->work($card, 1, 'unit_off', $off())->assertOk();
        self::assertSame([], $this->fitted());
        self::assertSame('open', $this->step($card, 1)['state']);
        self::assertStringContainsString('tagged time expired: test due', $this->step($card, 1)['exchange']['off']);
        $blocks = (string) $this->as('tor', 'GET', "release/{$this->visit}")->assertOk()->getContent();
        self::assertStringContainsString('crew oxygen', $blocks);
        // While it is off, the step is not said to be nothing.
        $this->work($card, 1, 'not_applicable', ['note' => 'no bottle here'])->assertStatus(422);
        // An entry that was wrong is taken back with its reason.
        $this->work($card, 1, 'unit_back')->assertStatus(422);
        $this->work($card, 1, 'unit_back', ['note' => 'wrong aircraft'])->assertOk();
        self::assertSame($was, $this->fitted());

        $this->work($card, 1, 'unit_off', $off())->assertOk();
        foreach (
            [
                [$was['serial'], '2', 'is tagged time expired'], ['BO777', '2', 'There is no oxygen bottle BO777'],
                ['BO201', '1', '1 × clamp on; 2 belong there'], ['', '2', 'Read the serial'],
                [$this->fittedTo('QA-VFA'), '2', 'is fitted to QA-VFA'],
            ] as [$serial, $clamps, $why]
        ) {
            $said = $this->work($card, 1, 'unit_on', ['entry' => $serial, 'entries' => ['clamp' => $clamps]])
                ->assertStatus(422)->json('message');
            self::assertStringContainsString($why, (string) $said);
        }
        $this->work($card, 1, 'unit_on', ['entry' => 'BO201', 'entries' => ['clamp' => '2']])->assertOk();
        self::assertSame('BO201', $this->fitted()['serial']);
        self::assertSame('done', $this->step($card, 1)['state']);
        // Taken back, both stand where they stood.
        $this->work($card, 1, 'take_back', ['note' => 'another card'])->assertOk();
        self::assertSame($was, $this->fitted());
        self::assertNull(ComponentTenure::whereRelation('component', 'serial', 'BO201')->whereNull('to_date')->first());
    }

    private function fittedTo(string $mark): string
    {
        return (string) ComponentTenure::with('component')->whereRelation('craft', 'mark', $mark)->whereNull('to_date')
            ->where('position', 'crew oxygen')->firstOrFail()->component->serial;
    }

    public function test_a_reading_of_a_gauge_is_judged_at_its_temperature_and_is_that_of_the_trend(): void
    {
        $card = $this->card([['kind' => 'measurement', 'title' => 'Bottle', 'spec' => ['reading' => [
            'point' => 'bottle', 'gauge' => ['position' => 'crew oxygen'],
            'limit' => ['kind' => 'min', 'unit' => 'bar', 'min' => 95],
        ]]]]);
        $id = (int) $this->fitted()['id'];
        $last = fn(): array => (array) DB::table('pressure_readings')->where(['component_id' => $id, 'current' => 1])
            ->orderByDesc('id')->first(['pressure', 'temp_c', 'step_id']);
        $before = $last();
        $this->work($card, 1, 'read', ['entry' => '91,5'])->assertStatus(422);
        self::assertSame($before, $last());
        // Too low also at the reference temperature: kept, and in the trend.
        $this->work($card, 1, 'read', ['entry' => '88', 'entries' => ['temp' => '3']])->assertOk();
        self::assertSame('open', $this->step($card, 1)['state']);
        self::assertSame(88.0, (float) $last()['pressure']);
        // 91.5 bar at 3 °C is 97.6 at 21 °C; the reading before it no longer stands.
        $this->work($card, 1, 'read', ['entry' => '91,5', 'entries' => ['temp' => '3']])->assertOk();
        $step = $this->step($card, 1);
        self::assertSame('done', $step['state']);
        self::assertEqualsWithDelta(97.5, $step['readings'][count($step['readings']) - 1]['value'], 0.11);
        self::assertSame(91.5, (float) $last()['pressure']);
        self::assertSame(1, DB::table('pressure_readings')->where('current', 1)->whereNotNull('step_id')->count());
        $this->work($card, 1, 'take_back', ['note' => 'the other gauge'])->assertOk();
        self::assertSame($before, $last());
    }

    public function test_what_goes_into_a_system_is_of_its_specification_and_never_meets_what_it_must_not(): void
    {
        $step = static fn(string $product, string $system): array => [
            'kind' => 'consumable', 'title' => 'Fill',
            'spec' => [
                'product' => $product, 'system' => $system, 'unit' => 'L', 'max' => 2, 'drained' => true,
                'uplift' => true,
            ],
        ];
        $card = $this->card([$step('engine oil EO-2', 'engine'), $step('engine oil EO-2', 'oxygen')]);
        $fill = fn(int $no, string $entry, string $batch, string $drained = '0'): TestResponse => $this->work(
            $card,
            $no,
            'fill',
            ['entry' => $entry, 'entries' => ['batch' => $batch, 'drained' => $drained]],
        );
        foreach (
            [
                ['0.7', '', 'Choose the batch'], ['0.7', 'G40-A', 'this step needs engine oil EO-2'],
                ['2.5', 'O20-A', 'more than 2 L'], ['-1', 'O20-A', 'not below 0'],
                ['0.7', 'O20-A', 'enter a reading', ''],
            ] as $case
        ) {
            self::assertStringContainsString(
                $case[2],
                (string) $fill(1, $case[0], $case[1], $case[3] ?? '0')->assertStatus(422)->json('message'),
            );
        }
        $left = static fn(): int => (int) DB::table('part_batches')->where('batch', 'O20-A')->value('quantity');
        $had = $left();
        $fill(1, '0,7', 'O20-A', '0.2')->assertOk();
        self::assertSame($had - 700, $left(), 'the store counts millilitres');
        self::assertSame('O20-A', $this->step($card, 1)['result']['batch']);
        self::assertStringContainsString('must never meet oxygen', (string) $fill(2, '0.1', 'O20-A')->json('message'));
        // Nothing was needed: that is an answer, and needs no batch.
        $fill(2, '0', '')->assertOk();
        self::assertSame(1, DB::table('fillings')->where('stands', 1)->count());
        $this->work($card, 1, 'take_back', ['note' => 'the other engine'])->assertOk();
        self::assertSame(0, DB::table('fillings')->where('stands', 1)->count());
        self::assertSame($had - 700, $left(), 'what was poured is not in the can; it is counted');
    }

    public function test_an_uplift_above_use_is_told_as_a_leak_to_the_controllers(): void
    {
        $card = $this->card([['kind' => 'each', 'title' => 'Each engine', 'spec' => [
            'positions' => ['engine 1', 'engine 2'],
            'steps' => [['kind' => 'consumable', 'title' => 'Oil', 'spec' => [
                'product' => 'engine oil EO-2', 'system' => 'engine', 'unit' => 'L', 'uplift' => true,
            ]]],
        ]]]);
        $aircraft = Aircraft::where('mark', 'QA-VFC')->firstOrFail();
        foreach ([50, 40, 30, 20, 10] as $ago) {
            DB::table('fillings')->insert([
                'step_id' => $card->steps->first()?->id, 'card_id' => $card->id, 'aircraft_id' => $aircraft->id,
                'part_id' => DB::table('parts')->where('number', 'JV-OIL-20')->value('id'),
                'batch_id' => DB::table('part_batches')->where('batch', 'O20-A')->value('id'), 'system' => 'engine',
                'position' => 'engine 2', 'quantity' => 0.2, 'unit' => 'L', 'uplift' => 1,
                'flown' => $aircraft->counters['fh'] - $ago,
                'person_id' => $this->person('oda')->id, 'at' => '2026-05-01T08:00:00Z', 'stands' => 1,
            ]);
        }
        $told = fn(): string => (string) json_encode($this->as('ines', 'GET', 'moment')->json('notices'));
        $fill = fn(int $no): TestResponse => $this->work($card, $no, 'fill', [
            'entry' => '0.7', 'entries' => ['batch' => 'O20-A'],
        ]);
        // Each engine is told by its own: the first has none before it.
        $fill(1)->assertOk();
        self::assertNull($this->step($card, 1)['uplift']);
        $fill(2)->assertOk();
        self::assertStringContainsString(
            'Engine 2, 0.7 L in: 0.07 L per flight hour, usually 0.02; more than twice that is no use',
            (string) $this->step($card, 2)['uplift'],
        );
        self::assertStringContainsString('QA-VFC: Engine 2, 0.7 L in', $told());
    }

    public function test_the_library_refuses_units_gauges_and_products_that_there_are_not(): void
    {
        $body = static fn(array $steps): array => ['body' => [
            'code' => 'SKV-35-91', 'title' => 'A test', 'chapter' => '35', 'section' => '35-11', 'manual' => 'AM-SKV',
            'revision' => 4, 'skill' => 'airframe', 'hours' => 1, 'zone' => 'flight deck', 'stage' => 'look',
            'steps' => $steps,
        ]];
        $said = (string) json_encode($this->as('ines', 'POST', 'library/card-sets/SKV/preview', $body([
            ['kind' => 'exchange', 'title' => 'A', 'spec' => ['component' => 'raft', 'position' => 'cabin']],
            ['kind' => 'exchange', 'title' => 'B', 'spec' => ['component' => 'oxygen bottle', 'position' => 'cabin']],
            ['kind' => 'measurement', 'title' => 'C', 'spec' => ['reading' => [
                'point' => 'p', 'gauge' => ['position' => 'engine 1'],
                'limit' => ['kind' => 'min', 'unit' => 'bar', 'min' => 1],
            ]]],
            ['kind' => 'consumable', 'title' => 'D',
                'spec' => ['product' => 'jam', 'system' => 'oxygen', 'unit' => 'L']],
            ['kind' => 'consumable', 'title' => 'E', 'spec' => [
                'product' => 'grease GR-4', 'system' => 'oxygen', 'unit' => 'L',
            ]],
        ]))->assertOk()->json('faults'));
        foreach (
            [
                'steps.0.spec.component', 'places of its kind: crew oxygen', 'steps.2.spec.reading.gauge.position',
                'steps.3.spec.product', 'must never meet oxygen',
            ] as $fault
        ) {
            self::assertStringContainsString($fault, $said);
        }
    }

    public function test_a_movement_has_a_lead_people_at_their_places_and_a_briefing_signed_at_the_controls(): void
    {
        $card = $this->card([
            ['kind' => 'instruction', 'title' => 'Look round', 'spec' => []],
            ['kind' => 'rollcall', 'title' => 'Before the surfaces move', 'spec' => [
                'places' => ['flight deck', 'left wing', 'tail'], 'lead' => 'left wing', 'signs' => 'flight deck',
                'stop' => 'STOP STOP', 'briefing' => ['Slowly to each stop', 'Nothing is forced'], 'stands' => 600,
            ]],
        ]);
        $here = fn(string $who, string $place): TestResponse => $this->as(
            $who,
            'POST',
            "cards/{$card->id}/steps/2/here",
            ['place' => $place],
        );
        $brief = fn(string $who, string $stamp, string $pin): TestResponse => $this->as(
            $who,
            'POST',
            "cards/{$card->id}/steps/2/briefed",
            ['stamp' => $stamp, 'pin' => $pin],
        );
        $says = static fn(TestResponse $r, string $why) => self::assertStringContainsString(
            $why,
            (string) $r->assertStatus(422)->json('message'),
        );
        $says($here('bram', 'flight deck'), 'Step 1 comes first');
        $this->work($card, 1)->assertOk();
        $says($here('bram', 'nose'), 'is not a place of this roll-call');
        // Nobody but a viewer is kept from saying where they stand; each on a device of their own.
        $here('bram', 'flight deck')->assertOk();
        $says($here('bram', 'tail'), 'stands at one place');
        $here('runa', 'tail')->assertOk();
        $says($brief('runa', 'I04', '4410'), 'signed by whoever is at flight deck: that is Bram');
        $says($this->work($card, 2, 'done'), 'Not called clear, or too long ago: left wing');
        // The lead may be called by whoever works the card, or call themselves.
        $this->work($card, 2, 'call', ['entry' => 'left wing', 'note' => $this->person('oda')->name])->assertOk();
        $says($this->work($card, 2, 'done'), 'Whoever is at flight deck has not read and signed the briefing');
        $bram = $this->person('bram');
        $says($brief('bram', $bram->stamp, '9999'), 'wrong');
        $brief('bram', $bram->stamp, '1966')->assertOk();
        self::assertSame($bram->name, $this->step($card, 2)['result']['brief']['name']);
        // Somebody else at the controls has not read it.
        $this->work($card, 2, 'call', ['entry' => 'flight deck', 'note' => $this->person('pia')->name])->assertOk();
        $says($this->work($card, 2, 'done'), 'has not read and signed');
        $here('bram', 'flight deck')->assertOk();
        // The lead confirms, nobody else.
        $this->work($card, 2, 'call', ['entry' => 'left wing', 'note' => $this->person('pia')->name])->assertOk();
        $says($this->work($card, 2, 'done'), 'leads, at left wing, and confirms');
        $here('oda', 'left wing')->assertOk();
        $this->work($card, 2, 'done')->assertOk();
        self::assertTrue($this->step($card, 2)['result']['calls']['left wing']['own']);
        // It is called again while what it is for goes on; the briefing is over.
        $here('bram', 'flight deck')->assertOk();
        $says($brief('bram', $bram->stamp, '1966'), 'is over');
    }

    public function test_what_went_wrong_once_is_proposed_accepted_by_another_and_read_before_the_next_begins(): void
    {
        $card = $this->card([['kind' => 'instruction', 'title' => 'A', 'spec' => []]], [], 'oda', 'bram');
        $code = $card->template->code;
        $learn = fn(string $who, string $text): TestResponse => $this->as(
            $who,
            'POST',
            "cards/{$card->id}/lessons",
            ['text' => $text],
        );
        $learn('oda', 'too short')->assertStatus(422);
        $learn('oda', 'The nut looks tight and is not: turn it by hand first.')->assertOk();
        $learn('oda', 'The nut looks tight and is not: turn it by hand first.')->assertStatus(422);
        $room = fn(string $who): array => (array) $this->as($who, 'GET', "library/cards/SKV/{$code}")->json('lessons');
        $id = $room('ines')[0]['id'];
        // A proposal is nobody's to read yet; the technician does not accept it, nor does whoever proposed it.
        self::assertSame([], $this->as('bram', 'GET', "cards/{$card->id}")->json('lessons'));
        $decide = fn(string $who, array $body): TestResponse => $this->as($who, 'POST', "library/lessons/{$id}", $body);
        $decide('oda', ['accept' => true])->assertForbidden();
        $decide('ines', ['accept' => false])->assertStatus(422);
        $decide('ines', ['accept' => true])->assertOk();
        $decide('ines', ['accept' => false, 'why' => 'no'])->assertStatus(422);
        self::assertStringContainsString('accepted by Ines', $room('runa')[0]['decided']);
        self::assertStringContainsString(
            'accepted what you proposed',
            (string) json_encode($this->as('oda', 'GET', 'moment')->json('notices')),
        );
        // Whoever takes the card reads it once, and then never again.
        self::assertCount(1, $this->as('bram', 'GET', "cards/{$card->id}")->json('lessons'));
        self::assertStringContainsString(
            'Read first what went wrong',
            (string) $this->work($card, 1, 'done', [], 'bram')->assertStatus(422)->json('message'),
        );
        $read = $this->as('bram', 'POST', "cards/{$card->id}/lessons/read")->assertOk();
        self::assertSame([], $read->json('lessons'));
        $this->work($card, 1, 'done', [], 'bram')->assertOk();
        self::assertSame(1, DB::table('lesson_reads')->count());
    }

    public function test_a_photo_at_a_step_stands_with_its_words_until_the_card_is_signed(): void
    {
        $card = $this->card([['kind' => 'mark', 'title' => 'A', 'spec' => ['what' => 'Position of the lever']]]);
        $image = UploadedFile::fake()->image('lever.png', 40, 30);
        $send = fn(UploadedFile $file, string $when): TestResponse => $this->as(
            'oda',
            'POST',
            "cards/{$card->id}/steps/1/photos",
            ['photo' => $file, 'when' => $when, 'text' => 'lever at the gate'],
        );
        $send(UploadedFile::fake()->create('notes.txt', 3), 'as_found')->assertStatus(422);
        $send($image, 'later')->assertStatus(422);
        $paper = fn(): string => (string) $this->as(
            'mika',
            'GET',
            "release/{$card->visit_id}/cards.pdf?cards={$card->id}",
        )
            ->assertOk()->getContent();
        self::assertStringNotContainsString('/Subtype /Image', $paper());
        $send($image, 'as_found')->assertOk();
        self::assertStringContainsString('/Subtype /Image', $paper(), 'what a photo shows is on paper too');
        $send($image, 'as_found')->assertStatus(422);
        $send(UploadedFile::fake()->image('after.webp', 40, 30), 'as_found')->assertOk();
        self::assertSame(2, substr_count($paper(), '/Subtype /Image'), 'a WebP is drawn as well');
        $remark = $this->step($card, 1)['remarks'][0];
        self::assertSame('As found: lever at the gate', $remark['text']);
        $this->as('runa', 'GET', substr($remark['photo'], 5))->assertOk()->assertHeader('content-type', 'image/png');
        Card::whereKey($card->id)->update(['state' => Card::SIGNED]);
        $send(UploadedFile::fake()->image('other.png', 41, 30), 'as_left')->assertStatus(422);
    }

    public function test_a_step_is_told_how_it_felt_last_time_what_is_usual_and_what_its_sister_reads(): void
    {
        $reading = static fn(array $limit): array => ['point' => 'arm', 'limit' => [
            'unit' => 'deg', ...$limit,
        ], 'advised' => ['min' => 61]];
        $free = $reading(['kind' => 'range', 'min' => 'other_arm - 0.5', 'max' => 'other_arm + 0.5']);
        $steps = [
            ['kind' => 'answer', 'title' => 'Feel', 'spec' => ['graded' => true, 'choices' => [
                ['id' => 'free', 'title' => 'free', 'verdict' => 'pass'],
                ['id' => 'stiff', 'title' => 'stiff', 'verdict' => 'pass'],
            ]]],
            ['kind' => 'each', 'title' => 'Each', 'spec' => ['positions' => ['engine 1', 'engine 2'], 'steps' => [
                ['kind' => 'measurement', 'title' => 'Arm', 'spec' => [
                    'id' => 'arm', 'reading' => $reading(['kind' => 'range', 'min' => 55, 'max' => 70]),
                ]],
                ['kind' => 'measurement', 'title' => 'Arm, matched', 'spec' => [
                    'reading' => array_diff_key($free, ['advised' => 0]),
                ]],
            ]]],
        ];
        // A third position has no sister; that is said while it is written.
        $three = $steps;
        $three[1]['spec']['positions'][] = 'engine 3';
        self::assertNotSame([], Steps::faults(json_decode((string) json_encode($three))));
        $card = $this->card($steps);
        self::assertNull($this->step($card, 1)['before']);
        $this->work($card, 1, 'answer', ['entry' => 'stiff'])->assertOk();
        $this->work($card, 2, 'read', ['entry' => '61.2'])->assertOk();
        // The sister is not read yet: her value is what this one waits for.
        $this->work($card, 3, 'read', ['entry' => '61.2'])->assertStatus(422);
        $this->work($card, 4, 'read', ['entry' => '62.9'])->assertOk();
        $this->work($card, 3, 'read', ['entry' => '61.2'])->assertOk();
        self::assertSame('open', $this->step($card, 3)['state'], 'it is not within half a degree of 62.9');
        $this->work($card, 3, 'read', ['entry' => '62.5'])->assertOk();
        self::assertSame('done', $this->step($card, 3)['state']);
        $this->work($card, 5, 'read', ['entry' => '61.5'])->assertOk();
        Card::whereKey($card->id)->update(['state' => Card::CLOSED]);

        $this->as('ines', 'POST', "visits/{$this->visit}/cards", ['template' => $card->template_id])->assertCreated();
        $next = Card::where('template_id', $card->template_id)->orderByDesc('id')->firstOrFail();
        Assignment::create(['card_id' => $next->id, 'person_id' => $this->person('oda')->id, 'role' => 'perform']);
        self::assertStringStartsWith('Last time: stiff, ', $this->step($next, 1)['before']);
        self::assertStringStartsWith("The fleet's last 4: 61.2 to 62.9 ", $this->step($next, 2)['before']);
    }

    public function test_a_second_person_says_the_word_on_a_device_of_their_own_before_the_step_is_done(): void
    {
        $card = $this->card([
            ['kind' => 'instruction', 'title' => 'First'],
            ['kind' => 'answer', 'title' => 'Rudder, stop to stop', 'spec' => [
                'choices' => [
                    ['id' => 'free', 'title' => 'free', 'verdict' => 'pass'],
                    ['id' => 'stiff', 'title' => 'stiff', 'verdict' => 'fail'],
                ],
                'second' => ['says' => 'neutral', 'from' => 'the tail'],
            ]],
        ], [], 'oda', 'bram');
        $say = fn(string $who): TestResponse => $this->as($who, 'POST', "cards/{$card->id}/steps/2/second");
        $say('bram')->assertStatus(422);
        $this->work($card, 1)->assertOk();
        $done = fn(): TestResponse => $this->work($card, 2, 'answer', ['entry' => 'free']);
        self::assertStringContainsString('from the tail', (string) $done()->assertStatus(422)->json('message'));
        $say('oda')->assertOk();
        self::assertStringContainsString('You said', (string) $done()->assertStatus(422)->json('message'));
        $say('mika')->assertForbidden();
        $say('bram')->assertOk();
        app(Clock::class)->start(Instant::parse('2026-05-05T10:40:00Z'));
        self::assertStringContainsString('too long ago', (string) $done()->assertStatus(422)->json('message'));
        self::assertStringContainsString(
            'Bram',
            (string) json_encode($say('bram')->assertOk()->json('steps.1.result.second')),
        );
        $done()->assertOk();
        self::assertSame($this->person('bram')->id, $this->step($card, 2)['result']['second']['by']);
        $say('bram')->assertStatus(422);
    }
}
