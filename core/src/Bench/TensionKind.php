<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;

/** The `tension` kind: cable tension for the day's temperature. */
final class TensionKind implements Kind
{
    public function name(): string
    {
        return 'tension';
    }

    public function compute(Input $in): array
    {
        return Tension::of(
            $in->each('chart', static fn(Input $r): array => [$r->number('temp_c'), $r->number('tension')]),
            $in->number('plus'),
            $in->number('minus'),
            $in->number('measured'),
            $in->number('temp_c'),
            $in->numberOrNull('per_turn'),
        )->toArray();
    }
}
