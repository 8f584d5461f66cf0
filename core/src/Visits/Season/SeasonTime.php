<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Day;

/** One of the times that an item falls due in a span, if each is done as late as it may be. */
final readonly class SeasonTime
{
    /** So many times one item comes in a span at the most. */
    private const MOST = 60;

    /**
     * @param int $n how often it came before in the span
     * @param Day $latest its last day, without a tolerance
     * @param int $grace days after that which a tolerance allows
     */
    private function __construct(public int $n, public Day $latest, public int $grace) {}

    /**
     * @param int $grace days that its tolerance allows, the first time alone
     * @param int $interval in days, at least 1
     * @param int $in visits that it is in already: it comes so often at the least
     *
     * @return list<self> the last one may lie beyond the span, where the one before it does not: what is done early
     *   brings it forward
     *
     * @pure
     */
    public static function all(Day $due, int $grace, int $interval, int $in, Day $last): array
    {
        $times = [];
        $within = $due->number <= $last->number;
        for ($n = 0; $n < self::MOST && ($within || $n < $in); $n++) {
            $within = $due->number <= $last->number;
            $times[] = new self($n, $due, $grace);
            [$due, $grace] = [$due->plusDays($interval), 0];
        }

        return $times;
    }
}
