<?php

declare(strict_types=1);

namespace App\Console;

use Database\Demo\LargeWorld;
use Illuminate\Console\Command;

/** Makes a generated world in a database file of its own. */
final class MakeWorld extends Command
{
    protected $signature = 'jorvel:world {name : large} {--seed=7} {--aircraft=200} {--items=400} {--years=3} '
        .'{--database= : file to make; database/large.sqlite where absent}';

    protected $description = 'Make a generated world for load and speed';

    public function handle(LargeWorld $world): int
    {
        if ($this->argument('name') !== 'large') {
            $this->error('There is one generated world: large.');

            return self::INVALID;
        }
        $numbers = array_map(
            fn(string $o): int => (int) $this->option($o),
            ['seed' => 'seed', 'aircraft' => 'aircraft', 'items' => 'items', 'years' => 'years'],
        );
        if (
            $numbers['aircraft'] < 1
            || $numbers['aircraft'] > 999
            || $numbers['items'] < 20
            || $numbers['items'] > 2000
            || $numbers['years'] < 1
            || $numbers['years'] > 10
        ) {
            $this->error('It takes 1 to 999 aircraft, 20 to 2000 items and 1 to 10 years.');

            return self::INVALID;
        }
        $file = (string) ($this->option('database') ?? database_path('large.sqlite'));
        array_map(unlink(...), glob("{$file}*") ?: []);
        touch($file);
        config(['database.connections.sqlite.database' => $file]);
        app('db')->purge();
        $this->callSilent('migrate', ['--force' => true]);
        $world->load(...$numbers, say: fn(string $what) => $this->line("  {$what}"));
        $this->line("The large world of seed {$numbers['seed']} stands in ".basename($file).'.');

        return self::SUCCESS;
    }
}
