<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;

/** The `rate` kind. */
final class RateKind implements Kind
{
    public function name(): string
    {
        return 'rate';
    }

    public function compute(Input $in): array
    {
        $baseline = $in->objectOrNull('baseline');

        return Rate::of(
            $in->int('events'),
            $in->number('exposure'),
            $in->numberOrNull('per') ?? 1000.0,
            $in->numberOrNull('confidence') ?? 0.9,
            $baseline === null ? null : [$baseline->int('events'), $baseline->number('exposure')],
        )->toArray();
    }
}
