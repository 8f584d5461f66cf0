<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Input;

/** The `swap` kind. */
final class SwapKind implements Kind
{
    public function name(): string
    {
        return 'swap';
    }

    public function compute(Input $in): array
    {
        $deadline = Deadline::in($in->intOr('budget_ms', 2000));
        $in->uniqueIds('lines');
        $in->uniqueIds('aircraft');
        $lines = $in->each('lines', static function (Input $l): SwapLine {
            $l->uniqueIds('sectors');

            return SwapLine::of(
                $l->string('id'),
                $l->string('station'),
                $l->each('sectors', static fn(Input $s): Sector => Sector::of(
                    $s->string('id'),
                    $s->instant('departs'),
                    $s->instant('arrives'),
                    DispatchKind::conditions($s, ['id', 'departs', 'arrives', 'fh', 'ldg']),
                    $s->number('fh'),
                    $s->number('ldg'),
                )),
                $l->has('planned') ? $l->string('planned') : null,
            );
        });
        $aircraft = $in->each('aircraft', static function (Input $a): SwapAircraft {
            $left = $a->numbers('left');

            return new SwapAircraft(
                $a->string('id'),
                $a->string('station'),
                $a->instant('free_from'),
                $left['fh'] ?? null,
                $left['ldg'] ?? null,
                Dispatch::with(DispatchKind::carried($a)),
            );
        });

        return Swap::of($lines, $aircraft, $in->instant('at'), $deadline)->toArray();
    }
}
