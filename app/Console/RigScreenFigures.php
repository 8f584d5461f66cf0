<?php

declare(strict_types=1);

namespace App\Console;

use App\Bench\Do\RigPrior;
use App\Bench\Model\RigRun;
use App\Bench\Show\ShowRiggings;
use App\Floor\Model\Step;
use App\Shared\Clock;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Bench\Rigging\MeasuredRun;
use Jorvel\Core\Bench\Rigging\RigModel;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Deadline;
use RuntimeException;
use Tests\Browser\Stage;
use Tests\Browser\Visitor;

/**
 * A rigging of 16 points, 10 adjusters and 6 runs: how long its answer takes, and how soon its drawing follows a key.
 * It is written into a copy of the database that is being served.
 *
 * @phpstan-import-type Figure from LargeFigures
 */
final readonly class RigScreenFigures
{
    private const POINTS = 16;

    private const ADJUSTERS = 10;

    private const RUNS = 6;

    /** @return iterable<Figure> */
    public function measure(): iterable
    {
        yield from CopiedWorld::during($this->figures(...));
    }

    /** @return iterable<Figure> */
    private function figures(string $file): iterable
    {
        $step = $this->written();
        $open = static fn(): string => (string) json_encode(app(ShowRiggings::class)->one(
            Step::with(['card.aircraft', 'card.template.manual', 'runs'])->findOrFail($step),
        ));
        yield self::figure(
            'a rigging of 16 points, 10 adjusters, 6 runs opened, median of nine',
            Timing::median($open, 9),
            150.0,
        );
        yield self::figure(
            'its drawing redrawn after a key, 95th percentile of 20',
            $this->redrawn($file, $step),
            50.0,
        );
    }

    /** The step that the rigging is written to. */
    private function written(): int
    {
        $step = Step::with('card.template')->where('kind', 'rig')->orderByDesc('id')->firstOrFail();
        $chance = Chance::seeded(3);
        $points = $adjusters = $effects = $parts = [];
        for ($i = 0; $i < self::POINTS; $i++) {
            $points[] = ['id' => "p{$i}", 'title' => "Point {$i}", 'unit' => 'deg', 'min' => 20, 'max' => 22];
            $parts[] = [
                'kind' => 'lever', 'id' => "l{$i}", 'at' => [60 + 150 * ($i % 8), 150 + 220 * intdiv($i, 8)],
                'length' => 90, 'point' => "p{$i}",
            ];
        }
        for ($j = 0; $j < self::ADJUSTERS; $j++) {
            $adjusters[] = [
                'id' => "s{$j}", 'title' => "Screw {$j}", 'unit' => 'turns', 'step' => 0.25, 'min' => -6, 'max' => 6,
                'positive' => 'cw',
            ];
            $parts[] = ['kind' => 'rod', 'from' => [40 + 120 * $j, 40], 'to' => "l{$j}", 'adjuster' => "s{$j}"];
            for ($i = 0; $i < self::POINTS; $i++) {
                $effects["s{$j}"]["p{$i}"] = round(
                    ($i % self::ADJUSTERS === $j ? 1.0 : 0.1) * (1 + $chance->normal() / 5),
                    3,
                );
            }
        }
        $spec = [
            'tool_kind' => 'protractor', 'points' => $points, 'adjusters' => $adjusters, 'effects' => $effects,
            'drawing' => ['width' => 1260, 'height' => 480, 'parts' => $parts],
        ];
        $step->update(['spec' => $spec]);
        $step->runs()->delete();
        $model = RigModel::from($spec);
        $prior = app(RigPrior::class)->of($step, $model);
        $measured = [];
        for ($no = 1; $no <= self::RUNS; $no++) {
            $read = array_combine(array_column($points, 'id'), array_map(
                static fn(): float => round(21 + $chance->normal() * 3 / $no, 1),
                $points,
            ));
            $turned = array_combine(
                array_column($adjusters, 'id'),
                array_map(static fn(): float => 0.25 * $chance->below(5), $adjusters),
            );
            $result = $model->next([...$measured, new MeasuredRun($read)], Deadline::in(300));
            RigRun::create([
                'step_id' => $step->id, 'no' => $no, 'ground' => $no, 'as_found' => $read, 'turned' => $turned,
                'solution' => $result->toArray(), 'prior' => $no === 1 ? $prior : null,
                'as_left' => $no < self::RUNS ? $read : null, 'read_at' => (string) app(Clock::class)->now(),
            ]);
            $measured[] = new MeasuredRun($read, $turned);
        }

        return $step->id;
    }

    /** From a key that steps through the replay to the frame that shows its drawing, ms. */
    private function redrawn(string $file, int $step): float
    {
        if (! class_exists(Stage::class)) {
            throw new RuntimeException('The drawing is measured with the test libraries, and they are not installed.');
        }
        DB::statement('pragma wal_checkpoint(truncate)');
        $stage = Stage::open($file);
        try {
            $visitor = (new Visitor($stage->browser(), $stage->url))->signIn('mika');
            $visitor->go("/bench/rigging/{$step}")->find('[data-testid="linkage"]');
            $took = array_map(floatval(...), $visitor->browser->executeAsyncScript(<<<'JS'
                const done = arguments[0], times = [];
                const shown = () => document.querySelector('[data-testid="linkage"]').getAttribute('aria-label');
                const press = n => {
                    if (n === 20) return done(times);
                    const was = shown(), from = performance.now();
                    dispatchEvent(
                        new KeyboardEvent('keydown', { key: n % 10 < 5 ? 'ArrowLeft' : 'ArrowRight', bubbles: true }),
                    );
                    const look = () => shown() === was && performance.now() - from < 2000
                        ? requestAnimationFrame(look)
                        : requestAnimationFrame(
                            () => { times.push(performance.now() - from); setTimeout(() => press(n + 1), 30); },
                        );
                    look();
                };
                press(0);
                JS));
            sort($took);

            return round($took[18] ?? throw new RuntimeException('nothing was redrawn'), 1);
        } finally {
            $stage->close();
        }
    }

    /** @return Figure */
    private static function figure(string $metric, float $value, float $aim): array
    {
        return [
            'bench' => 'rig', 'metric' => $metric, 'value' => $value, 'unit' => 'ms', 'aim' => $aim, 'more' => false,
        ];
    }
}
