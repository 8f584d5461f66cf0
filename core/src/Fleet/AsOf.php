<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/**
 * Whether an aircraft can fly on a day to come, as everything stands and is planned: not while it stands in a visit,
 * and not where something that stops it before has not been taken away by then. Where a visit of it runs late by its
 * plan, it may still stand in that.
 */
final readonly class AsOf
{
    /**
     * @param VisitSpan|null $in the visit that it is in on that day
     * @param list<Stop> $stops that keep it, the earliest first
     * @param list<int> $late visits, by their place, that run late by their plans and are not over by then
     */
    private function __construct(public ?VisitSpan $in, public array $stops, public array $late) {}

    /**
     * @param Day $day not before today
     * @param iterable<Stop> $stops of the whole aircraft
     * @param list<VisitSpan> $visits that go on or are to come
     * @param array<int, Day> $until the last day of those that run late by their plans, by their place
     *
     * @pure
     */
    public static function on(Day $day, Day $today, iterable $stops, array $visits, array $until = []): self
    {
        $in = null;
        foreach ($visits as $visit) {
            if ($visit->stands($day) && ($in === null || $visit->from->number < $in->from->number)) {
                $in = $visit;
            }
        }
        $left = [];
        foreach ($stops as $stop) {
            if ($stop->last->number < $day->number && ! self::taken($stop, $day, $today, $visits)) {
                $left[] = $stop;
            }
        }
        usort($left, static fn(Stop $a, Stop $b): int => $a->last->number <=> $b->last->number);

        $late = array_filter($until, static fn(Day $last, int $n): bool
            => $visits[$n]->from->number <= $day->number && $day->number <= $last->number, ARRAY_FILTER_USE_BOTH);

        return new self($in, $left, array_keys($late));
    }

    /** @pure */
    public function state(): FleetState
    {
        return match (true) {
            $this->in !== null => FleetState::Waiting,
            $this->stops !== [] => FleetState::Stop,
            $this->late !== [] => FleetState::Watch,
            default => FleetState::Clear,
        };
    }

    /** @pure */
    public function flies(): bool
    {
        return $this->in === null && $this->stops === [];
    }

    /**
     * Whether a visit has taken a stop away by a day: one that is over by then, and begins in time or goes on now.
     *
     * @param list<VisitSpan> $visits
     */
    private static function taken(Stop $stop, Day $day, Day $today, array $visits): bool
    {
        foreach ($visits as $visit) {
            if (
                in_array($stop->id, $visit->takes, true) && $visit->to->number < $day->number
                && ($visit->holds($today) || InTime::begins($visit->from, $stop->latest))
            ) {
                return true;
            }
        }

        return false;
    }
}
