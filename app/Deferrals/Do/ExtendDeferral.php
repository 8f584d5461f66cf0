<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Model\DeferralNeed;
use App\Deferrals\Show\ShowDeferral;
use App\Now\CommitUnmoved;
use App\Now\DeferralClock;
use App\Now\FloorCount;
use App\Now\LoadFlying;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Closure;

/**
 * Lengthens the time for which a deferral is carried, within what its category allows, with a reason and an approval.
 */
final readonly class ExtendDeferral
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private CommitUnmoved $commit,
        private MayDefer $may,
        private DeferralClock $clocks,
    ) {}

    /**
     * @param int $days no more than the first interval
     * @param string $approval the number under which it was approved
     *
     * @throws Refused for a category that has none, a second one, one that has run out, or too many days
     */
    public function __invoke(
        Person $by,
        int $id,
        int $days,
        string $reason,
        string $approval,
        string $stamp,
        string $pin,
    ): Deferral {
        return ($this->commit)(function () use ($by, $id, $days, $reason, $approval, $stamp, $pin): Closure {
            $deferral = Deferral::with([
                'finding', 'listedItem', 'aircraft' => static fn($q) => $q->with(LoadFlying::with()), 'aircraft.type',
            ])->findOrFail($id);
            $this->may->require($by, $deferral->aircraft);
            [$most, $why] = ShowDeferral::extension($deferral, $this->clocks->read($deferral, $deferral->aircraft));
            if ($most === 0) {
                throw Refused::because("{$why} Nothing was extended.");
            }
            if ($days < 1 || $days > $most) {
                throw Refused::because('It may be extended by 1 to '.Words::count($most, 'day').', its first interval; '
                    ."{$days} is not. Nothing was extended.");
            }
            $by->requireSignature($stamp, $pin);

            return function () use ($by, $deferral, $days, $reason, $approval): Deferral {
                FloorCount::up($deferral->aircraft_id);
                $deferral->update(['extensions' => [...$deferral->extensions, [
                    'days' => $days, 'granted' => (string) $this->clock->now(), 'by' => $by->name, 'reason' => $reason,
                    'approval' => $approval,
                ]]]);
                DeferralNeed::where(['deferral_id' => $deferral->id, 'kind' => DeferralNeed::EXTENSION])
                    ->whereNull('there_at')
                    ->update(['there_at' => (string) $this->clock->now()]);
                $this->records->write($by, 'deferral.extended', "finding:{$deferral->finding_id}", [
                    'number' => $deferral->finding->number, 'days' => $days, 'reason' => $reason,
                    'approval' => $approval, 'stamp' => $by->stamp,
                ]);

                return $deferral;
            };
        });
    }
}
