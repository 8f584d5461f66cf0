<?php

declare(strict_types=1);

namespace App\Deferrals\Do;

use App\Crew\Model\Person;
use App\Deferrals\Model\Deferral;
use App\Deferrals\Show\Closures;
use App\Visits\Show\Season\ClosesDeferrals;
use Illuminate\Support\Collection;

/** What a season asks of the deferrals. */
final readonly class CloseInSeason implements ClosesDeferrals
{
    public function __construct(private Closures $closures, private PlanClosure $plan) {}

    public function read(Collection $deferrals): void
    {
        $this->closures->read($deferrals);
    }

    public function hours(Deferral $deferral): float
    {
        return $this->closures->hours($deferral);
    }

    public function plan(Person $by, int $deferral, int $visit): void
    {
        ($this->plan)($by, $deferral, "visit-{$visit}");
    }
}
