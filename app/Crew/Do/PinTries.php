<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Crew\Model\Person;
use App\Shared\Clock;
use App\Shared\Http\Intention;
use App\Shared\Notices;
use App\Shared\Records;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Instant;

/** Counts wrong PINs in a row; at the last one the PIN is locked for a while, written down, and its holder told. */
final readonly class PinTries
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private Notices $notices,
        private Intention $intention,
    ) {}

    /** Called once whatever was to be signed is rolled back: what was sent for was not done, and its key stays free. */
    public function wrong(int $personId): void
    {
        $this->intention->aside(fn() => DB::transaction(function () use ($personId): void {
            $tries = (int) Person::whereKey($personId)->value('pin_tries') + 1;
            if ($tries < (int) config('jorvel.pin_tries')) {
                Person::whereKey($personId)->update(['pin_tries' => $tries]);

                return;
            }
            $person = Person::findOrFail($personId);
            $until = Instant::fromEpoch($this->clock->now()->epoch() + 60 * (int) config('jorvel.pin_locked_minutes'));
            $person->fill(['pin_tries' => 0, 'pin_locked_until' => (string) $until])->save();
            $this->records->write(
                $person,
                'person.pin_locked',
                "person:{$personId}",
                ['tries' => $tries, 'until' => (string) $until],
            );
            $this->notices->tell(
                $personId,
                "{$tries} wrong PINs in a row were entered as you, at {$this->clock->time($this->clock->now())}. If "
                    .'that was not you, tell the controller.',
            );
        }));
    }
}
