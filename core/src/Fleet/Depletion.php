<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use function count;

use Jorvel\Core\Shared\GasPressure;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;
use Jorvel\Core\Shared\TheilSen;
use Jorvel\Core\Shared\Trend;
use Jorvel\Core\Shared\Unit;

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
        $used = Trend::since($readings);
        $points = array_map(static fn(GasReading $r): array => [
            $r->date,
            GasPressure::at($r->pressure, $unit, $r->tempC, $referenceC),
        ], $used);
        $line = TheilSen::through($points);
        $crosses = $line->lastWithin($minimum, rising: false);

        return new DepletionResult(
            $points,
            $line,
            $crosses,
            $crosses === null ? null : $used[count($used) - 1]->date->daysUntil($crosses),
            $expectedPerDay === null ? null : ! Near::atMost(-$line->slope, 2 * $expectedPerDay),
        );
    }
}
