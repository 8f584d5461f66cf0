<?php

declare(strict_types=1);

namespace Tests\Feature\Bench;

use App\Bench\Do\SimulatedRecorder;
use App\Bench\Model\Recorder;
use App\Bench\Model\Recording;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Floor\Model\Exceedance;
use App\Floor\Model\TestAttempt;
use App\Library\Model\CardTemplate;
use App\Shared\Clock;
use Illuminate\Testing\TestResponse;
use Jorvel\Core\Shared\Instant;
use Symfony\Component\HttpFoundation\Response;
use Tests\Feature\WalksCards;
use Tests\Feature\WorldCase;

/** What recorders took: checked, kept, judged, and what it goes beyond recorded at once. */
final class RecordingsTest extends WorldCase
{
    use WalksCards;

    protected function setUp(): void
    {
        parent::setUp();
        app(Clock::class)->start(Instant::parse('2026-05-05T08:20:00Z'));
    }

    /**
     * @param array<string, mixed> $more
     *
     * @return TestResponse<Response>
     */
    private function bring(
        string $path,
        string $mark,
        string $text,
        array $more = [],
        string $who = 'ivo',
    ): TestResponse {
        $type = Aircraft::where('mark', $mark)->valueOrFail('type_id');

        return $this->as($who, 'POST', "bench/recordings{$path}", [
            'mark' => $mark, 'recorder' => Recorder::where('type_id', $type)->valueOrFail('id'), 'name' => 'run 1',
            'begun' => '2026-05-05T07:00:00Z', 'text' => $text, ...$more,
        ]);
    }

    /** @param list<array{t: float, mode: string, swing: float}> $changes */
    private static function csv(string $code, array $changes, ?float $over = null, float $seconds = 200): string
    {
        return SimulatedRecorder::csv(
            Recorder::where('code', $code)->firstOrFail()->map(),
            3,
            $seconds,
            10,
            $changes,
            0.6,
            $over,
        );
    }

    public function test_what_is_wrong_with_a_file_is_named_by_line_and_nothing_is_kept(): void
    {
        $lines = explode("\n", trim(self::csv('ER-2', [])));
        $lines[4] = $lines[3];
        $lines[9] = str_replace(',A,', ',X,', $lines[9]);
        $lines[12] = preg_replace('/,[^,]*$/', ',warm', $lines[12]);
        $said = $this->bring('', 'Q-404', implode("\n", $lines))->assertStatus(422)->json();
        self::assertSame(['line 5', 'line 10, ECM', 'line 13, fuel_2'], array_column($said['lines'], 'line'));
        self::assertSame(0, Recording::count());
        self::assertStringContainsString('another type', (string) $this->bring('', 'Q-404', 'x', [
            'recorder' => Recorder::where('code', 'ER-7')->valueOrFail('id'),
        ])->assertStatus(422)->json('message'));
        $this->bring('', 'Q-404', self::csv('ER-2', []), ['begun' => 'noon'])->assertStatus(422);
        self::assertStringContainsString('to come', (string) $this->bring('', 'Q-404', self::csv('ER-2', []), [
            'begun' => '2026-05-05T08:19:00Z',
        ])->assertStatus(422)->json('message'));
    }

    public function test_every_time_beyond_a_limit_is_recorded_with_what_follows_and_once_only(): void
    {
        $before = Exceedance::count();
        $text = self::csv('ER-7', [], 60.0);
        $look = $this->bring('/look', 'QA-VFD', $text, who: 'mette')->assertOk()->json();
        self::assertCount(1, $look['beyond']);
        self::assertSame([60.0, 6.0], [round($look['beyond'][0]['from'], 1), round($look['beyond'][0]['seconds'], 1)]);
        self::assertStringContainsString('engine 1: turbine temperature', $look['beyond'][0]['said']);
        self::assertSame($before, Exceedance::count(), 'looked at, it records nothing');
        $view = $this->bring('', 'QA-VFD', $text, who: 'mette')->assertCreated()->json();
        self::assertStringContainsString('a limit was exceeded once', $view['sentence']);
        $new = Exceedance::orderByDesc('id')->firstOrFail();
        self::assertSame([$before + 1, 'recorder', 'engine 1', '2026-05-05T07:01:00Z'], [
            Exceedance::count(), $new->source, $new->position, (string) $new->happened_at,
        ]);
        self::assertNotNull($new->finding_id, 'its table names an inspection');
        self::assertStringContainsString('here already', (string) $this->bring('', 'QA-VFD', $text, who: 'mette')
            ->assertStatus(422)->json('message'));
        $samples = $this->as(
            'ines',
            'GET',
            "bench/recordings/{$view['id']}/samples?signals=temperature,temperature_2&from=0&to=200&many=100",
        )
            ->assertOk()->json();
        self::assertGreaterThan(790, max($samples['high']['temperature']), 'the peak is on the drawing');
        self::assertLessThan(720, max($samples['high']['temperature_2']));
        $this->as('ines', 'GET', 'bench/recordings')->assertOk()->assertJsonPath('recordings.0.look', 'stop');
        $this->artisan('jorvel:verify')->assertSuccessful();
    }

    /** A change-over check by both engines, up to where the speed is to settle, with a recording of its attempt. */
    private function changeOver(string $text, bool $gap = false): Card
    {
        CardTemplate::where('code', 'TRK-76-22')->firstOrFail()->update(['revision' => 7]);
        $card = $this->cardOf('Q-404', 'TRK-76-22', 'ivo');
        $this->as('ivo', 'POST', "cards/{$card->id}/lessons/read");
        $this->walkTo($card, 'ivo', 'hald', 'Speed of engine 1');
        $none = $this->act($card, 'ivo', 'Speed of engine 1', 'samples')->assertStatus(422)->json('message');
        self::assertStringContainsString('has no recording yet', (string) $none);
        $attempt = TestAttempt::where('card_id', $card->id)->firstOrFail();
        $this->bring('', 'Q-404', $text, ['attempt' => $attempt->id])->assertCreated();

        return $card;
    }

    public function test_a_recording_gives_the_steps_of_its_attempt_their_verdicts(): void
    {
        $card = $this->changeOver(self::csv('ER-2', [
            ['t' => 100.0, 'mode' => 'manual', 'swing' => -4.9], ['t' => 150.0, 'mode' => 'auto', 'swing' => 7.6],
        ]));
        $this->act($card, 'ivo', 'Speed of engine 1', 'samples')->assertOk();
        $this->act($card, 'ivo', 'Torque of engine 1', 'samples')->assertOk();
        $ref = $card->steps()->where('kind', 'reference')->orderBy('no')->firstOrFail()->result['reference'];
        self::assertEqualsWithDelta(37.4, $ref, 0.05);
        $first = $this->act($card, 'ivo', 'Engine 1 to manual', 'samples')->assertOk();
        self::assertTrue(self::settled($card, 'Engine 1 to manual'));
        $second = $this->act($card, 'ivo', 'Engine 1 back', 'samples')->assertOk()->json('steps');
        $results = array_column(
            array_filter((array) $second, static fn(array $s): bool => $s['kind'] === 'transition'),
            'result',
        );
        self::assertEqualsWithDelta([-4.9, 7.6], [$results[0]['excursion'], $results[1]['excursion']], 0.15);
        self::assertSame(['pass', 'fail'], [$results[0]['verdict'], $results[1]['verdict']]);
        $id = Recording::orderByDesc('id')->valueOrFail('id');
        $view = $this->as('ivo', 'GET', "bench/recordings/{$id}")->assertOk()->json();
        self::assertSame(['torque', 'the change-overs go beyond their limit.'], [
            $view['watched'], substr($view['sentence'], -39),
        ]);
        self::assertSame(['clear', 'stop'], array_column($view['changes'], 'look'));
        self::assertSame(['auto', 'manual', 'auto'], array_column($view['modes'], 'mode'));
    }

    public function test_a_recording_that_was_not_stable_or_has_a_gap_there_judges_nothing(): void
    {
        $lines = explode("\n", trim(self::csv('ER-2', [['t' => 100.0, 'mode' => 'manual', 'swing' => -4.9]])));
        // Nothing for four seconds, well inside the minute before the change.
        $card = $this->changeOver(implode("\n", [...array_slice($lines, 0, 801), ...array_slice($lines, 841)]));
        $this->act($card, 'ivo', 'Speed of engine 1', 'samples')->assertOk();
        $said = (string) $this->act($card, 'ivo', 'Torque of engine 1', 'samples')->assertStatus(422)->json('message');
        self::assertStringContainsString('a gap of 4.1 s', $said);
        self::assertStringContainsString('after line 801', $said);
        $view = $this->as('ivo', 'GET', 'bench/recordings/'.Recording::valueOrFail('id'))->assertOk()->json();
        self::assertSame([[], true], [$view['changes'], str_contains((string) $view['notJudged'], 'a gap of 4.1 s')]);
        $this->act($card, 'ivo', 'Torque of engine 1', 'read', ['entry' => '37.4'])->assertOk();
        $this->act($card, 'ivo', 'Engine 1 to manual', 'samples')->assertStatus(422);
        $this->act($card, 'ivo', 'Engine 1 to manual', 'watch', ['entries' => ['high' => '37.6', 'low' => '33.4']])
            ->assertOk();
    }

    public function test_how_a_recorder_is_read_is_put_down_once(): void
    {
        $recorder = Recorder::where('code', 'ER-2')->firstOrFail();
        $send = fn(mixed $map, int $version = 1): TestResponse => $this->as(
            'ines',
            'POST',
            "bench/recorders/{$recorder->id}",
            ['text' => is_string($map) ? $map : json_encode($map), 'version' => $version],
        );
        $send('{')->assertStatus(422);
        $bad = $recorder->mapping;
        $bad['signals'][2]['unit'] = 'furlong';
        self::assertStringStartsWith('Signals.2.unit', (string) $send($bad)->assertStatus(422)->json('message'));
        $map = $recorder->mapping;
        $map['time'] = ['column' => 'ms', 'base' => 'ms'];
        $send($map)->assertOk();
        $send($map)->assertStatus(409);
        $this->bring('', 'Q-404', SimulatedRecorder::csv($recorder->refresh()->map(), 3, 20, 10, []))->assertCreated();
        $csv = $this->as('ines', 'GET', "bench/recorders/{$recorder->id}/simulated.csv?seed=2")->assertOk()
            ->getContent();
        self::assertStringStartsWith('ms,ECM,Q1', (string) $csv);
    }
}
