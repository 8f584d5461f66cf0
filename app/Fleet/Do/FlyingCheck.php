<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Fleet\Model\Aircraft;
use Jorvel\Core\Fleet\CountRules;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;

/**
 * Whether a day's flying can be so: given as what was flown (`fh`), or as what the counter reads after it (`fh_total`).
 */
final class FlyingCheck
{
    /**
     * What was flown, by counter.
     *
     * @param array<string, string> $cells as typed, by column
     * @param array<string, float> $counters as they stand at the end of `$known`
     * @param Day $known the last day that is counted
     *
     * @return array<string, float>
     *
     * @throws InputError at `date`, or at the column
     */
    public static function day(Aircraft $craft, Day $date, array $cells, array $counters, Day $known, Day $today): array
    {
        if ($date->number > $today->number) {
            throw InputError::at('date', "{$date} is still to come");
        }
        if ($date->number <= $known->number) {
            throw InputError::at(
                'date',
                "{$craft->mark} is counted to the end of {$known} already; enter it by hand on the aircraft's page, "
                    .'so that what was counted since moves with it',
            );
        }
        $flown = self::amounts($craft, $cells, $counters, $known->daysUntil($date));
        if ($flown === []) {
            throw InputError::at('', 'names no counter');
        }

        return $flown;
    }

    /**
     * A day's pages together must fit into it.
     *
     * @param array<string, float> $flown
     * @param array<string, float> $before what its other pages have
     *
     * @throws InputError at the counter
     */
    public static function requireFits(array $flown, array $before): void
    {
        foreach ($before as $counter => $amount) {
            CountRules::requireFlown($counter, round($amount + ($flown[$counter] ?? 0.0), 3));
        }
    }

    /**
     * What was flown, by counter, without a question of the day.
     *
     * @param array<string, string> $cells
     * @param array<string, float> $counters as they stood before
     * @param int $days since they were read; 0 where a reading would say nothing
     *
     * @return array<string, float>
     *
     * @throws InputError at the column
     */
    public static function amounts(Aircraft $craft, array $cells, array $counters, int $days = 1): array
    {
        $flown = [];
        foreach ($cells as $column => $cell) {
            $counter = str_ends_with($column, '_total') ? substr($column, 0, -6) : $column;
            $cell = trim($cell);
            if ($cell === '' && ! isset($counters[$counter])) {
                continue;
            }
            if (! isset($counters[$counter])) {
                throw InputError::at($column, "{$craft->mark} has no such counter");
            }
            if (isset($flown[$counter])) {
                throw InputError::at($column, 'is given twice, as flown and as a reading');
            }
            if (preg_match('/^\d{1,9}([.,]\d{1,3})?$/', $cell) !== 1) {
                throw InputError::at($column, "\"{$cell}\" is not a number of at least 0");
            }
            $value = (float) str_replace(',', '.', $cell);
            if ($column === $counter) {
                CountRules::requireFlown($counter, $value);
                $flown[$counter] = $value;
            } elseif ($days < 1) {
                throw InputError::at(
                    $column,
                    'is a reading, and this day lies before the last one counted; enter what was flown',
                );
            } else {
                try {
                    $flown[$counter] = CountRules::between($counter, (float) $counters[$counter], $value, $days);
                } catch (InputError $e) {
                    throw InputError::at($column, $e->getMessage());
                }
            }
        }

        return $flown;
    }
}
