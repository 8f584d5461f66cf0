<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** The `pack` kind: reads its JSON input into values and writes the result. */
final class PackKind implements Kind
{
    public function name(): string
    {
        return 'pack';
    }

    public function compute(Input $in): array
    {
        $deadline = Deadline::in($in->intOr('budget_ms', 2000));
        $in->uniqueIds('items');
        $in->uniqueIds('visits');
        $access = $in->numbers('access_hours');
        $items = $in->each('items', static fn(Input $i): PackItem => self::item($i, $access));
        $visits = $in->each(
            'visits',
            static fn(Input $v): PackVisit => PackVisit::of(
                $v->string('id'),
                $v->day('start'),
                $v->day('end'),
                $v->number('capacity_hours'),
            ),
        );

        return Pack::into($items, $visits, $access, $in->numberOrNull('hour_weight') ?? 0.1, $deadline)->toArray();
    }

    /**
     * @param array<string, float> $access hours by panel
     *
     * @throws InputError at a panel without hours
     */
    public static function item(Input $i, array $access): PackItem
    {
        return PackItem::of(
            $i->string('id'),
            $i->day('earliest'),
            $i->day('latest'),
            $i->number('interval_days'),
            $i->number('hours'),
            PhaseKind::panels($i, $access),
            $i->numberOrNull('value') ?? 1.0,
        );
    }
}
