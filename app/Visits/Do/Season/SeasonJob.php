<?php

declare(strict_types=1);

namespace App\Visits\Do\Season;

use App\Visits\Model\PlanRunState;
use App\Visits\Model\SeasonRun;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Throwable;

/** Works one search for a season; one whose worker died is begun again from what was asked. */
final class SeasonJob implements ShouldQueue
{
    use Queueable;

    public int $tries = 3;

    public int $timeout = 80;

    public function __construct(public readonly int $runId) {}

    public function handle(SeasonRuns $runs): void
    {
        $runs->work($this->runId);
    }

    public function failed(?Throwable $e): void
    {
        SeasonRun::whereKey($this->runId)->whereIn('state', PlanRunState::GOES_ON)->update([
            'state' => PlanRunState::Failed,
            'message' => 'The planner stopped. What was laid is as it was; ask again with less time.',
        ]);
    }
}
