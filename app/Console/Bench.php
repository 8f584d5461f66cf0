<?php

declare(strict_types=1);

namespace App\Console;

use App\Crew\Model\Person;
use Illuminate\Console\Command;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\Auth;
use Jorvel\Core\Fleet\Allowance;
use Jorvel\Core\Fleet\Due;
use Jorvel\Core\Fleet\DueItem;
use Jorvel\Core\Fleet\DueLimit;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\LastDone;
use Jorvel\Core\Fleet\Rebase;
use Jorvel\Core\Fleet\Rule;
use Jorvel\Core\Shared\Day;

/**
 * Prints the figures, one JSON line each: `{"bench","metric","value","unit","aim","met"}`. Each is measured here and
 * now.
 */
final class Bench extends Command
{
    protected $signature = 'jorvel:bench '
        .'{name? : due, fleet, page, plan, season, floor, requests, lock, safety, large, deferrals, tests, rig, '
        .'screen; else all but safety} '
        .'{--acts=100000 : how many acts safety is to try} '
        .'{--from=1 : the world with which safety begins, so that several machines may share the acts} '
        .'{--as-is : with the settings PHP was started with}';

    protected $description = 'Measure and print the figures';

    public function handle(): int
    {
        if (! $this->option('as-is')) {
            return $this->compiled();
        }
        $benches = [
            'due' => $this->due(...),
            'fleet' => $this->fleet(...),
            'page' => $this->page(...),
            'plan' => fn() => $this->all(app(PlanFigures::class)->measure()),
            'season' => function (): void {
                $this->all(app(SeasonRoomFigures::class)->measure());
                $this->all(app(SeasonFigures::class)->measure());
            },
            'floor' => fn() => $this->all(app(FloorFigures::class)->measure()),
            'requests' => fn() => $this->all(app(RequestFigures::class)->requests()),
            'lock' => fn() => $this->all(app(RequestFigures::class)->lock()),
            'safety' => fn() => $this->all(app(SafetyFigures::class)->measure(
                max(1, (int) $this->option('acts')),
                max(1, (int) $this->option('from')),
                $this->error(...),
                fn(string $far) => $this->output->getErrorStyle()->writeln($far),
            )),
            'large' => fn() => $this->all(app(LargeFigures::class)->measure()),
            'deferrals' => fn() => $this->all(app(DeferralFigures::class)->measure()),
            'tests' => fn() => $this->all(app(TestFigures::class)->measure()),
            'rig' => function (): void {
                $this->all(app(RigFigures::class)->measure());
                $this->all(app(RigScreenFigures::class)->measure());
            },
            'screen' => fn() => $this->all(app(ScreenFigures::class)->measure()),
        ];
        $name = $this->argument('name');
        if ($name !== null && ! isset($benches[$name])) {
            $this->error('There is no bench "'.$name.'"; use one of '.implode(', ', array_keys($benches)).'.');

            return self::INVALID;
        }
        foreach ($name === null ? Arr::except($benches, 'safety') : [$benches[$name]] as $bench) {
            $bench();
        }

        return self::SUCCESS;
    }

    /** Runs itself again with PHP's compiler on, as a long-running process would have it. */
    private function compiled(): int
    {
        $name = $this->argument('name');
        $process = proc_open([
            PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M',
            '-d', 'memory_limit=1G', '-d', 'pcov.enabled=0',
            base_path('artisan'), 'jorvel:bench', ...($name === null ? [] : [(string) $name]),
            '--acts='.$this->option('acts'), '--from='.$this->option('from'), '--as-is',
        ], [STDIN, STDOUT, STDERR], $pipes, null, [
            ...getenv(),
            // What counts requests is not of the aircraft: the days at chance are judged from the tables without it.
            ...($name === 'safety' ? ['CACHE_STORE' => 'array'] : []),
        ]);

        return $process === false ? self::FAILURE : proc_close($process);
    }

    /**
     * Items of one to three limits, hours, landings and months, done and never done, both schools; the median of nine
     * rounds.
     */
    private function due(): void
    {
        mt_srand(7);
        $flying = Flying::of(
            Day::parse('2026-05-04'),
            ['fh' => 10_500.0, 'ldg' => 9_100.0],
            ['fh' => 5.5, 'ldg' => 4.1],
            [],
            Day::parse('2016-03-12'),
        );
        $items = [];
        for ($i = 0; $i < 20_000; $i++) {
            $limits = [DueLimit::of('fh', mt_rand(1, 12) * 100, null, Allowance::of(null, 5, 20))];
            if ($i % 2 === 0) {
                $limits[] = DueLimit::of('months', mt_rand(3, 36), null, Allowance::of(15, null, null));
            }
            if ($i % 5 === 0) {
                $limits[] = DueLimit::of('ldg', mt_rand(200, 900));
            }
            $done = Day::parse('2026-05-04')->plusDays(-mt_rand(1, 300));
            $last = $i % 7 === 0 ? null : LastDone::on(
                $done,
                ['fh' => 10_500.0 - mt_rand(1, 900), 'ldg' => 9_100.0 - mt_rand(1, 700)],
                ['fh' => 10_400.0 - mt_rand(1, 900)],
            );
            $items[] = DueItem::of(Rule::First, $i % 3 === 0 ? Rebase::Actual : Rebase::Planned, $limits, $last);
        }
        $rates = [];
        for ($round = 0; $round < 9; $round++) {
            $from = hrtime(true);
            foreach ($items as $item) {
                Due::of($flying, $item);
            }
            $rates[] = count($items) / ((hrtime(true) - $from) / 1e9);
        }
        $this->figure('due', 'items computed per second, one core', self::median($rates), '1/s', 200_000, true);
    }

    /** The Fleet request through the whole framework with this database, warm; the median of 41. */
    private function fleet(): void
    {
        Auth::login(Person::where('role', 'viewer')->firstOrFail());
        $kernel = app(Kernel::class);
        $times = [];
        for ($i = 0; $i < 46; $i++) {
            $from = hrtime(true);
            $response = $kernel->handle(Request::create(
                '/api/fleet',
                'GET',
                [],
                [],
                [],
                ['HTTP_ACCEPT' => 'application/json'],
            ));
            if ($response->getStatusCode() !== 200) {
                throw new \RuntimeException("the Fleet request was answered with {$response->getStatusCode()}");
            }
            $times[] = (hrtime(true) - $from) / 1e6;
        }
        $this->figure('fleet', 'Fleet request, median', self::median(array_slice($times, 5)), 'ms', 60, false);
    }

    /**
     * All the JavaScript that the first page after signing in loads, gzipped as served: the entry, the room Fleet, and
     * what they import.
     */
    private function page(): void
    {
        $manifest = json_decode(
            (string) file_get_contents(public_path('build/manifest.json')),
            true,
            512,
            JSON_THROW_ON_ERROR,
        );
        $wanted = ['resources/ui/main.tsx', 'resources/ui/rooms/fleet/Fleet.tsx'];
        $files = [];
        for ($i = 0; $i < count($wanted); $i++) {
            $chunk = $manifest[$wanted[$i]];
            if (! isset($files[$chunk['file']])) {
                $files[$chunk['file']] = strlen((string) gzencode(
                    (string) file_get_contents(public_path('build/'.$chunk['file'])),
                    9,
                ));
                array_push($wanted, ...($chunk['imports'] ?? []));
            }
        }
        $this->figure('page', 'first page\'s JavaScript, gzipped', array_sum($files) / 1000, 'kB', 180, false);
    }

    /**
     * @param iterable<array{
     *   bench: string, metric: string, value: float, unit: string, aim: float|null, more: bool,
     * }> $figures
     */
    private function all(iterable $figures): void
    {
        foreach ($figures as $f) {
            $this->figure($f['bench'], $f['metric'], $f['value'], $f['unit'], $f['aim'], $f['more']);
        }
    }

    private function figure(string $bench, string $metric, float $value, string $unit, ?float $aim, bool $more): void
    {
        $this->line((string) json_encode([
            'bench' => $bench, 'metric' => $metric, 'value' => round($value, $unit === 'ratio' ? 2 : 1),
            'unit' => $unit,
            ...($aim === null ? [] : ['aim' => $aim, 'met' => $more ? $value >= $aim : $value < $aim]),
        ], JSON_UNESCAPED_SLASHES));
    }

    /** @param non-empty-list<float> $values */
    private static function median(array $values): float
    {
        sort($values);

        return $values[intdiv(count($values), 2)];
    }
}
