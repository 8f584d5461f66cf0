<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/**
 * What holds a step that energises, moves or pressurises.
 *
 * Nothing overrides it: a step is free again when the last thing that stands against its systems is gone.
 */
final class Interlock
{
    /**
     * @param list<string> $systems that the step acts on; none for a step that acts on nothing
     * @param list<Standing> $standing everything on the aircraft, on whatever card
     *
     * @return list<Standing> what says no: people first, then open lines, then devices
     *
     * @pure
     */
    public static function holding(array $systems, array $standing): array
    {
        $holding = array_values(array_filter($standing, static fn(Standing $s): bool => $s->against($systems)));
        $order = ['person' => 0, 'open_line' => 1, 'device' => 2];
        usort($holding, static fn(Standing $a, Standing $b): int => ($order[$a->kind] ?? 3) <=> ($order[$b->kind] ?? 3));

        return $holding;
    }
}
