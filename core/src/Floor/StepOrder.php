<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** In what order the steps of a card are worked. */
final class StepOrder
{
    /**
     * The first step that must be done before another may be; null when that one is free.
     *
     * Steps of one group are worked in any order, but only once all before the group are done; a free step is asked at
     * any time after those before it and holds nothing up.
     *
     * @param list<StepPlace> $steps in the card's order
     *
     * @pure
     */
    public static function blocking(array $steps, int $wanted): ?int
    {
        $group = null;
        foreach ($steps as $step) {
            $group = $step->no === $wanted ? $step->group : $group;
        }
        foreach ($steps as $step) {
            if ($step->no === $wanted) {
                return null;
            }
            if (! $step->done && ! $step->free && ($group === null || $step->group !== $group)) {
                return $step->no;
            }
        }

        return null;
    }
}
