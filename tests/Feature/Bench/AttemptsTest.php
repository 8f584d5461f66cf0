<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Floor\Model\Card;
use App\Floor\Model\Exceedance;
use App\Floor\Model\Reading;
use App\Floor\Model\TestAttempt;
use App\Shared\Clock;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WorldCase;
use Tests\Feature\WritesCards;

/** A functional test as a block of a card: its attempts, each kept as it was, and every kind of step in it. */
final class AttemptsTest extends WorldCase
{
    use WritesCards;

    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T08:20:00Z'));
    }

    private function later(int $seconds): void
    {
        $clock = app(Clock::class);
        $clock->start(Instant::fromEpoch($clock->now()->epoch() + $seconds));
    }

    /**
     * @param array<string, mixed> $more of the block
     * @param array<string, mixed>|null $step the one that is judged first, in place of a reading of a pressure
     *
     * @return list<array<string, mixed>>
     */
    private static function brakeTest(array $more = [], ?array $step = null): array
    {
        return [
            ['kind' => 'functional', 'title' => 'Brake pressure', 'text' => 'Both sides.', 'spec' => [
                'system' => 'hydraulics',
                'conditions' => [
                    ['id' => 'wind', 'title' => 'Wind', 'unit' => 'kt', 'max' => 25],
                    ['id' => 'aboard', 'title' => 'At the controls'],
                ],
                'limits' => [
                    [
                        'title' => 'propeller speed', 'unit' => '%', 'max' => 101, 'rule' => 'SKV-X-NP',
                        'position' => 'engine 1',
                    ],
                ],
                'stop' => 'STOP, STOP', 'inspect' => ['lines for leaks'],
                'steps' => [
                    ['kind' => 'instruction', 'title' => 'Connect the rig', 'spec' => ['when' => 'setup']],
                    $step ?? [
                        'kind' => 'measurement', 'title' => 'Pressure', 'spec' => ['id' => 'p', 'reading' => [
                            'point' => 'brake pressure', 'limit' => ['kind' => 'min', 'unit' => 'bar', 'min' => 40],
                        ]],
                    ],
                    ['kind' => 'answer', 'title' => 'Dry', 'spec' => ['id' => 'dry', 'choices' => [
                        ['id' => 'dry', 'title' => 'Dry', 'verdict' => 'pass'],
                        ['id' => 'wet', 'title' => 'Wet', 'verdict' => 'fail'],
                    ]]],
                    ['kind' => 'instruction', 'title' => 'Disconnect the rig', 'spec' => ['when' => 'restore']],
                ],
                ...$more,
            ]],
            ['kind' => 'instruction', 'title' => 'Close up'],
        ];
    }

    private static function sole(Card $card): TestAttempt
    {
        return TestAttempt::where('card_id', $card->id)->sole();
    }

    /** @return TestResponse<Response> */
    private function begin(Card $card, string $wind = '12', string $aboard = 'Pia'): TestResponse
    {
        return $this->work($card, 1, 'begin', ['entries' => ['wind' => $wind, 'aboard' => $aboard]]);
    }

    /** @return list<string> states of the steps of the card */
    private function states(Card $card): array
    {
        return array_values($card->steps()->orderBy('no')->get()
            ->map(static fn($s): string => $s->state->value)->all());
    }

    public function test_any_test_of_the_past_is_found_by_aircraft_and_system_and_opened(): void
    {
        $ask = fn(string $query = ''): array => (array) $this->as('mika', 'GET', "bench/attempts{$query}")->assertOk()
            ->json();
        $all = $ask();
        $rest = $ask("?before={$all['older']}");
        self::assertNull($rest['older']);
        $ids = [...array_column($all['rows'], 'attemptId'), ...array_column($rest['rows'], 'attemptId')];
        self::assertSame(TestAttempt::orderByDesc('id')->pluck('id')->all(), $ids);
        $row = $all['rows'][0];
        $of = $ask('?mark='.$row['mark'].'&system='.urlencode($row['system']));
        self::assertSame([[$row['mark']], [$row['system']]], [
            array_values(array_unique(array_column($of['rows'], 'mark'))),
            array_values(array_unique(array_column($of['rows'], 'system'))),
        ]);
        self::assertStringStartsWith(count($of['rows']).' attempt', $of['sentence']);
        self::assertContains($row['mark'], $all['marks']);
        self::assertSame([], $ask('?mark=Q-000')['rows']);
        $this->as(
            'mika',
            'GET',
            "bench/attempts/{$row['attemptId']}",
        )->assertOk()->assertJsonPath('card', $row['card']);
        $this->as('mika', 'GET', 'bench/attempts?before=none')->assertUnprocessable();
    }

    public function test_an_attempt_fails_is_put_back_and_kept_and_a_new_one_asks_for_its_set_up_anew(): void
    {
        $card = $this->card(self::brakeTest());
        self::assertStringContainsString('comes first', $this->work($card, 2)->assertStatus(422)->json('message'));
        self::assertStringContainsString('Wind: 30 kt does not allow it; at most 25 kt', $this->begin($card, '30')
            ->assertStatus(422)->json('message'));
        self::assertStringContainsString(
            'At the controls',
            $this->begin($card, '12', '')->assertStatus(422)->json('message'),
        );
        $this->begin($card)->assertOk()->assertJsonPath('tests.0.sentence', 'Attempt 1 goes on.');
        $this->work($card, 2)->assertOk();
        $failed = $this->work($card, 3, 'read', ['entry' => '31'])->assertOk();
        self::assertSame(['done', 'done', 'done', 'not_reached', 'open', 'open', 'open'], $this->states($card));
        self::assertSame('fail', $failed->json('steps.2.result.verdict'));
        self::assertStringContainsString('has failed. Put everything back', $failed->json('tests.0.sentence'));
        // A misread figure is taken back, and what was not reached is open again.
        $this->work($card, 3, 'take_back', ['note' => 'misread'])->assertOk();
        self::assertSame(['done', 'done', 'open', 'open', 'open', 'open', 'open'], $this->states($card));
        $this->work($card, 3, 'read', ['entry' => '31.5'])->assertOk();
        // Nothing is judged before everything is put back.
        $this->work($card, 6, 'verdict')->assertStatus(422);
        $this->work($card, 5)->assertOk();
        $this->work($card, 6, 'new_attempt')->assertStatus(422);
        $over = $this->work($card, 6, 'verdict')->assertOk();
        self::assertSame('open', $over->json('steps.5.state'));
        self::assertSame(
            ['Attempt 1 failed.', true],
            [$over->json('tests.0.sentence'), $over->json('tests.0.mayAnew')],
        );
        self::assertStringContainsString('is over and is kept', $this->work($card, 3, 'take_back', ['note' => 'no'])
            ->assertStatus(422)->json('message'));
        $this->work($card, 6, 'verdict')->assertStatus(422);
        $this->work($card, 7)->assertStatus(422);
        $kept = self::sole($card);
        self::assertSame(['failed', ['Pressure']], [$kept->state->value, $kept->decided]);
        self::assertSame([31.5], array_column($kept->kept[1]['readings'] ?? [], 'value'));

        $this->work($card, 6, 'new_attempt')->assertOk();
        self::assertSame(array_fill(0, 7, 'open'), $this->states($card));
        self::assertSame(0, Reading::where(['card_id' => $card->id, 'stands' => true])->count());
        $this->begin($card, '8')->assertOk();
        $this->work($card, 2)->assertOk();
        $this->work($card, 3, 'read', ['entry' => '44'])->assertOk();
        $this->work($card, 4, 'answer', ['entry' => 'dry'])->assertOk();
        $this->work($card, 5)->assertOk();
        $passed = $this->work($card, 6, 'verdict')->assertOk();
        self::assertSame('done', $passed->json('steps.5.state'));
        self::assertSame(['passed', 'failed'], array_column($passed->json('tests.0.attempts'), 'state'));
        // What a passed test rested on is done again: it no longer stands, and is set up anew.
        $fell = $this->work($card, 3, 'take_back', ['note' => 'gauge was not at nought'])->assertOk();
        self::assertSame(array_fill(0, 7, 'open'), $this->states($card));
        self::assertFalse($fell->json('tests.0.attempts.0.stands'));
        self::assertSame(
            'passed',
            TestAttempt::where(['card_id' => $card->id, 'no' => 2])->sole()->state->value,
            'it is kept as it was',
        );
        $this->begin($card)->assertOk()->assertJsonPath('tests.0.attempts.0.no', 3);
        $this->artisan('jorvel:verify')->assertSuccessful();
    }

    public function test_it_is_broken_off_with_its_reason_and_what_was_exceeded_and_is_put_back_all_the_same(): void
    {
        $card = $this->card(self::brakeTest());
        $off = fn(array $more = []): TestResponse => $this->work($card, 2, 'break_off', $more);
        self::assertStringContainsString(
            'No attempt goes on',
            $off(['note' => 'no'])->assertStatus(422)->json('message'),
        );
        $this->begin($card)->assertOk()->assertJsonPath('tests.0.mayBreakOff', true)
            ->assertJsonPath('tests.0.limits.0', 'propeller speed at most 101 %');
        $off()->assertStatus(422);
        $before = Exceedance::count();
        $over = ['rule' => 'SKV-X-NP', 'position' => 'engine 1', 'peak' => '102,6', 'seconds' => '6'];
        $off(['note' => 'overspeed', 'entries' => [...$over, 'peak' => 'much']])->assertStatus(422);
        self::assertSame($before, Exceedance::count());
        $broken = $off(['note' => 'overspeed', 'entries' => $over])->assertOk();
        $exceeded = Exceedance::orderByDesc('id')->firstOrFail();
        self::assertSame([$before + 1, 102.6, 6.0], [Exceedance::count(), $exceeded->peak, $exceeded->seconds]);
        self::assertSame(
            ['done', 'not_reached', 'not_reached', 'not_reached', 'open', 'open', 'open'],
            $this->states($card),
        );
        self::assertStringContainsString('broken off: overspeed', $broken->json('tests.0.sentence'));
        $this->work($card, 5)->assertOk();
        $this->work($card, 6, 'verdict')->assertOk();
        self::assertSame(['broken_off', 'overspeed'], [
            self::sole($card)->state->value, self::sole($card)->broken_why,
        ]);
        $this->work($card, 6, 'new_attempt')->assertOk();
        $this->begin($card)->assertOk();
    }

    /** @return iterable<string, array{array<string, mixed>, list<string>, string}> rule, answers, state */
    public static function rules(): iterable
    {
        $at = static fn(int $n): array => ['rule' => ['at_least' => $n, 'of' => ['p', 'dry']], 'goes_on' => true];
        yield 'one of two is enough' => [$at(1), ['31', 'dry'], 'passed'];
        yield 'two of two are wanted' => [$at(2), ['31', 'dry'], 'failed'];
        yield 'a condition' => [['rule' => ['is' => 'p or dry'], 'goes_on' => true], ['44', 'wet'], 'passed'];
        yield 'a condition that does not hold'
            => [['rule' => ['is' => 'p and dry'], 'goes_on' => true], ['44', 'wet'], 'failed'];
        yield 'all, by itself' => [['goes_on' => true], ['44', 'wet'], 'failed'];
    }

    /**
     * @param array<string, mixed> $more
     * @param list<string> $answers
     */
    #[DataProvider('rules')]
    public function test_the_verdict_goes_by_the_rule(array $more, array $answers, string $state): void
    {
        $card = $this->card(self::brakeTest($more));
        $this->begin($card)->assertOk();
        $this->work($card, 2)->assertOk();
        $this->work($card, 3, 'read', ['entry' => $answers[0]])->assertOk();
        $this->work($card, 4, 'answer', ['entry' => $answers[1]])->assertOk();
        $this->work($card, 5)->assertOk();
        $this->work($card, 6, 'verdict')->assertOk();
        self::assertSame($state, self::sole($card)->state->value);
    }

    public function test_a_test_of_two_positions_is_two_tests_with_attempts_of_their_own(): void
    {
        $card = $this->card(self::brakeTest([
            'positions' => ['left', 'right'], 'conditions' => [['id' => 'aboard', 'title' => 'At the controls']],
        ]));
        self::assertSame(
            ['Brake pressure, left', 'Brake pressure, right'],
            array_column($this->as('oda', 'GET', "cards/{$card->id}")->json('tests'), 'title'),
        );
        $begin = fn(int $no): TestResponse => $this->work($card, $no, 'begin', ['entries' => ['aboard' => 'Pia']]);
        $begin(7)->assertOk();
        $begin(1)->assertOk();
        $this->work($card, 8)->assertOk();
        $this->work($card, 9, 'read', ['entry' => '12'])->assertOk();
        self::assertSame(['open', 'not_reached'], [$this->states($card)[3], $this->states($card)[9]]);
    }

    /**
     * @return iterable<string, array{array<string, mixed>, list<array{string, array<string, mixed>, int}>, string,
     *   string}>
     *   the step, what is sent (do, more, seconds before it), what comes of it, what it says or why it is refused
     */
    public static function kinds(): iterable
    {
        $sheet = ['kind' => 'sheet', 'title' => 'Brakes', 'spec' => [
            'points' => [
                [
                    'id' => 'l', 'place' => 'left', 'unit' => 'bar',
                    'limit' => ['kind' => 'range', 'unit' => 'bar', 'min' => 30, 'max' => 45],
                ],
                [
                    'id' => 'r', 'place' => 'right', 'unit' => 'bar',
                    'limit' => ['kind' => 'range', 'unit' => 'bar', 'min' => 30, 'max' => 45],
                ],
            ],
            'spread' => [['title' => 'Left and right', 'of' => ['l', 'r'], 'max' => 2]],
            'derived' => [['id' => 'm', 'title' => 'Mean', 'unit' => 'bar', 'is' => '(l + r) / 2']],
        ]];
        $read = static fn(string $l, string $r): array => ['read', ['entries' => ['l' => $l, 'r' => $r]], 0];
        yield 'sheet, alike' => [$sheet, [$read('38', '39,5')], 'pass', 'Left and right'];
        yield 'sheet, too far apart' => [$sheet, [$read('33', '39')], 'fail', '"value":6'];
        yield 'sheet, one outside' => [$sheet, [$read('46', '45')], 'fail', ''];
        yield 'sheet, one missing' => [$sheet, [$read('33', '')], 'refused', 'Still to be read: right.'];
        yield 'sheet, no number' => [$sheet, [$read('33', 'ten')], 'refused', 'Right: '];
        $chart = ['kind' => 'sheet', 'title' => 'Cable', 'spec' => ['points' => [
            ['id' => 't', 'place' => 'air', 'unit' => 'C'],
            ['id' => 'n', 'place' => 'elevator cable', 'unit' => 'N', 'chart' => [
                'rows' => [[-10, 98], [10, 118], [30, 142]], 'by' => 't', 'plus' => 8, 'minus' => 6,
            ]],
        ]]];
        $at = static fn(string $t, string $n): array => ['read', ['entries' => ['t' => $t, 'n' => $n]], 0];
        yield 'chart, within' => [$chart, [$at('9', '118')], 'pass', ''];
        yield 'chart, slack for the day' => [$chart, [$at('28', '118')], 'fail', ''];
        yield 'off the chart' => [$chart, [$at('44', '118')], 'refused', 'off its chart'];
        $hold = ['kind' => 'stabilise', 'title' => 'Speed', 'spec' => [
            'signal' => 'speed', 'unit' => '%', 'target' => 96, 'tolerance' => 0.7, 'seconds' => 60,
        ]];
        yield 'held by the watch' => [$hold, [['start', [], 0], ['done', [], 61]], 'pass', '"held":60'];
        yield 'not held for long enough' => [$hold, [['start', [], 0], ['done', [], 40]], 'refused', '40 of 60'];
        $typed = static fn(string $v, int $after): array => ['read', ['entry' => $v], $after];
        yield 'held by readings' => [$hold, [$typed('95', 0), $typed('96.2', 20), $typed('95.8', 62)], 'pass', ''];
        yield 'left the band between' => [$hold, [$typed('96', 0), $typed('94', 40), $typed('96', 30)], 'open', ''];
        $seen = ['kind' => 'sequence', 'title' => 'Down', 'spec' => [
            'items' => [
                ['id' => 'n', 'title' => 'nose'], ['id' => 'l', 'title' => 'left'], ['id' => 'r', 'title' => 'right'],
            ],
            'order' => [['n'], ['l', 'r']],
        ]];
        $order = static fn(string $n, string $l, string $r): array
            => ['order', ['entries' => ['n' => $n, 'l' => $l, 'r' => $r]], 0];
        yield 'nose first' => [$seen, [$order('1', '3', '2')], 'pass', ''];
        yield 'mains first' => [$seen, [$order('2', '1', '3')], 'fail', 'too soon: left'];
        yield 'nobody looked at one' => [$seen, [$order('1', '2', '')], 'refused', 'Say when it moved: right'];
        $light = ['kind' => 'indication', 'title' => 'In', 'spec' => ['of' => 'left reverser stowed', 'sources' => [
            ['id' => 'lamp', 'title' => 'light out'],
            ['id' => 'bar', 'title' => 'pressure back to 210 bar', 'proves' => true],
        ]]];
        $says = static fn(string $lamp, string $bar): array => [
            'seen', ['entries' => ['lamp' => $lamp, 'bar' => $bar]], 0,
        ];
        yield 'pressure proves it' => [$light, [$says('yes', 'yes')], 'pass', 'proven'];
        yield 'a light alone does not' => [$light, [$says('yes', 'no')], 'fail', 'NOT proven'];
        yield 'the light is at fault' => [$light, [$says('no', 'yes')], 'fail', 'indication is at fault'];
        $pre = ['kind' => 'precharge', 'title' => 'Pre-charge', 'spec' => ['reading' => [
            'point' => 'pre-charge', 'limit' => ['kind' => 'range', 'unit' => 'bar', 'min' => 45, 'max' => 55],
        ]]];
        yield 'falls away at 47' => [
            $pre, [['read', ['entries' => ['fall' => '62 57 52 47 3']], 0]], 'pass', '"precharge":47',
        ];
        yield 'falls away too low' => [$pre, [['read', ['entry' => '38'], 0]], 'fail', ''];
        yield 'does not fall away' => [
            $pre, [['read', ['entries' => ['fall' => '62 57 52 47']], 0]], 'refused', 'no drop',
        ];
        $leak = ['kind' => 'leak', 'title' => 'Holds', 'spec' => [
            'point' => 'line', 'unit' => 'bar', 'gas' => true, 'minutes' => 10, 'max_per_hour' => 3,
        ]];
        $p = static fn(string $do, string $bar, string $temp, int $after): array
            => [$do, ['entry' => $bar, 'entries' => ['temp' => $temp]], $after];
        yield 'cools and holds' => [$leak, [$p('start', '88', '18', 0), $p('read', '87', '15', 605)], 'pass', 'lost'];
        yield 'leaks' => [$leak, [$p('start', '88', '18', 0), $p('read', '86', '18', 605)], 'fail', 'an hour'];
        yield 'too soon' => [
            $leak, [$p('start', '88', '18', 0), $p('read', '86', '18', 300)], 'refused', 'of 600 seconds',
        ];
        yield 'a gas without its temperature' => [$leak, [$p('start', '88', '', 0)], 'refused', 'temperature'];
        $bit = ['kind' => 'selftest', 'title' => 'Self-test', 'spec' => [
            'channels' => ['A', 'B'], 'screens' => [['id' => 's', 'title' => 'all panels up on the second screen']],
            'codes' => [['code' => '417', 'says' => 'right outer actuator slow']],
        ]];
        $bits = static fn(string $a, string $b, string $s = 'yes'): array
            => ['result', ['entries' => ['channel.A' => $a, 'channel.B' => $b, 'screen.s' => $s]], 0];
        yield 'both channels' => [$bit, [$bits('pass', 'pass')], 'pass', ''];
        yield 'they do not agree' => [$bit, [$bits('pass', '417')], 'fail', 'right outer actuator slow'];
        yield 'a code nobody knows' => [$bit, [$bits('9', '9')], 'fail', 'support desk'];
        yield 'late on the other screen' => [$bit, [$bits('pass', 'pass', 'no')], 'fail', 'not shown'];
        yield 'one channel not read' => [$bit, [$bits('pass', '')], 'refused', 'channel B'];
    }

    /**
     * @param array<string, mixed> $step
     * @param list<array{string, array<string, mixed>, int}> $sent
     */
    #[DataProvider('kinds')]
    public function test_a_kind_of_step_is_worked(array $step, array $sent, string $comes, string $says): void
    {
        $card = $this->card(self::brakeTest([], $step));
        $this->begin($card)->assertOk();
        $this->work($card, 2)->assertOk();
        $last = null;
        foreach ($sent as [$do, $more, $after]) {
            $this->later($after);
            $last = $this->work($card, 3, $do, $more);
        }
        self::assertNotNull($last);
        if ($comes === 'refused') {
            self::assertStringContainsString($says, $last->assertStatus(422)->json('message'));

            return;
        }
        $last->assertOk();
        $is = $last->json('steps.2');
        self::assertSame($comes === 'open' ? 'open' : 'done', $is['state']);
        self::assertSame($comes === 'open' ? null : $comes, $is['result']['verdict'] ?? null);
        self::assertStringContainsString($says, (string) json_encode($is['result']));
        self::assertSame($comes === 'fail' ? 'not_reached' : 'open', $this->states($card)[3]);
    }

    public function test_a_transition_is_watched_by_eye_from_a_reference_with_the_partner_beside_it(): void
    {
        $card = $this->card(self::brakeTest(['steps' => [
            [
                'kind' => 'reference', 'title' => 'Torque 1',
                'spec' => ['id' => 'q', 'point' => 'torque 1', 'unit' => '%'],
            ],
            [
                'kind' => 'reference', 'title' => 'Torque 2',
                'spec' => ['id' => 'q2', 'point' => 'torque 2', 'unit' => '%'],
            ],
            ['kind' => 'transition', 'title' => 'To manual', 'spec' => [
                'point' => 'swing', 'unit' => '%', 'reference' => 'q', 'limit' => 6, 'usual' => 4, 'watch' => 1,
                'partner' => ['point' => 'torque 2', 'reference' => 'q2', 'limit' => 5],
            ]],
        ]]));
        $this->begin($card)->assertOk();
        $this->work($card, 2, 'read', ['entry' => '37.4'])->assertOk();
        $this->work($card, 3, 'read', ['entry' => '35'])->assertOk();
        $eye = ['high' => '37.6', 'low' => '32.5', 'partner' => '38,8'];
        $this->work($card, 4, 'watch', ['entries' => [...$eye, 'high' => '30']])->assertStatus(422);
        self::assertStringContainsString('Legal, and unusual: -4.9', $this->work($card, 4, 'watch', ['entries' => $eye])
            ->assertStatus(422)->json('message'));
        $said = $this->work($card, 4, 'watch', ['entries' => $eye, 'note' => 'cold air'])->assertOk()->json('steps.3');
        self::assertEqualsWithDelta([-4.9, 3.8], [$said['result']['excursion'], $said['result']['partner']], 1e-9);
        self::assertSame('pass', $said['result']['verdict']);
        $this->work($card, 4, 'take_back', ['note' => 'watched again'])->assertOk();
        $again = $this->work($card, 4, 'watch', ['entries' => [...$eye, 'high' => '44']])->assertOk()->json('steps.3');
        self::assertEqualsWithDelta([6.6, 'fail'], [$again['result']['excursion'], $again['result']['verdict']], 1e-9);
        // The partner may go five points from its own reference.
        $this->work($card, 4, 'take_back', ['note' => 'watched again'])->assertOk();
        $partner = $this->work($card, 4, 'watch', ['entries' => [...$eye, 'partner' => '40.1'], 'note' => 'cold air'])
            ->assertOk()->json('steps.3.result');
        self::assertEqualsWithDelta([5.1, 'fail'], [$partner['partner'], $partner['verdict']], 1e-9);
    }

    public function test_a_sheet_with_as_left_values_is_turned_and_read_until_it_is_equal(): void
    {
        $point = static fn(string $id): array => ['id' => $id, 'place' => $id, 'unit' => 'bar'];
        $card = $this->card(self::brakeTest([], ['kind' => 'sheet', 'title' => 'Equalise', 'spec' => [
            'points' => [$point('inner'), $point('outer')], 'left' => true,
            'spread' => [['title' => 'Inner and outer', 'of' => ['inner', 'outer'], 'max' => 2]],
        ]]));
        $this->begin($card)->assertOk();
        $this->work($card, 2)->assertOk();
        $send = fn(string $do, string $a, string $b, string $note = ''): TestResponse
            => $this->work($card, 3, $do, ['entries' => ['inner' => $a, 'outer' => $b], 'note' => $note]);
        $send('as_left', '38', '38')->assertStatus(422);
        $send('read', '38', '38')->assertStatus(422);
        self::assertSame('open', $send('as_found', '33', '39')->assertOk()->json('steps.2.state'));
        $send('as_found', '38', '38')->assertStatus(422);
        self::assertSame('open', $send('as_left', '36', '39', 'one turn')->assertOk()->json('steps.2.state'));
        $done = $send('as_left', '38', '38', 'half a turn')->assertOk()->json('steps.2');
        self::assertSame(['done', 'pass'], [$done['state'], $done['result']['verdict']]);
        self::assertSame([33.0, 39.0, 38.0, 38.0], Reading::where(['card_id' => $card->id, 'stands' => true])
            ->orderBy('id')->pluck('value')->all(), 'as found and as left both stand');
    }
}
