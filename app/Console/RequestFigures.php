<?php

declare(strict_types=1);

namespace App\Console;

use App\Floor\Model\Card;
use App\Shared\Clock;
use Closure;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Database\Events\TransactionBeginning;
use Illuminate\Database\Events\TransactionCommitted;
use Illuminate\Database\Events\TransactionRolledBack;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Jorvel\Core\Shared\Instant;

/**
 * What each screen costs at the server: CPU and queries of every GET of the demo world and of the commonest POSTs, and
 * for how long each action holds the write lock. Medians; the CPU is the process's own, so that a busy machine tells
 * the same.
 *
 * @phpstan-import-type Figure from LargeFigures
 */
final class RequestFigures
{
    use OwnWorld;

    private const TIMES = 5;

    private int $queries = 0;

    private bool $asking = false;

    /** Transactions that are open, and when the outermost began, in ns. */
    private int $open = 0;

    private int $since = 0;

    private float $held = 0.0;

    /** @return iterable<Figure> CPU and queries */
    public function requests(): iterable
    {
        yield from $this->inWorld($this->screens(...));
    }

    /** @return iterable<Figure> ms for which the write lock is held, by action; a preview holds it for none */
    public function lock(): iterable
    {
        yield from $this->inWorld($this->actions(...));
    }

    /** @return iterable<Figure> */
    private function screens(): iterable
    {
        $all = [];
        foreach (self::gets() as $path) {
            $this->as('ines')->ask('GET', $path);
            $cost = [];
            for ($i = 0; $i < self::TIMES; $i++) {
                $cost[] = $this->cost(fn() => $this->ask('GET', $path));
            }
            $all[] = $ms = self::median(array_column($cost, 0));
            yield self::figure('requests', "GET {$path}, CPU", $ms, 'ms', 150.0);
            yield self::figure('requests', "GET {$path}, queries", (float) $this->queries, '', null);
        }
        yield self::figure('requests', 'mean over all GETs, CPU', array_sum($all) / count($all), 'ms', 30.0);
        foreach ($this->posts() as $name => $do) {
            [$ms] = $this->cost($do);
            yield self::figure('requests', "{$name}, CPU", $ms, 'ms', null);
            yield self::figure('requests', "{$name}, queries", (float) $this->queries, '', null);
        }
    }

    /** @return iterable<Figure> */
    private function actions(): iterable
    {
        foreach ($this->posts() as $name => $do) {
            $this->held = 0.0;
            $do();
            yield self::figure('lock', "{$name}, holds the lock", $this->held, 'ms', 50.0);
        }
    }

    /** @return list<string> */
    private static function gets(): array
    {
        $card = Card::where(['title' => 'Gear extension by hand pump', 'state' => Card::IN_WORK])->valueOrFail('id');

        return [
            'me', 'moment', 'fleet', 'fleet/QA-VFA', 'fleet/QA-VFB/history', 'due', 'stagger', 'bottles', 'components',
            'calendar-links', 'visits', 'visits/1', 'visits/1/board',
            'visits/1/window', 'visits/1/progress', 'season?days=30', 'bays', 'phases?type=OLN&phases=3',
            'crew', 'people/2', 'crew/shift', 'floor', 'cards/1',
            "cards/{$card}", 'findings/6', 'registers', 'registers/QC-TAC', 'bench', 'deferrals', 'release',
            'release/1', 'library', 'library/manuals/BM-TRK', 'stores',
            'parts/JV-2914-02', 'tools/CT-03',
        ];
    }

    /** @return iterable<string, Closure(): mixed> in their order, each once */
    private function posts(): iterable
    {
        $card = Card::where(['title' => 'Gear extension by hand pump', 'state' => Card::IN_WORK])->valueOrFail('id');
        DB::table('presences')->delete();
        DB::table('safing_devices')->update(['removed_at' => '2026-05-05T12:00:00Z']);
        $step = fn(int $no, array $body) => $this->as('oda')
            ->ask(
                'POST',
                "cards/{$card}/steps/{$no}",
                ['version' => Card::whereKey($card)->value('version'), ...$body],
            );
        yield 'a step: count' => fn() => $step(8, ['do' => 'count', 'entry' => '50']);
        yield 'a step: two readings compared' => fn() => $step(
            9,
            ['do' => 'compare', 'entries' => ['shown' => '92', 'real' => '91'], 'tool' => 'PG-28'],
        );
        yield 'a step: begun' => fn() => $step(10, ['do' => 'start']);
        $moved = Card::where(['visit_id' => 1, 'state' => Card::OPEN])->orderBy('planned_start')->valueOrFail('id');
        $version = static fn(): int => (int) DB::table('visit_plans')->where('visit_id', 1)->value('version');
        yield 'a move, previewed' => fn() => $this->as('ines')
            ->ask(
                'POST',
                'visits/1/board/move',
                ['card' => $moved, 'slot' => 40, 'version' => $version(), 'save' => false],
            );
        yield 'a slip' => fn() => $this->as('ines')->ask('GET', "visits/1/cards/{$moved}/slip");
        yield 'a move, saved' => fn() => $this->as('ines')
            ->ask(
                'POST',
                'visits/1/board/move',
                ['card' => $moved, 'slot' => 40, 'version' => $version(), 'save' => true],
            );
        yield 'a day\'s flying' => fn() => $this->as('ines')
            ->ask(
                'POST',
                'fleet/QA-VFC/flying',
                ['date' => '2026-05-04', 'flown' => ['fh' => '5.5', 'ldg' => '4'], 'sure' => true],
            );
        yield 'a finding raised' => fn() => $this->as('oda')
            ->ask(
                'POST',
                'cards/1/findings',
                [
                    'place' => 'left wheel well',
                    'extent' => 'hose chafed, 20 mm',
                    'severity' => 'minor',
                    'chapter' => '29-10',
                ],
            );
    }

    /**
     * @param Closure(): iterable<Figure> $measure
     *
     * @return list<Figure>
     */
    private function inWorld(Closure $measure): array
    {
        return $this->inOwnWorld(function () use ($measure): array {
            app(Clock::class)->start(Instant::parse((string) config('jorvel.demo_now')));
            $this->listen();

            return iterator_to_array($measure(), false);
        });
    }

    private function listen(): void
    {
        // Not those that find who asks and the version that they saw.
        Event::listen(QueryExecuted::class, function (): void {
            $this->queries += $this->asking ? 1 : 0;
        });
        Event::listen(TransactionBeginning::class, function (): void {
            $this->since = $this->open++ === 0 ? hrtime(true) : $this->since;
        });
        Event::listen([TransactionCommitted::class, TransactionRolledBack::class], function (): void {
            $this->held += --$this->open === 0 ? (hrtime(true) - $this->since) / 1e6 : 0.0;
        });
    }

    /**
     * @param callable(): mixed $do
     *
     * @return array{float} ms of CPU
     */
    private function cost(callable $do): array
    {
        $this->queries = 0;
        $from = self::cpu();
        $do();

        return [self::cpu() - $from];
    }

    private static function cpu(): float
    {
        $of = getrusage() ?: [];

        return 1e3 * ($of['ru_utime.tv_sec'] + $of['ru_stime.tv_sec'])
            + 1e-3 * ($of['ru_utime.tv_usec'] + $of['ru_stime.tv_usec']);
    }

    private function as(string $login): self
    {
        Inside::as($login);

        return $this;
    }

    /** @param array<string, mixed> $body */
    private function ask(string $method, string $path, array $body = []): void
    {
        $this->asking = true;
        $response = Inside::ask($method, $path, $body);
        $this->asking = false;
        if ($response->getStatusCode() >= 300) {
            throw new \RuntimeException("{$path} answered {$response->getStatusCode()}: {$response->getContent()}");
        }
    }

    /** @param list<float> $of */
    private static function median(array $of): float
    {
        sort($of);

        return $of[intdiv(count($of), 2)];
    }

    /** @return Figure */
    private static function figure(string $bench, string $metric, float $value, string $unit, ?float $aim): array
    {
        return [
            'bench' => $bench,
            'metric' => $metric,
            'value' => $value,
            'unit' => $unit,
            'aim' => $aim,
            'more' => false,
        ];
    }
}
