<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Bench\Model\FaultWalk;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;
use App\Library\Model\CardTemplate;
use App\Shared\Clock;
use Jorvel\Core\Floor\AttemptState;
use Jorvel\Core\Shared\Instant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\WalksCards;
use Tests\Feature\WorldCase;
use Tests\InOrder;

/** Every functional test that ships, worked through to pass, to fail and to be not valid. */
final class ShippedTest extends WorldCase
{
    use WalksCards;

    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T08:20:00Z'));
    }

    /**
     * @return iterable<string, array{string, string, string, string, string, string, array<string, mixed>}>
     *   aircraft, card, who works it, the test, the step that fails, what is done there, with what; points of a sheet
     *   that read otherwise
     */
    public static function shipped(): iterable
    {
        $answer = static fn(string $id): array => ['entry' => $id];
        yield 'change-over, one engine alone' => [
            'Q-404', 'TRK-76-22', 'ivo', 'Change-over, engine 1', 'Engine 1 to manual', 'watch',
            ['entries' => ['high' => '38', 'low' => '29']],
        ];
        yield 'cowl flaps: jerky' => [
            'QA-VFD', 'SKV-71-31', 'mette', 'Cowl flaps, travel times', 'How they move', 'answer', $answer('jerky'),
        ];
        yield 'cowl flaps: one side slow' => [
            'QA-VFD', 'SKV-71-31', 'mette', 'Cowl flaps, travel times', 'Open and shut', 'read', ['ropen' => '6.4'],
        ];
        yield 'gear down normally: order' => [
            'QC-TAA', 'OLN-32-30', 'stig', 'Normal, up and down', 'Normal, down: in which', 'order',
            ['entries' => ['nose' => '3', 'left' => '1', 'right' => '2']],
        ];
        yield 'gear by hand pump: strokes' => [
            'QC-TAA', 'OLN-32-30', 'stig', 'By the hand pump', 'By the hand pump: strokes', 'count', ['entry' => '80'],
        ];
        yield 'gear by hand pump: relief too near' => [
            'QC-TAA', 'OLN-32-30', 'stig', 'By the hand pump', 'Kick-out and relief', 'read',
            ['kick' => '202', 'relief' => '208'],
        ];
        yield 'gear in free fall: a light is not the lock' => [
            'QC-TAA', 'OLN-32-30', 'stig', 'Free fall', 'Three greens', 'seen',
            ['entries' => ['lamps' => 'yes', 'hooks' => 'no']],
        ];
        yield 'spoilers, self-test: one panel late' => [
            'QC-TAD', 'OLN-27-61', 'noor', 'Spoilers, self-test', 'Self-test on both', 'result',
            [
                'entries' => [
                    'channel.A' => 'pass', 'channel.B' => 'pass', 'screen.left' => 'yes', 'screen.right' => 'no',
                ],
            ],
        ];
        yield 'raft release: too stiff' => [
            'QC-TAA', 'OLN-25-63', 'stig', 'Raft release', 'Pull at the release', 'read',
            ['entry' => '14', 'tool' => 'SB-01'],
        ];
        yield 'raft release: only looks locked' => [
            'QC-TAA', 'OLN-25-63', 'stig', 'Raft release', 'Lever locked again', 'seen',
            ['entries' => ['paint' => 'yes', 'load' => 'no']],
        ];
        yield 'crew oxygen: a clamp pulls' => [
            'QA-VFD', 'SKV-35-21', 'oda', 'Crew oxygen, line and warning', 'Gaps of the clamps', 'read',
            ['g2' => '2.9'],
        ];
        yield 'crew oxygen: the light does not go out' => [
            'QA-VFD', 'SKV-35-21', 'oda', 'Crew oxygen, line and warning', 'Low-pressure switch, filled', 'seen',
            ['entries' => ['lamp2' => 'no', 'gauge2' => 'yes']],
        ];
        yield 'brakes: broken off unequal' => ['QA-VFD', 'SKV-32-43', 'bram', 'Brakes equal', '', '', []];
        yield 'reservoir: low' => [
            'QA-VFD', 'SKV-29-16', 'bram', 'Reservoir level', 'Level, by the', 'read', ['level' => '50'],
        ];
        yield 'parking brake: falls' => [
            'QA-VFD', 'SKV-32-46', 'bram', 'Parking brake holds', 'Parking brake, after', 'read',
            ['entry' => '20', 'tool' => 'PG-21'],
        ];
        yield 'strut: fluid' => [
            'Q-404', 'TRK-32-91', 'aki', 'Strut, nose', 'At the gas valve', 'answer', $answer('fluid'),
        ];
        yield 'strut: off its chart' => [
            'Q-404', 'TRK-32-91', 'aki', 'Strut, nose', 'Extension by the chart', 'read', ['bright' => '40'],
        ];
        yield 'cables: slack for the day' => [
            'Q-501', 'VSK-27-46', 'odin', 'Cable tension', 'Elevator and rudder', 'read', ['rl' => '90'],
        ];
        yield 'idle leak check: it weeps' => [
            'QC-TAA', 'OLN-79-31', 'pell', 'Idle leak check', 'After the stop', 'answer', $answer('weep'),
        ];
    }

    /** @param array<string, mixed> $bad */
    #[DataProvider('shipped')]
    public function test_it_fails_is_put_back_and_opens_its_tree_and_passes_when_it_is_done_again(
        string $mark,
        string $template,
        string $who,
        string $test,
        string $at,
        string $do,
        array $bad,
    ): void {
        $card = $this->cardFor($mark, $template, $who);
        $verdict = "Verdict: {$test}";
        $of = fn(): TestAttempt => TestAttempt::where(['card_id' => $card->id, 'title' => $test])->orderByDesc('no')
            ->firstOrFail();
        // Not valid: set up wrongly.
        $this->walkInto($card, $who, "Begin: {$test}");
        $this->act($card, $who, "Begin: {$test}", 'begin', ['entries' => $this->conditionsOf($card, $test)])
            ->assertOk();
        $this->act($card, $who, "Begin: {$test}", 'break_off', [
            'note' => 'the set-up was another one', 'entries' => ['as' => 'invalid'],
        ])->assertOk();
        $this->walkInto($card, $who, $verdict);
        $this->act($card, $who, $verdict, 'verdict')->assertOk();
        self::assertSame(AttemptState::Invalid, $of()->state);
        $this->act($card, $who, $verdict, 'new_attempt')->assertOk();
        // It fails.
        if ($at !== '') {
            $this->walkInto($card, $who, $at, $test);
            $step = $this->stepOf($card, $at, $test);
            $this->send($card, $step, $who, $do, $step->kind === 'sheet'
                ? ['entries' => $this->sheetOf($card, $step, array_map(strval(...), $bad))]
                : $bad);
            $is = $step->refresh();
            self::assertSame(['done', 'fail'], [$is->state->value, $is->result['verdict'] ?? ''], $is->title);
            $this->walkInto($card, $who, $verdict);
            $said = $this->act($card, $who, $verdict, 'verdict')->assertOk();
            self::assertSame([AttemptState::Failed, 2], [$of()->state, $of()->no]);
            $tree = $this->stepOf($card, $verdict, $test)->spec['tree'] ?? null;
            $shown = collect((array) $said->json('tests'))->firstWhere('title', $test);
            self::assertSame($tree !== null, $shown['finding'] !== null);
            self::assertSame($tree, $tree === null ? null : FaultWalk::with('tree')
                ->where('finding_id', $shown['finding'])->firstOrFail()->tree->code);
            $this->act($card, $who, $verdict, 'new_attempt')->assertOk();
        }
        // And passes.
        $this->walkInto($card, $who, $verdict);
        $this->act($card, $who, $verdict, 'verdict')->assertOk();
        self::assertSame(AttemptState::Passed, $of()->state);
        self::assertGreaterThan(0, count($of()->kept ?? []));
        $this->as($who, 'GET', "bench/attempts/{$of()->id}")->assertOk()->assertJsonPath('look', 'clear');
    }

    private function cardFor(string $mark, string $template, string $who): Card
    {
        // The revision of the change-over check is another test's matter.
        CardTemplate::where('code', $template)->get()->each(static fn(CardTemplate $t): bool
            => $t->update(['revision' => $t->manual->revision]));
        $card = $this->cardOf($mark, $template, $who, ...$template === 'OLN-32-30' ? ['lio', 'noor', 'oda'] : []);
        $this->as($who, 'POST', "cards/{$card->id}/lessons/read");
        // A bottle that is changed is another test's matter too.
        Step::where(['card_id' => $card->id, 'kind' => 'exchange'])->update(['state' => Step::DONE, 'result' => '{}']);

        return $card;
    }

    private function stepOf(Card $card, string $title, string $test): Step
    {
        return $card->steps()->where('title', 'like', "{$title}%")->orderBy('no')->get()
            ->firstOrFail(static fn(Step $s): bool => ($s->spec['test']['title'] ?? '') === $test);
    }

    /** Works up to a step; what is done already is left. */
    private function walkInto(Card $card, string $who, string $title, ?string $test = null): void
    {
        $inspector = in_array($who, ['ivo', 'aki', 'odin'], true) ? 'hald' : 'runa';
        $this->walk(
            $card,
            $who,
            $inspector,
            $test === null ? self::no($card, $title) : $this->stepOf($card, $title, $test)->no,
        );
    }

    /** @return array<string, string> */
    private function conditionsOf(Card $card, string $test): array
    {
        return InOrder::conditions($this->stepOf($card, 'Begin', $test)->spec);
    }

    /** @param array<string, mixed> $more */
    private function send(Card $card, Step $step, string $who, string $do, array $more): void
    {
        if ($step->kind === 'leak') {
            $clock = app(Clock::class);
            $clock->start(Instant::fromEpoch($clock->now()->epoch() + (int) ($step->spec['minutes'] * 60) + 2));
        }
        $said = $this->as($who, 'POST', "cards/{$card->id}/steps/{$step->no}", [
            'version' => Card::findOrFail($card->id)->version, 'do' => $do, ...$more,
        ]);
        self::assertSame(200, $said->status(), $step->title.': '.$said->json('message'));
    }
}
