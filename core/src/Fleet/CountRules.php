<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;

/** What a day's flying may be, and what a counter may do between two readings. */
final class CountRules
{
    /** The most that fits into one day. */
    private const MOST = ['fh' => 24.0, 'ldg' => 60.0, 'cyc' => 60.0];

    private const NAMES = ['fh' => 'hours', 'ldg' => 'landings', 'cyc' => 'cycles'];

    /**
     * Refuses an amount that so many days cannot hold, and a part of a landing or a cycle.
     *
     * @param int $days at least 1
     *
     * @throws InputError at the counter
     */
    public static function requireFlown(string $counter, float $amount, int $days = 1): void
    {
        $name = self::NAMES[$counter] ?? $counter;
        if (! ($amount >= 0) || ! is_finite($amount)) {
            throw InputError::at($counter, 'must be a number of at least 0');
        }
        if ($counter !== 'fh' && floor($amount) !== $amount) {
            throw InputError::at($counter, "{$amount} is not a whole number of {$name}");
        }
        $most = (self::MOST[$counter] ?? INF) * $days;
        if (! Near::atMost($amount, $most)) {
            throw InputError::at(
                $counter,
                "{$amount} {$name} do not fit into ".($days === 1 ? 'one day' : "{$days} days"),
            );
        }
    }

    /**
     * What was flown between two readings of a counter.
     *
     * @param int $days between them, at least 1
     *
     * @throws InputError at the counter when it runs backwards or jumps
     *
     * @pure
     */
    public static function between(string $counter, float $before, float $reading, int $days): float
    {
        if (! Near::atLeast($reading, $before)) {
            throw InputError::at($counter, "runs backwards: {$reading} after {$before}");
        }
        $flown = round(max(0.0, $reading - $before), 3);
        try {
            self::requireFlown($counter, $flown, $days);
        } catch (InputError $e) {
            throw InputError::at($counter, "jumps from {$before} to {$reading}: {$e->getMessage()}");
        }

        return $flown;
    }
}
