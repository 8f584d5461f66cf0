<?php

declare(strict_types=1);

namespace App\Console;

use App\Bench\Do\NewRecording;
use App\Bench\Do\Recordings;
use App\Bench\Do\SimulatedRecorder;
use App\Bench\Model\Recorder;
use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Floor\Model\Step;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Bench\Response;
use Jorvel\Core\Bench\Steadiness;
use Jorvel\Core\Practice\SimulatedRun;
use Jorvel\Core\Shared\Instant;
use RuntimeException;

/**
 * The figures of functional tests, in a demo world of its own: an hour of recording at 20 Hz with twelve signals judged
 * and opened, a sheet of sixty points, a trend of ten thousand readings.
 *
 * @phpstan-import-type Figure from LargeFigures
 */
final readonly class TestFigures
{
    use OwnWorld;

    private const POINTS = 60;

    private const READINGS = 10_000;

    private const CHANGES = [
        ['t' => 900.0, 'mode' => 'manual', 'swing' => 2.5], ['t' => 1500.0, 'mode' => 'auto', 'swing' => -2.0],
        ['t' => 2400.0, 'mode' => 'manual', 'swing' => 3.0], ['t' => 3000.0, 'mode' => 'auto', 'swing' => -2.5],
    ];

    /** @return iterable<Figure> */
    public function measure(): iterable
    {
        [$samples, $modes] = SimulatedRun::of(3600.0, 20.0, self::CHANGES, 15);
        yield self::figure(
            'response over '.number_format($samples->count()).' samples × '.count($samples->names()).', median of nine',
            Timing::median(static fn(): Response => Response::of(
                $samples,
                $modes,
                'torque',
                'torque_2',
                Steadiness::of('speed', 96.0, 1.0, 20.0),
                10.0,
                5.0,
                3.0,
            ), 9),
            300.0,
        );
        yield from $this->inOwnWorld(fn(): array => iterator_to_array($this->answers(), false));
    }

    /** @return iterable<Figure> */
    private function answers(): iterable
    {
        Inside::as('ines');
        $hour = self::hour();
        yield self::figure('an hour of it checked and kept, once', self::once(static function () use ($hour): void {
            app(Recordings::class)->save(Person::where('login', 'ines')->firstOrFail(), $hour);
        }), null);
        $id = (int) DB::table('recordings')->max('id');
        yield self::figure('that hour opened and drawn at the server, median of nine', Timing::median(
            static function () use ($id): void {
                self::ask("bench/recordings/{$id}");
                self::ask("bench/recordings/{$id}/samples?signals=torque,torque_2,speed&from=0&to=3600&many=900");
            },
            9,
        ), 1000.0);
        $card = self::sheet();
        yield self::figure('opening a sheet of 60 points, with what each read before, median of 15', Timing::median(
            static function () use ($card): void {
                self::ask("cards/{$card}");
                self::ask("cards/{$card}/steps/1/beside");
            },
            15,
        ), 150.0);
        $reading = self::trend($card);
        yield self::figure('a trend of 10,000 readings, median of 15', Timing::median(
            static fn() => self::ask("bench/trends/{$reading}"),
            15,
        ), 150.0);
        yield self::figure(
            'Bench with them, median of 15',
            Timing::median(static fn() => self::ask('bench'), 15),
            null,
        );
    }

    private static function hour(): NewRecording
    {
        $recorder = Recorder::orderBy('id')->firstOrFail();

        return new NewRecording(
            Aircraft::where('type_id', $recorder->type_id)->orderBy('id')->firstOrFail(),
            $recorder,
            'an hour',
            Instant::parse('2026-05-04T08:00:00Z'),
            SimulatedRecorder::csv($recorder->map(), 15, 3600.0, 20.0, self::CHANGES),
            null,
        );
    }

    /** A card of one sheet, beside two years of the same one. */
    private static function sheet(): int
    {
        $like = Card::where('number', '001-01')->firstOrFail();
        $spec = ['points' => array_map(static fn(int $n): array => [
            'id' => "p{$n}", 'place' => "place {$n}", 'unit' => 'mm',
            'limit' => ['kind' => 'range', 'unit' => 'mm', 'min' => 10, 'max' => 14],
        ], range(1, self::POINTS))];
        $last = 0;
        for ($n = 0; $n <= 24; $n++) {
            $card = Card::create([
                ...$like->only([
                    'visit_id', 'aircraft_id', 'template_id', 'title', 'revision', 'skill', 'hours', 'zone',
                    'independent_inspection', 'stage',
                ]),
                'number' => "S{$n}", 'state' => $n === 24 ? Card::OPEN : Card::CLOSED, 'version' => 1, 'systems' => [],
                'covers' => [], 'panels' => [], 'tools' => [],
            ]);
            $step = Step::create([
                'card_id' => $card->id, 'no' => 1, 'kind' => 'sheet', 'title' => 'Sixty places', 'text' => 'Each.',
                'spec' => $spec, 'state' => $n === 24 ? Step::OPEN : Step::DONE,
            ]);
            $n === 24 || self::read($step, array_column($spec['points'], 'id'), $n);
            $last = $card->id;
        }

        return $last;
    }

    /** Ten thousand more of its first place, a day apart; the last of them. */
    private static function trend(int $card): int
    {
        $step = Step::whereHas('card', static fn($q) => $q->where('number', 'S0'))->firstOrFail();
        $from = Instant::parse('2026-05-01T00:00:00Z')->epoch();
        foreach (array_chunk(range(1, self::READINGS), 400) as $some) {
            DB::table('readings')->insert(array_map(static fn(int $n): array => self::row(
                $step,
                'p1',
                12 + 0.3 * sin($n) + $n / 50_000,
                Instant::fromEpoch($from - 3600 * 2 * (self::READINGS - $n)),
            ), $some));
        }

        return (int) DB::table('readings')->max('id');
    }

    /** @param list<string> $points */
    private static function read(Step $step, array $points, int $n): void
    {
        $at = Instant::parse('2024-05-01T10:00:00Z')->epoch() + 30 * 86_400 * $n;
        DB::table('readings')->insert(array_map(static fn(string $p): array => self::row(
            $step,
            $p,
            12 + 0.2 * sin($n),
            Instant::fromEpoch($at),
        ), $points));
    }

    /** @return array<string, mixed> */
    private static function row(Step $step, string $point, float $value, Instant $at): array
    {
        return [
            'step_id' => $step->id, 'card_id' => $step->card_id, 'person_id' => 2, 'point' => $point,
            'kind' => 'reading', 'run' => 1, 'value' => $value, 'unit' => 'mm', 'verdict' => 'pass', 'reasons' => '[]',
            'at' => (string) $at, 'stands' => true,
        ];
    }

    private static function ask(string $path): void
    {
        $response = Inside::ask('GET', $path);
        if ($response->getStatusCode() !== 200) {
            throw new RuntimeException(
                "{$path} was answered with {$response->getStatusCode()}: ".$response->getContent(),
            );
        }
    }

    private static function once(callable $do): float
    {
        $from = hrtime(true);
        $do();

        return round((hrtime(true) - $from) / 1e6, 1);
    }

    /** @return Figure */
    private static function figure(string $metric, float $value, ?float $aim): array
    {
        return [
            'bench' => 'tests', 'metric' => $metric, 'value' => $value, 'unit' => 'ms', 'aim' => $aim, 'more' => false,
        ];
    }
}
