<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** The `due` kind: reads its JSON input into values and writes the result. */
final class DueKind implements Kind
{
    public function name(): string
    {
        return 'due';
    }

    public function compute(Input $in): array
    {
        $warn = $in->intOr('warn_days', 14);

        return Due::of(self::flying($in), self::item($in->object('item')), $warn)->toArray();
    }

    /** @throws InputError */
    public static function flying(Input $in): Flying
    {
        $entry = $in->objectOrNull('entry');

        return Flying::of(
            $in->day('as_of'),
            $in->numbers('counters'),
            $in->numbers('rates'),
            $in->each(
                'plan',
                static fn(Input $p): PlanPeriod => PlanPeriod::of($p->day('from'), $p->day('to'), $p->numbers('rates')),
            ),
            $entry?->day('date'),
            $entry?->numbers('counters') ?? [],
        );
    }

    /** @throws InputError */
    public static function item(Input $in): DueItem
    {
        $limits = $in->each('limits', static fn(Input $l): DueLimit => DueLimit::of(
            $l->string('unit'),
            $l->number('interval'),
            $l->numberOrNull('threshold'),
            self::allowance($l, 'tolerance'),
            self::allowance($l, 'early'),
        ));
        $last = $in->has('last') ? self::last($in->object('last')) : null;

        return Input::within($in->path(''), static fn(): DueItem => DueItem::of(
            Rule::from($in->string('rule')),
            Rebase::from($in->string('rebase')),
            $limits,
            $last,
        ));
    }

    private static function allowance(Input $limit, string $field): ?Allowance
    {
        $in = $limit->objectOrNull($field);

        return $in === null ? null : Input::within($limit->path($field), static fn(): Allowance => Allowance::of(
            $in->numberOrNull('abs'),
            $in->numberOrNull('pct'),
            $in->numberOrNull('cap'),
        ));
    }

    private static function last(Input $in): LastDone
    {
        $counters = $days = [];
        $anchor = null;
        $planned = $in->has('planned') ? $in->object('planned') : Input::of(new \stdClass);
        foreach ($planned->fields() as $field) {
            if ($field === 'days' || $field === 'months') {
                $days[$field] = $planned->day($field);
            } elseif ($field === 'anchor_day') {
                $anchor = $planned->int($field);
            } else {
                $counters[$field] = $planned->number($field);
            }
        }

        return Input::within(
            $in->path(''),
            static fn(): LastDone => LastDone::on(
                $in->day('date'),
                $in->numbers('counters'),
                $counters,
                $days,
                $anchor,
            ),
        );
    }
}
