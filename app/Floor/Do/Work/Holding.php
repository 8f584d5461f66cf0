<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;

/** Something held for a time by the server's clock. */
final readonly class Holding
{
    public function __construct(private Clock $clock, private Records $records) {}

    public function start(Person $by, Step $step): Worked
    {
        $now = (string) $this->clock->now();

        return Worked::open(
            static fn() => $step->fill(['started_at' => $now])->save(),
            fn() => $this->records->write($by, 'step.hold_started', "card:{$step->card_id}", ['step' => $step->no]),
        );
    }

    /** @throws Refused before the time is over */
    public function requireOver(Step $step, int $seconds): void
    {
        $held = $step->started_at === null
            ? null
            : $this->clock->now()->epoch() - $step->started_at->epoch();
        if ($held === null || $held < $seconds) {
            throw Refused::because(
                $held === null
                    ? 'Start the hold first.'
                    : "Held for {$held} of {$seconds} seconds. Hold on; the reading counts only after that.",
            );
        }
    }
}
