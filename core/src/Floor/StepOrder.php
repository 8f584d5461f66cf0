<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** In what order the steps of a card are worked. */
final class StepOrder
{
    /**
     * The first step that must be done before another may be; null when that one is free.
     *
     * Steps of one group are worked in any order, but only once all before the group are done; those of one lane of it
     * in their order. A free step is asked at any time after those before it and holds nothing up.
     *
     * @param list<StepPlace> $steps in the card's order
     *
     * @pure
     */
    public static function blocking(array $steps, int $wanted): ?int
    {
        $is = null;
        foreach ($steps as $step) {
            $is = $step->no === $wanted ? $step : $is;
        }
        foreach ($steps as $step) {
            if ($step->no === $wanted) {
                return null;
            }
            if (! $step->done && ! $step->free && ! self::beside($step, $is)) {
                return $step->no;
            }
        }

        return null;
    }

    /** Of one group, and not of one lane of it. */
    private static function beside(StepPlace $step, ?StepPlace $wanted): bool
    {
        return $wanted?->group !== null && $step->group === $wanted->group
            && ($step->lane === null || $step->lane !== $wanted->lane);
    }
}
