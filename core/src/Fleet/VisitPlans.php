<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/** An aircraft's visits as they take its stops away. */
final readonly class VisitPlans
{
    /**
     * @param array<string, list<VisitSpan>> $takers the visits that take a stop, by its id
     * @param bool $standing whether the aircraft is in a visit today
     */
    private function __construct(private Day $today, private array $takers, public bool $standing) {}

    /**
     * @param list<VisitSpan> $visits in any order; those that are over take nothing
     *
     * @pure
     */
    public static function of(Day $today, array $visits): self
    {
        $takers = [];
        $standing = false;
        foreach ($visits as $visit) {
            $standing = $standing || $visit->stands($today);
            if ($visit->to->number >= $today->number) {
                foreach ($visit->takes as $id) {
                    $takers[$id][] = $visit;
                }
            }
        }

        return new self($today, $takers, $standing);
    }

    /**
     * Whether a visit takes a stop away: in the one that goes on now, in time, too late, or not at all.
     *
     * @param Day|null $latest the last day by which the visit must begin
     *
     * @pure
     */
    public function away(string $id, ?Day $latest): PlannedAway
    {
        $away = PlannedAway::No;
        foreach ($this->takers[$id] ?? [] as $visit) {
            if ($visit->holds($this->today)) {
                return PlannedAway::Now;
            }
            $away = $away === PlannedAway::InTime || InTime::begins($visit->from, $latest)
                ? PlannedAway::InTime
                : PlannedAway::TooLate;
        }

        return $away;
    }
}
