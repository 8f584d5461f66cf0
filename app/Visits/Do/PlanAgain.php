<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Crew\Model\Person;
use App\Fleet\Do\PlansAgain;
use App\Visits\Model\Visit;

/** Plans visits anew, the first to come first: it has the first choice of a base's people. */
final readonly class PlanAgain implements PlansAgain
{
    public function __construct(private PlanVisit $plan) {}

    public function plan(Person $by, array $visits, string $why): void
    {
        foreach (Visit::orderBy('start')->orderBy('id')->findMany($visits) as $visit) {
            ($this->plan)($visit, $by, $why);
        }
    }
}
