<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Shared\Records;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use App\Visits\Model\VisitPlan;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Fleet\VisitSpan;
use Jorvel\Core\Shared\Day;

/** The controller's own judgement of a visit's windows: how long to look, and what to expect, with a reason. */
final readonly class SetWindow
{
    public function __construct(private Records $records) {}

    /**
     * @param array{per_hundred: float, worth_hours: float}|null $prior findings in a hundred hours, and as many hours
     *   as it is worth; null for the type's history
     *
     * @throws Refused when the look window would end outside the visit
     */
    public function __invoke(Person $by, Visit $visit, ?string $lookUntil, ?array $prior, string $reason): void
    {
        $until = $lookUntil === null ? null : Day::parse($lookUntil);
        if ($until !== null && ! VisitSpan::of($visit->start, $visit->end)->holds($until)) {
            throw Refused::because(
                "The look window must end between {$visit->start} and {$visit->end}. Nothing was saved.",
            );
        }
        DB::transaction(function () use ($by, $visit, $lookUntil, $prior, $reason): void {
            $set = ['look_until' => $lookUntil, 'prior' => $prior === null ? null : [
                'shape' => $prior['per_hundred'] / 100 * $prior['worth_hours'], 'rate' => $prior['worth_hours'],
                'reason' => $reason, 'by' => "{$by->name} ({$by->stamp})",
            ]];
            VisitPlan::updateOrCreate(['visit_id' => $visit->id], $set);
            $this->records->write($by, 'window.set', "visit:{$visit->id}", [...$set, 'why' => $reason]);
        });
    }
}
