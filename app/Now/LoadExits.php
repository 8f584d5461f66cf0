<?php

declare(strict_types=1);

namespace App\Now;

use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Visits\Model\Visit;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\LeavesHow;

/** When many visits leave by their plans, read without their cards, and what is said of those that leave too late. */
final readonly class LoadExits
{
    public function __construct(private Clock $clock) {}

    /**
     * What is said of the plan of a visit that leaves later than it must, or has none; null where nothing is.
     *
     * @param string|null $problem why it has no plan
     * @param Instant|null $exit by its plan; null where a card has no time
     * @param bool $open whether a card is still to be worked
     */
    public function late(Day $end, ?string $problem, ?Instant $exit, bool $open): ?string
    {
        $how = LeavesHow::of($problem === null, $exit, $open, $this->mustLeave($end), $end, $this->clock->zone());

        return match (true) {
            $problem !== null => 'It has no plan: '.lcfirst($problem),
            $exit !== null && $how === LeavesHow::TooLate => "By its plan it leaves on {$this->clock->local($exit)}; "
                ."it must leave on {$this->clock->words($end)}.",
            default => null,
        };
    }

    /** By when an aircraft must have left whose last day is this. */
    public function mustLeave(Day $end): Instant
    {
        $before = 3600 * (int) config('jorvel.leave_before_midnight');

        return Instant::fromEpoch(Instant::firstAfter($end, $this->clock->zone())->epoch() - $before);
    }

    /**
     * The visits that leave too late by their plans, or have none.
     *
     * @param list<int> $visits ids
     *
     * @return array<int, array{said: string, until: Day}> by id, with the day until which it stays; its last day where
     *   it has no plan
     */
    public function of(array $visits): array
    {
        $worked = "'".implode("', '", [Card::CLOSED->value, Card::SIGNED->value])."'";
        $rows = Visit::whereIn('visits.id', $visits)->where('visits.state', '!=', Visit::RELEASED)
            ->leftJoin('cards', 'cards.visit_id', '=', 'visits.id')
            ->leftJoin('visit_plans', 'visit_plans.visit_id', '=', 'visits.id')
            ->groupBy('visits.id')
            ->selectRaw("visits.id, visits.end, max(coalesce(cards.closed_at, cards.planned_end)) as leaves,
                sum(coalesce(cards.closed_at, cards.planned_end) is null) as untimed,
                sum(cards.id is not null and cards.state not in ({$worked})) as open,
                json_extract(visit_plans.result, '$.problem') as problem")
            ->toBase()->get();
        $late = [];
        foreach ($rows as $row) {
            $end = Day::parse($row->end);
            $exit = $row->leaves === null || $row->untimed > 0 ? null : Instant::parse($row->leaves);
            $said = $this->late($end, $row->problem, $exit, $row->open > 0);
            if ($said !== null) {
                $late[$row->id] = ['said' => $said, 'until' => $exit?->dayIn($this->clock->zone()) ?? $end];
            }
        }

        return $late;
    }
}
