<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\GasPressure;
use Jorvel\Core\Shared\Input;

/** The `depletion` kind: reads its JSON input into values and writes the result. */
final class DepletionKind implements Kind
{
    public function name(): string
    {
        return 'depletion';
    }

    public function compute(Input $in): array
    {
        $unit = $in->unit('unit');
        $reference = $in->numberOrNull('reference_temp_c') ?? 21.0;
        if ($reference <= -GasPressure::ZERO_C) {
            throw $in->error('reference_temp_c', 'is not above absolute zero');
        }
        $readings = $in->each('readings', static fn(Input $r): GasReading => GasReading::of(
            $r->day('date'),
            $r->number('pressure'),
            $r->number('temp_c'),
            $unit,
            $r->has('replaced') && $r->bool('replaced'),
        ));

        return Depletion::of(
            $readings,
            $unit,
            $in->number('min_pressure'),
            $reference,
            $in->numberOrNull('expected_per_day'),
        )->toArray();
    }
}
