<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Floor\Model\Card;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Visits\PlanProblem;
use Jorvel\Core\Visits\WorkHours;

/** A visit put to the planner: its problem, the hours that the slots stand for, and which card each place is. */
final readonly class PlanAsk
{
    /**
     * @param Collection<int, Card> $cards by place in the problem
     * @param list<int> $jacks places of raising, lowering and what lies between
     * @param list<float> $now keys by place: the order of the plan as it stands
     */
    public function __construct(
        public PlanProblem $problem,
        public WorkHours $hours,
        public Collection $cards,
        public array $jacks,
        public array $now,
    ) {}
}
