<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;

/**
 * Whether an aircraft can fly on a day to come, as everything stands and is planned: not while it stands in a visit,
 * and not where something that stops it before has not been taken away by then.
 */
final readonly class AsOf
{
    /**
     * @param VisitSpan|null $in the visit that it is in on that day
     * @param list<Stop> $stops that keep it, the earliest first
     */
    private function __construct(public ?VisitSpan $in, public array $stops) {}

    /**
     * @param Day $day not before today
     * @param iterable<Stop> $stops of the whole aircraft
     * @param list<VisitSpan> $visits that go on or are to come
     *
     * @pure
     */
    public static function on(Day $day, Day $today, iterable $stops, array $visits): self
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

        return new self($in, $left);
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
