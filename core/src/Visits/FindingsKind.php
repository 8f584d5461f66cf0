<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;

/** The `findings` kind: reads its JSON input into values and writes the result. */
final class FindingsKind implements Kind
{
    public function name(): string
    {
        return 'findings';
    }

    public function compute(Input $in): array
    {
        $prior = $in->object('prior');
        $fix = $in->object('fix_hours');
        $findings = Findings::after(
            $prior->number('shape'),
            $prior->number('rate'),
            $in->number('exposure_done'),
            $in->int('found'),
            $in->number('exposure_left'),
        );
        $room = $in->number('capacity_hours') - $in->number('open_fix_hours');

        return [
            'expected_more' => $findings->expectedMore,
            'p10' => $findings->quantile(0.1),
            'p50' => $findings->quantile(0.5),
            'p90' => $findings->quantile(0.9),
            'expected_total' => $findings->found + $findings->expectedMore,
            'expected_fix_hours' => $findings->expectedMore * $fix->number('median') * exp(
                $fix->number('sigma') ** 2 / 2,
            ),
            'p_fit' => $findings->chanceToFit(
                $fix->number('median'),
                $fix->number('sigma'),
                $room,
                $in->intOr('seed', 1),
                $in->intOr('draws', 20_000),
            ),
        ];
    }
}
