<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use App\Visits\Model\PlanRun;
use App\Visits\Model\PlanRunState;
use App\Visits\Model\Visit;
use App\Visits\Model\VisitPlan;
use App\Visits\Show\View\PlanRunView;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\Plan;

/**
 * Long searches for a shorter plan, worked in the queue.
 *
 * Nothing of a visit is touched until a run is over; then its plan is saved in one piece, if the visit is as it was
 * when the run began and the plan is shorter. So a run can be cancelled, or its worker die, at any moment.
 */
final readonly class PlanRuns
{
    /** Seconds without a word after which a run's worker is taken to be gone. */
    private const SILENT = 15;

    public function __construct(private Clock $clock, private PlanVisit $plan, private Records $records) {}

    /** @throws Refused while another run of the visit is under way, or the board is not the one that was looked at */
    public function ask(Person $by, Visit $visit, int $seconds, int $version): PlanRun
    {
        $run = DB::transaction(function () use ($by, $visit, $seconds, $version): PlanRun {
            if (PlanRun::where('visit_id', $visit->id)->whereIn('state', PlanRunState::GOES_ON)->exists()) {
                throw Refused::because(
                    'A search for this visit is already under way. Wait for it, or cancel it first.',
                );
            }
            $this->requireVersion($visit, $version);
            // Whatever cannot be planned is said now, not after a minute.
            $this->plan->ask($visit, $this->clock->now());

            return PlanRun::create([
                'visit_id' => $visit->id,
                'person_id' => $by->id,
                'state' => PlanRunState::Waiting,
                'seconds' => $seconds,
                'version' => $version,
                'asked_at' => (string) $this->clock->now(),
            ]);
        });
        PlanJob::dispatch($run->id);

        return $run;
    }

    public function cancel(Person $by, PlanRun $run): void
    {
        DB::transaction(function () use ($by, $run): void {
            if (PlanRun::whereKey($run->id)->whereIn('state', PlanRunState::GOES_ON)->update([
                'state' => PlanRunState::Cancelled,
                'ended_at' => (string) $this->clock->now(),
                'message' => 'Cancelled. The plan was left as it was.',
            ]) === 1) {
                $this->records->write($by, 'visit.planning_cancelled', "visit:{$run->visit_id}", ['run' => $run->id]);
            }
        });
    }

    /** In the worker: searches within the run's time, says now and then how far it is, and saves what is shorter. */
    public function work(int $id): void
    {
        $run = PlanRun::find($id);
        if ($run === null || ! $run->state->goesOn()) {
            return;
        }
        $visit = Visit::with('aircraft.type')->findOrFail($run->visit_id);
        $run->update(['state' => PlanRunState::Running, 'beat_at' => (string) $this->clock->now()]);
        $ask = $this->plan->ask($visit, $this->clock->now());
        $heard = hrtime(true);
        $tell = function (int $span, int $bound, int $tried) use ($run, &$heard): bool {
            if (hrtime(true) - $heard < 400_000_000) {
                return true;
            }
            $heard = hrtime(true);

            return PlanRun::whereKey($run->id)->where('state', PlanRunState::Running)
                ->update([
                    'tried' => $tried,
                    'span' => $span,
                    'bound' => $bound,
                    'beat_at' => (string) $this->clock->now(),
                ]) === 1;
        };
        $budget = Deadline::in($run->seconds * 1000);
        $result = Plan::of($ask->problem, $budget, 1 + $run->id, PHP_INT_MAX, $tell, $ask->jacks);
        DB::transaction(function () use ($run, $visit, $ask, $result): void {
            if ($run->refresh()->state !== PlanRunState::Running) {
                return;
            }
            $plan = VisitPlan::find($visit->id);
            // As it goes: the plan's own order from now on. Where work has slipped, that leaves later than the plan
            // says.
            $goes = $ask->hours->ends(Plan::inOrder($ask->problem, $ask->now)->makespan());
            $exit = $ask->hours->ends($result->makespan());
            $was = $plan?->result['exit'] ?? null;
            $behind = $was !== null && Instant::parse($was)->isBefore($goes);
            [$state, $message] = match (true) {
                ($plan->version ?? 0) !== $run->version => [
                    PlanRunState::Failed,
                    'Somebody changed the plan while the search went on. Theirs stands; search again from there.',
                ],
                $behind => [
                    PlanRunState::Done,
                    'Work has slipped: as it went the aircraft would have left on '.$this->clock->local($goes)
                        .'. Planned anew, it leaves on '.$this->clock->local($exit).'.',
                ],
                $was !== null && ! $exit->isBefore(Instant::parse($was)) => [
                    PlanRunState::Done,
                    'No shorter plan was found'
                        .($result->makespan() === $result->lowerBound ? ': none can be shorter.' : '; the plan '
                        .'stays as it is.'),
                ],
                default => [
                    PlanRunState::Done,
                    'A shorter plan was found: the aircraft leaves on '.$this->clock->local($exit)
                        .($was === null ? '.' : ' in place of '.$this->clock->local(Instant::parse($was)).'.'),
                ],
            };
            if ($state === PlanRunState::Done && ($behind || $was === null || $exit->isBefore(Instant::parse($was)))) {
                $this->plan->save(
                    $visit,
                    $ask,
                    $result,
                    Person::find($run->person_id),
                    $behind ? 'work had slipped; planned anew' : "a search of {$run->seconds} s found a shorter plan",
                );
            }
            $run->update([
                'state' => $state,
                'message' => $message,
                'span' => $result->makespan(),
                'bound' => $result->lowerBound,
                'ended_at' => (string) $this->clock->now(),
            ]);
        });
    }

    /** The last run of a visit, in words. */
    public function latest(int $visitId): ?PlanRunView
    {
        $run = PlanRun::where('visit_id', $visitId)->orderByDesc('id')->first();
        if ($run === null) {
            return null;
        }
        $now = $this->clock->now()->epoch();
        $silent = $run->beat_at === null ? 0 : $now - $run->beat_at->epoch();
        $words = match (true) {
            $run->message !== null => $run->message,
            $run->state === PlanRunState::Waiting => 'Waiting for the planner.',
            $silent > self::SILENT => "Not heard of for {$silent} s. It begins again by itself; nothing is lost.",
            default => Words::count($run->tried, 'plan').' tried'.(
                $run->span === null ? '' : ', the shortest '.Words::number(
                    100 * ($run->span / max(1, (int) $run->bound) - 1),
                ).' % above what can be proven'
            ).'.',
        };
        $ended = ! $run->state->goesOn();

        return new PlanRunView(
            $run->id,
            $run->state->value,
            $words,
            $run->seconds,
            $run->tried,
            $run->state === PlanRunState::Running ? min(
                1.0,
                ($now - $run->asked_at->epoch()) / $run->seconds,
            ) : null,
            $ended,
        );
    }

    /** @throws Refused when the plan has changed since it was looked at */
    public function requireVersion(Visit $visit, int $version): void
    {
        self::requireSame(VisitPlan::find($visit->id), $version);
    }

    /** @throws Refused when it is another one than was looked at */
    public static function requireSame(?VisitPlan $plan, int $version): void
    {
        $now = $plan->version ?? 0;
        if ($now !== $version) {
            throw Refused::stale(
                'The plan has changed since you looked at it. The board now shows it as it is; nothing of yours was '
                    .'saved.',
                $now,
            );
        }
    }
}
