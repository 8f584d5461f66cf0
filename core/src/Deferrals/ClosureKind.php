<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;

/** The `closure` kind. */
final class ClosureKind implements Kind
{
    public function name(): string
    {
        return 'closure';
    }

    public function compute(Input $in): array
    {
        $in->uniqueIds('waits');
        $in->uniqueIds('slots');

        return Closure::of(
            $in->day('as_of'),
            $in->isNull('last_date') ? null : $in->day('last_date'),
            $in->number('hours'),
            $in->each('waits', static fn(Input $w): ClosureWait => new ClosureWait(
                $w->string('id'),
                $w->isNull('on') ? null : $w->day('on'),
            )),
            $in->each('slots', static fn(Input $s): ClosureSlot => ClosureSlot::of(
                $s->string('id'),
                $s->day('start'),
                $s->day('end'),
                $s->number('free_hours'),
            )),
        )->toArray();
    }
}
