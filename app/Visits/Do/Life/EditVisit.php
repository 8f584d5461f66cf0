<?php

declare(strict_types=1);

namespace App\Visits\Do\Life;

use App\Crew\Model\Person;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Now\VisitMoves;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Do\PlanVisit;
use App\Visits\Model\Visit;
use Closure;
use Jorvel\Core\Shared\Day;

/**
 * Gives a visit another title, other days or another bay. Until it is begun that is planning; from then on its first
 * day stands, and the rest wants a reason.
 */
final readonly class EditVisit
{
    public function __construct(
        private CommitUnmoved $commit,
        private InTime $inTime,
        private VisitMoves $moves,
        private PlanVisit $plan,
        private Records $records,
    ) {}

    /** @throws Refused where something would be overdue, or somebody else stands there */
    public function __invoke(
        Person $by,
        int $id,
        string $title,
        string $bay,
        Day $start,
        Day $end,
        ?string $reason,
    ): Visit {
        [$visit, $stands] = ($this->commit)(function () use ($by, $id, $title, $bay, $start, $end, $reason): Closure {
            $visit = Visit::with(['aircraft.type', 'cards.item', 'plan'])->findOrFail($id);
            $was = self::of($visit->title, $visit->bay, $visit->start, $visit->end);
            $is = self::of($title, $bay, $start, $end);
            $this->moves->requireMay($visit, $start, $reason, 'Nothing was changed.');
            if ($was === $is) {
                throw Refused::because('Nothing is changed.');
            }
            if ([$was['bay'], $was['start'], $was['end']] !== [$is['bay'], $is['start'], $is['end']]) {
                $this->moves->requirePlace($visit, $bay, $start, $end, 'Nothing was changed.');
            }
            if ($visit->state === Visit::PLANNED) {
                $this->inTime->require($visit, $visit->cards, $start);
            }

            $stands = $visit->planStands($bay, $start);

            return function () use ($by, $visit, $was, $is, $reason, $stands): array {
                FloorCount::up($visit->aircraft_id);
                $visit->update($is);
                $this->records->write($by, 'visit.changed', "visit:{$visit->id}", [
                    'aircraft' => $visit->aircraft->mark, 'was' => $was, 'is' => $is, 'why' => $reason,
                ]);

                return [$visit, $stands];
            };
        });
        if (! $stands) {
            ($this->plan)($visit, $by, 'planned for its new days');
        }

        return $visit;
    }

    /** @return array{title: string, bay: string, start: string, end: string} */
    private static function of(string $title, string $bay, Day $start, Day $end): array
    {
        return ['title' => $title, 'bay' => $bay, 'start' => (string) $start, 'end' => (string) $end];
    }
}
