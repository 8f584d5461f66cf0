<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Visits\PackKind;

/** The `season` kind: reads its JSON input into values and writes the result. */
final class SeasonKind implements Kind
{
    public function name(): string
    {
        return 'season';
    }

    public function compute(Input $in): array
    {
        foreach (['items', 'bays', 'fixed'] as $list) {
            if ($in->has($list)) {
                $in->uniqueIds($list);
            }
        }
        $access = $in->numbers('access_hours');
        $items = $in->each('items', static fn(Input $i): SeasonItem
            => SeasonItem::of(
                $i->string('aircraft'),
                PackKind::item($i, $access),
                $i->has('roof') && $i->bool('roof'),
                $i->objectOrNull('wish')?->day('day'),
                $i->objectOrNull('wish')?->number('hours') ?? 0.0,
                wash: $i->has('wash') && $i->bool('wash'),
            ));
        $bays = $in->each('bays', static fn(Input $b): SeasonBay => SeasonBay::of(
            $b->string('id'),
            $b->number('hours_per_day'),
            $b->intOr('at_once', 1),
            $b->has('fits') ? $b->strings('fits') : null,
            $b->has('weekdays') ? array_map(intval(...), $b->floats('weekdays')) : [1, 2, 3, 4, 5, 6, 7],
            $b->has('closed')
                ? $b->each('closed', static fn(Input $c): array => [$c->day('from'), $c->day('to')])
                : [],
            $b->has('outside') && $b->bool('outside'),
            $b->has('wash') && $b->bool('wash'),
        ));
        $fixed = $in->has('fixed') ? $in->each('fixed', static fn(Input $f): SeasonFixed => SeasonFixed::of(
            $f->string('id'),
            $f->string('aircraft'),
            $f->has('bay') ? $f->string('bay') : null,
            $f->day('start'),
            $f->day('end'),
            $f->number('free_hours'),
            $f->has('hours') ? $f->number('hours') : null,
        )) : [];
        $down = $in->has('down') ? $in->each(
            'down',
            static fn(Input $d): SeasonDown => SeasonDown::of($d->strings('aircraft'), $d->int('most')),
        ) : [];
        $weights = $in->objectOrNull('weights');
        $toll = [];
        foreach ($in->each('toll', static fn(Input $t): array => [
            $t->string('aircraft'), $t->day('date')->number, $t->number('hours'),
        ]) as $i => [$mark, $day, $hours]) {
            $toll[$mark][$day] = ($toll[$mark][$day] ?? 0.0)
                + ($hours >= 0 ? $hours : throw InputError::negative("toll.{$i}.hours"));
        }

        return Season::plan(
            SeasonGiven::of(
                $in->day('from'),
                $in->int('days'),
                $items,
                $access,
                $bays,
                $fixed,
                $down,
                $weights?->numberOrNull('day') ?? 4.0,
                $weights?->numberOrNull('visit') ?? 4.0,
                $toll,
                $in->each('people', self::people(...)),
            ),
            $in->intOr('budget_ms', 2000),
            $in->intOr('seed', 1),
        )->toArray();
    }

    /** @throws InputError at a day that is named twice */
    private static function people(Input $in): SeasonPeople
    {
        $hours = [];
        $days = $in->each('hours', static fn(Input $h): array => [$h->day('date'), $h->number('hours')]);
        foreach ($days as $i => [$day, $many]) {
            if (isset($hours[$day->number])) {
                throw InputError::usedTwice("hours.{$i}.date", (string) $day);
            }
            $hours[$day->number] = $many >= 0 ? $many : throw InputError::negative("hours.{$i}.hours");
        }

        return SeasonPeople::of($in->strings('bays'), $hours, $in->numberOrNull('over') ?? 2.0);
    }
}
