<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Crew\Model\Role;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Now\LoadBay;
use App\Shared\Clock;
use App\Shared\Notices;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Closure;
use Jorvel\Core\Shared\Day;

/**
 * Begins a visit before the day that was planned for it. From then on the aircraft stands in it: it does not fly, and
 * its first day is today, for every forecast, bay and board. The controllers are told.
 */
final readonly class BeginVisit
{
    public function __construct(
        private Clock $clock,
        private Records $records,
        private Notices $notices,
        private PlanVisit $plan,
        private LoadBay $bays,
        private CommitUnmoved $commit,
    ) {}

    /** @throws Refused when it has begun, is not early, or the aircraft is in another visit */
    public function __invoke(Person $by, int $id): Visit
    {
        $visit = ($this->commit)(function () use ($by, $id): Closure {
            $visit = Visit::with('aircraft.type')->findOrFail($id);
            $today = $this->clock->today();
            if ($visit->daysEarly($today) === 0) {
                throw Refused::because(
                    "\"{$visit->title}\" need not be begun early: it is "
                        .($visit->state === Visit::PLANNED ? 'due to begin' : 'begun already')
                        .'. Reload to see it; nothing was changed.',
                );
            }
            $this->bays->requireApart(
                $visit->aircraft,
                $today,
                $visit->end,
                'Release it from that first, or move it; nothing was changed.',
                $visit->id,
            );

            return fn(): Visit => $this->write($by, $visit, $today);
        });
        ($this->plan)($visit, $by, 'planned when it was begun early');

        return $visit;
    }

    private function write(Person $by, Visit $visit, Day $today): Visit
    {
        FloorCount::up($visit->aircraft_id);
        $planned = $visit->start;
        $visit->update(['start' => (string) $today, 'state' => Visit::IN_WORK]);
        $this->records->write(
            $by,
            'visit.begun_early',
            "visit:{$visit->id}",
            ['planned' => $planned, 'begun' => $visit->start],
        );
        $this->tell($by, $visit, $planned);

        return $visit;
    }

    private function tell(Person $by, Visit $visit, Day $planned): void
    {
        $bay = Visit::with('aircraft')->where('bay', $visit->bay)
            ->whereKeyNot($visit->id)
            ->where('state', Visit::IN_WORK)
            ->first();
        $said = "{$by->name} began \"{$visit->title}\" of {$visit->aircraft->mark} today; it was "
            ."planned from {$this->clock->words($planned)}."
            .($bay === null ? '' : " {$bay->aircraft->mark} is in {$visit->bay} now.");
        $controllers = Person::thereOn($this->clock->today())->where('role', Role::Controller)->whereKeyNot($by->id);
        foreach ($controllers->pluck('id') as $id) {
            $this->notices->tell($id, $said, "/visits/{$visit->id}");
        }
    }
}
