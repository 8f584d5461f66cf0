<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Input;

/** The `rig_next` kind. */
final class RigNextKind implements Kind
{
    public function name(): string
    {
        return 'rig_next';
    }

    public function compute(Input $in): array
    {
        $deadline = Deadline::in($in->intOr('budget_ms', 2000));
        $in->uniqueIds('points');
        $in->uniqueIds('adjusters');
        $points = $in->each('points', static fn(Input $p): ReadPoint => ReadPoint::of(
            $p->string('id'),
            $p->number('min'),
            $p->number('max'),
            $p->number('noise'),
        ));

        return RigNext::after(
            $points,
            $in->each('adjusters', RigKind::adjuster(...)),
            self::effects($in->object('effects'), $in->numberOrNull('effect_pct') ?? 10.0),
            $in->each('match', RigKind::match(...)),
            $in->each('runs', static fn(Input $r): MeasuredRun => new MeasuredRun(
                $r->numbers('readings'),
                $r->numbers('moves'),
            )),
            $deadline,
        )->toArray();
    }

    /** @return array<string, array<string, Effect>> */
    private static function effects(Input $table, float $percent): array
    {
        $plain = [];
        foreach ($table->fields() as $adjuster) {
            $row = $table->object($adjuster);
            $plain[$adjuster] = [];
            foreach ($row->fields() as $point) {
                $is = $row->objectOrNumber($point);
                $plain[$adjuster][$point] = $is instanceof Input
                    ? ['mean' => $is->number('mean'), 'sd' => $is->number('sd')]
                    : $is;
            }
        }

        return RigModel::effects($plain, $percent);
    }
}
