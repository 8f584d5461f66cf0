<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Contract\Kind;
use Jorvel\Core\Shared\Input;
use Jorvel\Core\Shared\InputError;

/** The `stagger` kind: reads its JSON input into values and writes the result. */
final class StaggerKind implements Kind
{
    public function name(): string
    {
        return 'stagger';
    }

    public function compute(Input $in): array
    {
        $in->uniqueIds('aircraft');
        $tasks = $in->each('weeks', static fn(Input $w): float => $w->number('task'));
        $aircraft = $in->each('aircraft', static fn(Input $a): StaggerAircraft => self::aircraft($a, count($tasks)));

        return Stagger::propose(
            $aircraft,
            $tasks,
            $in->number('interval'),
            $in->numberOrNull('margin') ?? 0.0,
            $in->numberOrNull('step') ?? 0.5,
        )->toArray();
    }

    /** @throws InputError for a week that is not among the coming ones */
    private static function aircraft(Input $in, int $weeks): StaggerAircraft
    {
        $stands = [];
        foreach ($in->strings('stands') as $i => $week) {
            $stands[] = (int) $week < $weeks ? (int) $week : throw $in->error(
                "stands.{$i}",
                "is not one of the {$weeks} weeks, counted from 0",
            );
        }
        $phase = $in->objectOrNull('phase');
        if ($phase !== null && $phase->int('first') >= $weeks) {
            throw $phase->error('first', "is not one of the {$weeks} weeks, counted from 0");
        }

        return StaggerAircraft::of(
            $in->string('id'),
            $in->number('left'),
            $in->number('most'),
            $in->numberOrNull('least') ?? 0.0,
            $stands,
            $phase?->int('first'),
            $phase?->int('last'),
        );
    }
}
