<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Deferrals\DeferralWords;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralCard;
use App\Deferrals\Show\ShowDeferral;
use App\Floor\Model\Finding;
use App\Floor\Model\SafingDevice;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;
use Jorvel\Core\Deferrals\Stage;

/**
 * The end of a deferral, nothing skipped: the placard comes off after the last test, and then the log is closed by
 * name.
 */
final readonly class CloseDeferral
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private CommitUnmoved $commit,
        private MayDefer $may,
    ) {}

    /** @throws Refused while something comes before it */
    public function placardOff(Person $by, int $id): Deferral
    {
        return ($this->commit)(function () use ($by, $id): Closure {
            $deferral = $this->at($id, Stage::Placard);

            return function () use ($by, $deferral): Deferral {
                FloorCount::up($deferral->aircraft_id);
                $deferral->update(['placard_off_at' => (string) $this->clock->now()]);
                $this->records->write($by, 'deferral.placard_off', "finding:{$deferral->finding_id}", [
                    'number' => $deferral->finding->number, 'placard' => $deferral->placard,
                ]);

                return $deferral;
            };
        });
    }

    /** @throws Refused while something is left to be done, or for whoever may not decide it */
    public function close(Person $by, int $id, string $how, string $stamp, string $pin): Deferral
    {
        return ($this->commit)(function () use ($by, $id, $how, $stamp, $pin): Closure {
            $deferral = $this->at($id, Stage::Log);
            $this->may->require($by, $deferral->aircraft);
            $by->requireSignature($stamp, $pin);

            return function () use ($by, $deferral, $how): Deferral {
                FloorCount::up($deferral->aircraft_id);
                $now = (string) $this->clock->now();
                $cards = $deferral->cards->filter(static fn(DeferralCard $c): bool => $c->stage() !== null)
                    ->map(static fn(DeferralCard $c): string => $c->card->number)->implode(', ');
                $deferral->update([
                    'state' => Deferral::CLOSED, 'closed_by' => $by->id, 'closed_at' => $now,
                    'closed_how' => "{$how} (cards {$cards})",
                ]);
                $deferral->finding->update([
                    'state' => Finding::FIXED, 'settled_at' => $now, 'fixed_how' => "{$how} (cards {$cards})",
                ]);
                $this->records->write($by, 'deferral.closed', "finding:{$deferral->finding_id}", [
                    'number' => $deferral->finding->number, 'how' => $how, 'cards' => $cards, 'stamp' => $by->stamp,
                ]);

                return $deferral;
            };
        });
    }

    /** @throws Refused unless its closure has come to this */
    private function at(int $id, Stage $stage): Deferral
    {
        $deferral = Deferral::with(
            'finding',
            'aircraft.type',
            'cards.card',
            'needs.part.batches',
            'needs.part.orders',
            'listedItem',
        )
            ->findOrFail($id);
        if ($deferral->state !== Deferral::OPEN) {
            throw Refused::because("{$deferral->finding->number} is closed already. Nothing was changed.");
        }
        $devices = SafingDevice::where('carried_by', $deferral->finding_id)->whereNull('removed_at')->count();
        $now = ShowDeferral::thread($deferral, $this->clock->today(), $devices)->now();
        if ($now !== $stage) {
            throw Refused::because($now === Stage::Log
                ? "The placard of {$deferral->finding->number} is off already. Nothing was changed."
                : "First: {$this->first($now)}. Nothing was changed.");
        }

        return $deferral;
    }

    private function first(Stage $stage): string
    {
        return lcfirst(DeferralWords::stage($stage));
    }
}
