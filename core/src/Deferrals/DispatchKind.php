<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;

/** The `dispatch` kind. */
final class DispatchKind implements Kind
{
    public function name(): string
    {
        return 'dispatch';
    }

    public function compute(Input $in): array
    {
        $dispatch = Dispatch::with(self::carried($in));
        $flight = $in->object('flight');
        $sector = Input::within($flight->path(''), static fn(): Sector => Sector::of(
            '',
            $flight->instant('departs'),
            $flight->instant('arrives'),
            self::conditions($flight, ['departs', 'arrives']),
        ));
        $at = $in->instant('at');

        return Input::within($flight->path(''), static fn(): DispatchResult => $dispatch->judge($sector, $at))
            ->toArray();
    }

    /**
     * The deferred items of an aircraft, as `dispatch` and `swap` take them.
     *
     * @return list<Carried>
     */
    public static function carried(Input $in): array
    {
        $in->uniqueIds('deferred');

        return $in->each('deferred', static fn(Input $d): Carried => Carried::of(
            $d->string('id'),
            $d->string('system'),
            $d->int('inoperative'),
            $d->int('installed'),
            $d->int('required'),
            $d->strings('needs_operative'),
            $d->bools('forbid'),
            $d->numbers('restrict'),
            ! $d->has('placard') || $d->bool('placard'),
            Procedure::from($d->stringOr('procedure', 'none')),
            $d->isNull('expires_at') ? null : $d->instant('expires_at'),
        ));
    }

    /**
     * What a flight states beside its own fields.
     *
     * @param list<string> $own
     *
     * @return array<string, bool>
     */
    public static function conditions(Input $flight, array $own): array
    {
        $conditions = [];
        foreach (array_diff($flight->fields(), $own) as $name) {
            $conditions[$name] = $flight->bool($name);
        }

        return $conditions;
    }
}
