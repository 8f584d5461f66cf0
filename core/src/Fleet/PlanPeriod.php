<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/** Days, both ends included, on which some counters run at another rate than the mean; a visit is one of nought. */
final readonly class PlanPeriod
{
    /** @param array<string, float> $rates per day */
    private function __construct(public Day $from, public Day $to, public array $rates) {}

    /**
     * @param array<string, float> $rates per day, at least 0
     *
     * @throws InputError
     *
     * @pure
     */
    public static function of(Day $from, Day $to, array $rates): self
    {
        if ($to->number < $from->number) {
            throw InputError::at('', "ends on {$to}, before it begins on {$from}");
        }

        return new self($from, $to, $rates);
    }
}
