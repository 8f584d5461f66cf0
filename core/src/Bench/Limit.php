<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Near;
use Jorvel\Core\Shared\Quantity;

/**
 * Is this reading good.
 *
 * Guarded decisions keep the instrument's uncertainty in hand on every side (a guard band of one uncertainty); simple
 * ones take the reading as it is. Contract: docs/core.md, core/schema/limit.json.
 */
final class Limit
{
    /**
     * @param Day $on the day of the reading, against the calibration date
     *
     * @throws InputError at `limit.unit` or `instrument.unit` across dimensions, at `instrument` when guarded without
     *   one
     *
     * @pure
     */
    public static function judge(
        Quantity $reading,
        ReadingLimit $limit,
        Day $on,
        ?Instrument $instrument = null,
        bool $guarded = false,
    ): LimitResult {
        if ($guarded && $instrument === null) {
            throw InputError::missing('instrument');
        }
        try {
            $value = $reading->in($limit->unit)->value;
        } catch (InputError $e) {
            throw InputError::at('limit.unit', $e->getMessage());
        }
        $margin = null;
        foreach ([
            $limit->low === null ? null : $value - $limit->low,
            $limit->high === null ? null : $limit->high - $value,
        ] as $side) {
            $margin = $side === null ? $margin : min($margin ?? INF, $side);
        }
        $uncertainty = $instrument === null ? 0.0 : self::uncertainty($instrument, $limit);
        $reasons = $instrument === null ? [] : self::reasons($reading, $limit, $on, $instrument, $uncertainty);
        $verdict = match (true) {
            in_array('cal_expired', $reasons, true),
            in_array('out_of_instrument_range', $reasons, true) => Verdict::Invalid,
            $limit->holds($value, $guarded ? $uncertainty : 0.0) => Verdict::Pass,
            $guarded && $limit->holds($value, -$uncertainty) => Verdict::Marginal,
            default => Verdict::Fail,
        };

        return new LimitResult($verdict, $value, $limit->unit, $margin, $reasons);
    }

    /** @throws InputError */
    private static function uncertainty(Instrument $instrument, ReadingLimit $limit): float
    {
        if ($instrument->unit->dimension() !== $limit->unit->dimension()) {
            throw InputError::at(
                'instrument.unit',
                "{$instrument->unit->value} ({$instrument->unit->dimension()}) cannot "
                    ."measure {$limit->unit->value} ({$limit->unit->dimension()})",
            );
        }

        return $instrument->unit->differenceTo($limit->unit, $instrument->uncertainty);
    }

    /** @return list<string> */
    private static function reasons(
        Quantity $reading,
        ReadingLimit $limit,
        Day $on,
        Instrument $instrument,
        float $uncertainty,
    ): array {
        $shown = $reading->in($instrument->unit)->value;
        $reasons = [];
        if ($on->number > $instrument->calDue->number) {
            $reasons[] = 'cal_expired';
        }
        if (! Near::atLeast($shown, $instrument->low) || ! Near::atMost($shown, $instrument->high)) {
            $reasons[] = 'out_of_instrument_range';
        }
        if ($limit->low !== null && $limit->high !== null && ! Near::atLeast(
            $limit->high - $limit->low,
            8 * $uncertainty,
        )) {
            $reasons[] = 'coarse_instrument';
        }

        return $reasons;
    }
}
