<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Visits\Model\PlanRun;
use App\Visits\Model\PlanRunState;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Works one planning run; a run whose worker died is begun again from what is saved, which it never touched. */
final class PlanJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 80;

    public function __construct(public readonly int $runId) {}

    public function handle(PlanRuns $runs): void
    {
        $runs->work($this->runId);
    }

    public function failed(?Throwable $e): void
    {
        PlanRun::whereKey($this->runId)->whereIn('state', PlanRunState::GOES_ON)
            ->update([
                'state' => PlanRunState::Failed,
                'message' => 'The planner stopped three times. The plan was left as it was; ask again with less time.',
            ]);
    }
}
