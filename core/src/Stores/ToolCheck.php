<?php

declare(strict_types=1);

namespace Jorvel\Core\Stores;

use Jorvel\Core\Shared\Day;

/** A tool was checked against a standard: good, or out of tolerance. */
final readonly class ToolCheck
{
    public function __construct(public Day $date, public bool $good) {}

    /**
     * The last day on which a tool was known to be good before it was found out of tolerance; null where no check says
     * so, and everything it ever read is in doubt. Readings after that day rest on a tool that may have been wrong.
     *
     * @param list<self> $checks in any order
     *
     * @pure
     */
    public static function lastGood(array $checks, Day $foundOut): ?Day
    {
        $last = null;
        foreach ($checks as $check) {
            if (
                $check->good
                && $check->date->number < $foundOut->number
                && ($last === null || $check->date->number > $last->number)
            ) {
                $last = $check->date;
            }
        }

        return $last;
    }
}
