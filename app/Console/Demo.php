<?php

declare(strict_types=1);

namespace App\Console;

use App\Crew\Model\Person;
use App\Shared\PutAside;
use Database\Demo\World;
use Illuminate\Console\Command;

/** Loads the demo world into an empty database, or into a fresh one. */
final class Demo extends Command
{
    protected $signature = 'jorvel:demo {--fresh : drop everything first}';

    protected $description = 'Load the demo world';

    public function handle(World $world): int
    {
        $aside = $this->option('fresh') ? PutAside::damaged() : null;
        if ($aside !== null) {
            $this->warn(
                'The database file could not be read. It is put aside as '.basename($aside).'; a new one is made.',
            );
        }
        $this->callSilent($this->option('fresh') ? 'migrate:fresh' : 'migrate', ['--force' => true]);
        if (Person::query()->exists()) {
            $this->line('The demo world is there already (--fresh resets it).');

            return self::SUCCESS;
        }
        $world->load();
        $this->line('The demo world is loaded.');

        return self::SUCCESS;
    }
}
