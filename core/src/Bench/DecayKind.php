<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;

/** The `decay` kind: does it hold pressure. */
final class DecayKind implements Kind
{
    public function name(): string
    {
        return 'decay';
    }

    public function compute(Input $in): array
    {
        $at = static function (string $field) use ($in): PressureAt {
            $is = $in->object($field);

            return new PressureAt($is->instant('t'), $is->number('pressure'), $is->number('temp_c'));
        };

        return Decay::of(
            $at('start'),
            $at('end'),
            $in->unit('unit'),
            $in->bool('gas'),
            $in->number('max_per_hour'),
        )->toArray();
    }
}
