<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;

/** The `turnbuckle` kind. */
final class TurnbuckleKind implements Kind
{
    public function name(): string
    {
        return 'turnbuckle';
    }

    public function compute(Input $in): array
    {
        $threads = $in->object('threads_showing');

        return Turnbuckle::turn(
            $in->number('pitch_mm'),
            $in->number('horn_radius_mm'),
            $in->number('error_deg'),
            $in->numberOrNull('step_turns') ?? 0.5,
            $threads->pair('let_out'),
            $threads->pair('take_up'),
            $in->number('max_threads_showing'),
        )->toArray();
    }
}
