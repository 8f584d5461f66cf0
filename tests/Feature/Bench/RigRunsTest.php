<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Floor\Model\Card;
use App\Floor\Model\Exceedance;
use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;
use App\Shared\Clock;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WalksCards;
use Tests\Feature\WorldCase;

/** The ground runs of a rigging: each an attempt, begun, watched, ended or broken off; washers and buckles. */
final class RigRunsTest extends WorldCase
{
    use WalksCards;

    private const HOLDS = [
        'holds:cautions' => 'yes', 'holds:stops' => 'yes', 'holds:preload' => 'yes', 'holds:joined' => 'yes',
        'at:0' => 'Lio Kest', 'at:1' => 'T27', 'at:2' => 'Runa Vale',
    ];

    private const OUT = [
        'prop' => '73.1', 'cond' => '19', 'power' => '35', 'beta' => '12', 'reverse' => '14', 'peak:0' => '742',
        'peak:1' => '96',
    ];

    private Card $card;

    private int $no;

    /**
     * @param array<string, string> $entries
     *
     * @return TestResponse<Response>
     */
    private function enter(string $do, array $entries, string $note = ''): TestResponse
    {
        return $this->as('oda', 'POST', "cards/{$this->card->id}/steps/{$this->no}", [
            'version' => $this->card->refresh()->version, 'do' => $do, 'entries' => $entries, 'tool' => 'PR-06',
            'note' => $note,
        ]);
    }

    /** @return array<string, mixed> the step as the card shows it */
    private function shown(): array
    {
        return array_column(
            (array) $this->as('oda', 'GET', "cards/{$this->card->id}")->json('steps'),
            null,
            'no',
        )[$this->no];
    }

    private function open(string $mark, string $code, string $who): void
    {
        $this->card = $this->cardOf($mark, $code, $who);
        $this->no = $this->card->steps->where('kind', 'rig')->firstOrFail()->no;
        Step::where('card_id', $this->card->id)->where('no', '<', $this->no)->update(['state' => Step::DONE]);
        $this->card->update(['state' => Card::IN_WORK]);
    }

    public function test_a_ground_run_is_an_attempt_that_is_begun_watched_ended_or_broken_off(): void
    {
        $this->open('QA-VFB', 'SKV-76-21', 'oda');
        $ground = $this->shown()['ground'];
        self::assertSame([1, null, ['left seat', 'right seat', 'fire guard'], 'Back to idle', 'at most 780 °C'], [
            $ground['no'], $ground['running'], $ground['places'], $ground['stop'], $ground['limits'][0]['said'],
        ]);
        // Nothing is read before a run is begun, and none is begun before all of it holds.
        $this->enter('as_found', self::OUT)->assertUnprocessable()->assertSee('Begin the ground run first');
        foreach ([
            ['holds:cautions' => '', 'Before the run:'], ['holds:preload' => '', 'Half a turn of preload'],
            ['at:1' => '', 'Who stands at right seat?'], ['at:1' => 'Nobody At All', 'nobody called'],
            ['at:2' => 'Lio Kest', 'stands at left seat and at one place only'],
        ] as $wrong) {
            $why = array_pop($wrong);
            self::assertStringContainsString(
                $why,
                $this->enter('run', [...self::HOLDS, ...$wrong])->assertUnprocessable()->json('message'),
            );
        }
        self::assertSame(0, TestAttempt::where('card_id', $this->card->id)->count());
        $this->enter('run', self::HOLDS)->assertOk();
        $this->enter('run', self::HOLDS)->assertUnprocessable()->assertSee('goes on already');
        self::assertStringEndsWith(
            'Lio Kest at left seat, Oda Fenn at right seat, Runa Vale at fire guard',
            $this->shown()['ground']['running'],
        );
        // Broken off, with why: it counts, and what was beyond its limit opens what follows.
        $this->enter('run_off', [])->assertUnprocessable()->assertSee('Say why it is broken off');
        $before = Exceedance::count();
        $this->enter('run_off', ['peak:0' => '800', 'peak:1' => '96'], 'Bogged down')->assertUnprocessable()
            ->assertSee('for how many seconds turbine temperature was beyond');
        $this->enter('run_off', ['peak:0' => '800', 'peak:1' => '96', 'beyond:0' => '4'], 'Bogged down')->assertOk();
        self::assertSame($before + 1, Exceedance::count());
        $ground = $this->shown()['ground'];
        self::assertSame([2, null, 'Ground run 1 was broken off: Bogged down'], [
            $ground['no'], $ground['running'], $ground['broken'],
        ]);
        $this->enter('run_off', [], 'again')->assertUnprocessable();
        // The next one is read; its readings end it, and Bench has both as they were.
        $this->enter('run', self::HOLDS)->assertOk();
        $this->enter('as_found', array_diff_key(self::OUT, ['peak:0' => 0]))->assertUnprocessable()
            ->assertSee('Enter the highest turbine temperature');
        $this->enter('as_found', self::OUT)->assertOk();
        [$second, $first] = array_values(array_filter(
            (array) $this->as('mika', 'GET', 'bench/attempts?mark=QA-VFB')->json('rows'),
            fn(array $r): bool => $r['cardId'] === $this->card->id,
        ));
        self::assertSame(['Attempt 2 failed', 'Attempt 1 broken off'], [$second['word'], $first['word']]);
        self::assertStringContainsString('Propeller lever at its maximum stop', $second['said']);
        $was = $this->as('mika', 'GET', "bench/attempts/{$second['attemptId']}")->assertOk()->json();
        self::assertContains('Highest turbine temperature: 742 °C', $was['conditions']);
        self::assertContains('fire guard: Runa Vale (I04)', $was['conditions']);
        self::assertStringContainsString('73.1 °', $was['steps'][0]['lines'][0]);
        self::assertSame(2, $this->shown()['runs'][0]['ground']);
        self::assertSame(['Cautions read out, crew in place'], array_slice($this->shown()['runs'][0]['held'], 0, 1));
        self::assertContains(
            'Propeller rod moves nothing that is read with the engine running: set and read it before the next run.',
            $this->shown()['runs'][0]['notes'],
        );
        // Hot metal: nothing is turned before it has cooled down.
        $this->enter('turned', ['prop_rod' => '-2'])->assertUnprocessable()->assertSee('Cool down at idle until');
        $this->enter('run', self::HOLDS)->assertUnprocessable()->assertSee('Enter first what was turned');
        app(Clock::class)->start(Instant::fromEpoch(app(Clock::class)->now()->epoch() + 121));
        $this->enter('turned', ['prop_rod' => '-2', 'cam' => '-1.4'])->assertOk();
        // Whole serrations: what was entered is what the washer makes of it.
        self::assertEqualsWithDelta(-1.5, $this->shown()['runs'][0]['turned']['cam'], 1e-9);
        // While it goes on nothing is turned, and the sheet is not said not to apply.
        $this->enter('run', self::HOLDS)->assertOk();
        $this->enter('turned', ['prop_rod' => '-1'])->assertUnprocessable()->assertSee('A ground run goes on');
        $this->enter('not_applicable', [], 'no such lever')->assertUnprocessable()->assertSee('A ground run goes on');
        // Taken back in the middle of a run, the run is none.
        $first = $this->card->steps->where('no', '<', $this->no)->firstOrFail();
        $this->as('oda', 'POST', "cards/{$this->card->id}/steps/{$first->no}", [
            'version' => $this->card->refresh()->version, 'do' => 'take_back', 'note' => 'the wrong card',
        ])->assertOk();
        $states = TestAttempt::where('card_id', $this->card->id)->orderBy('id')->pluck('state')->all();
        self::assertSame('invalid', end($states)->value);
    }

    public function test_threads_bound_what_is_turned_and_what_is_typed_is_foretold(): void
    {
        $this->open('Q-502', 'VSK-27-61', 'odin');
        $step = $this->card->steps->where('no', $this->no)->firstOrFail();
        $found = [];
        foreach ($step->spec['requires'] as $must) {
            $found["holds:{$must['id']}"] = isset($must['min']) ? (string) (($must['min'] + $must['max']) / 2) : 'yes';
        }
        $found += ['neutral' => '1.6', 'up' => '25', 'down' => '15', 'tab' => '0'];
        $threads = static fn(string ...$n): array => array_combine(
            array_map(static fn(int $i): string => "threads:buckles:{$i}", array_keys($n)),
            $n,
        );
        $as = fn(string $do, array $entries): TestResponse => $this->as(
            'odin',
            'POST',
            "cards/{$this->card->id}/steps/{$this->no}",
            [
                'version' => $this->card->refresh()->version, 'do' => $do, 'entries' => $entries,
                'tool' => 'PR-07',
            ],
        );
        $as('as_found', $found)->assertUnprocessable()->assertSee('count how many threads show');
        $as('as_found', [...$found, ...$threads('1', '3', '2', '2')])->assertUnprocessable()->assertSee('Even them');
        $as('as_found', [...$found, ...$threads('1', '1', '2', '2')])->assertOk();
        $run = $this->as('odin', 'GET', "cards/{$this->card->id}")->json('steps')[$this->no - 1]['runs'][0];
        // One thread is left of the up cable: it is taken up by one turn, where more were better.
        $move = collect((array) $run['moves'])->firstWhere('adjuster', 'buckles');
        self::assertSame([1, 'ccw'], [$move['amount'], $move['direction']]);
        self::assertStringContainsString('outside probably stays: Elevator, stick at neutral', $run['sentence']);
        self::assertContains(
            'Both elevator buckles, equal and opposite then stands at its stop; further that way would be better.',
            $run['notes'],
        );
        $foretell = fn(array $entries): TestResponse => $this->as(
            'odin',
            'POST',
            "cards/{$this->card->id}/steps/{$this->no}/foretell",
            ['entries' => $entries],
        );
        $is = $foretell(['buckles' => '-1'])->assertOk()->json();
        self::assertSame([[1, 1, 2, 2], [0, 0, 3, 3], true], [
            $is['buckles'][0]['now'], $is['buckles'][0]['after'], $is['buckles'][0]['good'],
        ]);
        self::assertStringStartsWith(
            'Let out the down cable, take up the up cable, 1 each.',
            $is['buckles'][0]['said'],
        );
        self::assertFalse($is['good']);
        $nothing = $foretell([])->assertOk()->json();
        self::assertEqualsWithDelta(1.6, $nothing['next']['neutral'], 0.05);
        self::assertLessThan($nothing['next']['neutral'], $is['next']['neutral']);
        foreach (['foretell' => $foretell(['buckles' => '-2']), 'turned' => $as('turned', ['buckles' => '-2'])] as $r) {
            $r->assertUnprocessable()->assertSee('as far as its threads go');
        }
        // What was counted is on paper and in the files.
        $id = $step->id;
        self::assertSame(
            ['buckles' => [1, 1, 2, 2]],
            $this->as('ines', 'GET', "bench/riggings/{$id}/rigging.json")->assertOk()->json('rounds.0.threads_before'),
        );
        self::assertStringContainsString(
            'threads showing,"Both elevator buckles, equal and opposite, down cable",2,threads',
            (string) $this->as('ines', 'GET', "bench/riggings/{$id}/rigging.csv")->getContent(),
        );
        $this->as('ines', 'GET', "bench/riggings/{$id}/rigging.pdf")->assertOk();
        $foretell(['buckles' => 'two'])->assertUnprocessable()->assertSee('is no number');
        // Nobody foretells where nothing was read.
        $this->as('odin', 'POST', "cards/{$this->card->id}/steps/1/foretell", ['entries' => []])->assertNotFound();
    }
}
