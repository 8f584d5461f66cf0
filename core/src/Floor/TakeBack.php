<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Now\CardNow;
use Jorvel\Core\Now\StepNow;

/**
 * What falls when a done step is taken back.
 *
 * What was proven after something was done to the aircraft rests on it: when that is done again, it is proven again. A
 * proof from before is none.
 */
final class TakeBack
{
    /** What changes the aircraft, or what a later reading is taken with. */
    private const DOING = ['instruction', 'part', 'torque', 'count', 'rig', 'tool'];

    /** What shows that it is as it should be. */
    private const PROVING = ['measurement', 'torque', 'timing', 'count', 'compare', 'hold', 'test', 'rig'];

    /**
     * The steps after it that fall with it: every inspection that came after it; when it did something to the aircraft,
     * every proof; and when it put a system under power or pressure, what ended that.
     *
     * @return list<int> numbers, in the card's order; without its own
     *
     * @pure
     */
    public static function falls(CardNow $card, int $no): array
    {
        $back = $card->step($no);
        $doing = $back !== null && in_array($back->kind, self::DOING, true);
        $falls = array_filter($card->steps, static fn(StepNow $s): bool => $s->no > $no && $s->done
            && ($s->kind === 'inspection'
                || ($doing && in_array($s->kind, self::PROVING, true))
                || self::ends($s, $back)));

        return array_values(array_map(static fn(StepNow $s): int => $s->no, $falls));
    }

    private static function ends(StepNow $step, ?StepNow $of): bool
    {
        return $of?->acts !== null && $of->acts->how->lasts()
            && array_intersect($step->ends, $of->acts->systems) !== [];
    }
}
