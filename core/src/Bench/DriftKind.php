<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;

/** The `drift` kind. */
final class DriftKind implements Kind
{
    public function name(): string
    {
        return 'drift';
    }

    public function compute(Input $in): array
    {
        $readings = $in->each('readings', static fn(Input $r): DriftReading => new DriftReading(
            $r->day('date'),
            $r->number('value'),
            $r->has('reset') && $r->bool('reset'),
        ));

        return Drift::of($readings, $in->numberOrNull('min'), $in->numberOrNull('max'))->toArray();
    }
}
