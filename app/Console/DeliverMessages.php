<?php

declare(strict_types=1);

namespace App\Console;

use App\Deferrals\Do\Deliver;
use App\Deferrals\Do\Remind;
use Illuminate\Console\Command;
use Illuminate\Container\Container;

/** Finds what somebody is to be told of, and sends it. `./jorvel up` runs it beside the server. */
final class DeliverMessages extends Command
{
    protected $signature = 'jorvel:deliver {--watch= : Go on, every so many seconds}';

    protected $description = 'Reminds of what comes near, and sends webhooks their messages';

    public function handle(Container $app): int
    {
        $every = $this->option('watch');
        if ($every !== null && (! ctype_digit((string) $every) || (int) $every < 1)) {
            $this->error('--watch needs a number of seconds, 1 or more.');

            return self::FAILURE;
        }
        do {
            // What one round has read is not what the next one finds.
            $app->forgetScopedInstances();
            $near = $app->make(Remind::class)();
            $sent = $app->make(Deliver::class)();
            if ($every === null || $near + $sent > 0) {
                $this->line("{$near} newly near, {$sent} sent.");
            }
            if ($every !== null) {
                sleep((int) $every);
            }
        } while ($every !== null);

        return self::SUCCESS;
    }
}
