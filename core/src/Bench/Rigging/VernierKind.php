<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;

/** The `vernier` kind. */
final class VernierKind implements Kind
{
    public function name(): string
    {
        return 'vernier';
    }

    public function compute(Input $in): array
    {
        return Vernier::turn(
            $in->int('unit_teeth'),
            $in->int('lever_teeth'),
            $in->number('required_deg'),
            $in->has('max_unit_steps') ? $in->int('max_unit_steps') : null,
            $in->has('max_lever_steps') ? $in->int('max_lever_steps') : null,
        )->toArray();
    }
}
