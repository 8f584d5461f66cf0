<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use function array_slice;
use function count;
use function floor;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\GasPressure;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;
use Jorvel\Core\Shared\Unit;

use function sort;

/**
 * When will the bottle fall below its minimum.
 *
 * Readings since the last change are brought to one temperature; through them goes the Theil–Sen line (median of the
 * pairwise slopes, median of the intercepts), which a stray reading does not bend. Contract: docs/core.md,
 * core/schema/depletion.json.
 */
final class Depletion
{
    /**
     * @param list<GasReading> $readings in order of their dates
     * @param float $minimum gauge pressure at the reference temperature, in the unit
     * @param float $referenceC above absolute zero
     * @param float|null $expectedPerDay how much ordinary use takes, in the unit a day, at least 0
     *
     * @throws InputError at `readings` with fewer than three since the last change, or all on one day; at
     *                    `readings.<i>.date` where dates fall
     *
     * @pure
     */
    public static function of(
        array $readings,
        Unit $unit,
        float $minimum,
        float $referenceC = 21.0,
        ?float $expectedPerDay = null,
    ): DepletionResult {
        $since = 0;
        foreach ($readings as $i => $reading) {
            if ($i > 0 && $reading->date->number < $readings[$i - 1]->date->number) {
                throw InputError::at(
                    "readings.{$i}.date",
                    "{$reading->date} comes before {$readings[$i - 1]->date}, the reading above it",
                );
            }
            $since = $reading->replaced ? $i : $since;
        }
        $used = array_slice($readings, $since);
        if (count($used) < 3) {
            throw InputError::at('readings', 'needs at least 3 readings since the last change');
        }
        $first = $used[0]->date->number;
        $points = [];
        foreach ($used as $reading) {
            $points[] = [
                (float) ($reading->date->number - $first),
                GasPressure::at($reading->pressure, $unit, $reading->tempC, $referenceC),
            ];
        }
        $slope = self::slope($points);
        $intercept = self::median(array_map(static fn(array $p): float => $p[1] - $slope * $p[0], $points));
        $last = $used[count($used) - 1]->date;
        $crosses = self::crossing($first, $slope, $intercept, $minimum);

        return new DepletionResult(
            array_map(static fn(array $p): array => [Day::fromNumber($first + (int) $p[0]), $p[1]], $points),
            $slope,
            $intercept,
            $crosses,
            $crosses === null ? null : $last->daysUntil($crosses),
            $expectedPerDay === null ? null : ! Near::atMost(-$slope, 2 * $expectedPerDay),
        );
    }

    /**
     * The last day on which the line is at or above the minimum; null when it does not fall, or meets it outside the
     * calendar's years.
     *
     * @pure
     */
    private static function crossing(int $first, float $slope, float $intercept, float $minimum): ?Day
    {
        if ($slope >= 0) {
            return null;
        }
        $day = floor(($intercept - $minimum + Near::noise($minimum)) / -$slope);

        return $first + $day > Day::LAST || $first + $day < Day::FIRST ? null : Day::fromNumber($first + (int) $day);
    }

    /**
     * @param non-empty-list<array{float, float}> $points
     *
     * @throws InputError
     *
     * @pure
     */
    private static function slope(array $points): float
    {
        $slopes = [];
        foreach ($points as $j => [$x, $y]) {
            for ($i = 0; $i < $j; $i++) {
                if ($points[$i][0] < $x) {
                    $slopes[] = ($y - $points[$i][1]) / ($x - $points[$i][0]);
                }
            }
        }

        return $slopes === [] ? throw InputError::at(
            'readings',
            'are all of one day; a trend needs at least two days',
        ) : self::median($slopes);
    }

    /**
     * @param non-empty-array<float> $values
     *
     * @pure
     */
    private static function median(array $values): float
    {
        sort($values);
        $n = count($values);

        $half = $n >> 1;

        return $n % 2 === 1 ? $values[$half] : ($values[$half - 1] + $values[$half]) / 2;
    }
}
