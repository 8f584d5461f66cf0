<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;

/** The `rig` kind. */
final class RigKind implements Kind
{
    public function name(): string
    {
        return 'rig';
    }

    public function compute(Input $in): array
    {
        $in->uniqueIds('points');
        $in->uniqueIds('adjusters');
        $points = $in->each('points', static fn(Input $p): RigPoint => RigPoint::of(
            $p->string('id'),
            $p->number('value'),
            $p->number('min'),
            $p->number('max'),
            $p->numberOrNull('aim'),
            $p->numberOrNull('weight') ?? 1.0,
        ));
        $adjusters = $in->each('adjusters', self::adjuster(...));
        $matches = $in->each('match', self::match(...));
        $table = $in->object('effects');
        $effects = [];
        foreach ($table->fields() as $adjuster) {
            $effects[$adjuster] = $table->numbers($adjuster);
        }

        return Rig::solve($points, $adjusters, $effects, $matches)->toArray();
    }

    public static function adjuster(Input $a): Adjuster
    {
        return Adjuster::of(
            $a->string('id'),
            $a->number('step'),
            $a->number('min'),
            $a->number('max'),
            Turn::from($a->string('positive')),
        );
    }

    public static function match(Input $m): RigMatch
    {
        [$a, $b] = $m->strings('points');

        return RigMatch::of($a, $b, $m->number('within'));
    }
}
