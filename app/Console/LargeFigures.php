<?php

declare(strict_types=1);

namespace App\Console;

use App\Crew\Model\Person;
use App\Fleet\Do\FlyingLog;
use App\Fleet\Model\Aircraft;
use App\Fleet\Show\DueSheets;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Fleet\Allowance;
use Jorvel\Core\Fleet\Due;
use Jorvel\Core\Fleet\DueItem;
use Jorvel\Core\Fleet\DueLimit;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\LastDone;
use Jorvel\Core\Fleet\Rebase;
use Jorvel\Core\Fleet\Rule;
use Jorvel\Core\Shared\Day;
use RuntimeException;

/**
 * The figures of the large world: made anew in a file of its own (200 aircraft, 400 items each, three years, seed 7),
 * measured, cut down to 100, 50 and 20 aircraft for the growth, and removed.
 *
 * @phpstan-type Figure array{bench: string, metric: string, value: float, unit: string, aim: float|null, more: bool}
 */
final readonly class LargeFigures
{
    private const SIZES = [200, 100, 50, 20];

    /** @return iterable<Figure> */
    public function measure(): iterable
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'jorvel-bench');
        try {
            Artisan::call('jorvel:world', ['name' => 'large', '--seed' => 7, '--database' => $file]);
            yield from $this->figures();
        } finally {
            app('db')->purge();
            array_map(unlink(...), glob("{$file}*") ?: []);
        }
    }

    /** @return iterable<Figure> */
    private function figures(): iterable
    {
        yield self::figure(
            'Fleet request, 200 aircraft, 95th percentile',
            self::part($this->requests('/api/fleet', 100), 0.95),
            'ms',
            150,
        );
        yield self::figure(
            'due list of 30 days, 200 aircraft, median',
            self::part($this->requests('/api/due?days=30', 9), 0.5),
            'ms',
            null,
        );
        yield self::figure(
            'one aircraft\'s flying entered and its 400 dates right, median',
            self::part($this->oneAircraft(), 0.5),
            'ms',
            50,
        );
        $each = [];
        foreach (self::SIZES as $size) {
            $this->cutTo($size);
            $ms = self::part($this->recomputes(), 0.5);
            $each[$size] = $ms * 1000 / (400 * $size);
            yield self::figure(
                "whole fleet from rows to kept dates, {$size} aircraft, ".number_format(400 * $size).' items, median',
                $ms,
                'ms',
                $size === 200 ? 1000 : null,
            );
        }
        yield self::figure(
            'an item from its row to its kept date, over the core alone',
            $each[200] / $this->coreAlone(),
            'ratio',
            null,
        );
        yield self::figure(
            'growth: time an item at 200 aircraft over that at 20',
            $each[200] / $each[20],
            'ratio',
            1.5,
        );
    }

    /** @return non-empty-list<float> milliseconds, warm */
    private function requests(string $path, int $times): array
    {
        Auth::guard('web')->setUser(Person::where('role', 'viewer')->firstOrFail());
        $kernel = app(Kernel::class);
        $ms = [];
        for ($i = -3; $i < $times; $i++) {
            $from = hrtime(true);
            $response = $kernel->handle(Request::create(
                $path,
                'GET',
                [],
                [],
                [],
                ['HTTP_ACCEPT' => 'application/json'],
            ));
            if ($response->getStatusCode() !== 200) {
                throw new RuntimeException("{$path} was answered with {$response->getStatusCode()}");
            }
            if ($i >= 0) {
                $ms[] = (hrtime(true) - $from) / 1e6;
            }
        }

        return $ms === [] ? throw new RuntimeException('nothing was measured') : $ms;
    }

    /** @return non-empty-list<float> from the entry to the moment the fleet's answer has the new dates */
    private function oneAircraft(): array
    {
        $by = Person::where('role', 'controller')->firstOrFail();
        $ms = [];
        foreach (Aircraft::orderBy('mark')->limit(25)->get() as $craft) {
            DB::table('aircraft')->where('id', $craft->id)
                ->update(['counters_as_of' => (string) $craft->counters_as_of->plusDays(-1)]);
            DB::table('flying_entries')->where('aircraft_id', $craft->id)
                ->where('date', $craft->counters_as_of)
                ->update(['current' => false]);
            app(DueSheets::class)->all('head');
            $from = hrtime(true);
            app(FlyingLog::class)->enter($by, $craft->mark, $craft->counters_as_of, ['fh' => '3.2', 'ldg' => '2']);
            app(DueSheets::class)->all('head');
            $ms[] = (hrtime(true) - $from) / 1e6;
        }

        return $ms === [] ? throw new RuntimeException('the large world is empty') : $ms;
    }

    private function cutTo(int $size): void
    {
        DB::statement('pragma foreign_keys = off');
        DB::delete(
            'delete from item_statuses where aircraft_id > ? or component_id in (select component_id from tenures '
                .'where aircraft_id > ?)',
            [$size, $size],
        );
        foreach ([
            'tenures' => 'aircraft_id',
            'item_doings' => 'aircraft_id',
            'flying_entries' => 'aircraft_id',
            'aircraft' => 'id',
        ] as $table => $column) {
            DB::table($table)->where($column, '>', $size)->delete();
        }
    }

    /** @return non-empty-list<float> milliseconds for reading all rows, computing every date and keeping the sheets */
    private function recomputes(): array
    {
        $ms = [];
        for ($i = 0; $i < 7; $i++) {
            DB::table('due_sheets')->delete();
            $sheets = app(DueSheets::class);
            $from = hrtime(true);
            $sheets->all('head');
            $ms[] = (hrtime(true) - $from) / 1e6;
        }

        return $ms;
    }

    /**
     * Microseconds the core takes for an item of one limit of hours and one of months, in the same minute: the
     * machine's speed varies.
     */
    private function coreAlone(): float
    {
        $flying = Flying::of(Day::parse('2026-05-04'), ['fh' => 10_500.0], ['fh' => 5.5], [], Day::parse('2016-03-12'));
        $item = DueItem::of(
            Rule::First,
            Rebase::Planned,
            [DueLimit::of('fh', 600, null, Allowance::of(null, 5, 20)), DueLimit::of('months', 18)],
        );
        $last = LastDone::on(Day::parse('2026-01-04'), ['fh' => 10_100.0]);
        $each = [];
        for ($round = 0; $round < 9; $round++) {
            $from = hrtime(true);
            for ($i = 0; $i < 10_000; $i++) {
                Due::since($flying, $item, $last);
            }
            $each[] = (hrtime(true) - $from) / 1e3 / 10_000;
        }

        return self::part($each, 0.5);
    }

    /** @param non-empty-list<float> $values */
    private static function part(array $values, float $part): float
    {
        sort($values);

        return $values[(int) min(count($values) - 1, floor(count($values) * $part))];
    }

    /** @return Figure */
    private static function figure(string $metric, float $value, string $unit, ?float $aim): array
    {
        return [
            'bench' => 'large',
            'metric' => $metric,
            'value' => $value,
            'unit' => $unit,
            'aim' => $aim,
            'more' => false,
        ];
    }
}
