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
    private const PROVING = [
        'measurement', 'torque', 'timing', 'count', 'compare', 'hold', 'test', 'rig', 'answer', 'meet', 'sheet',
        'stabilise', 'reference', 'transition', 'sequence', 'indication', 'precharge', 'leak', 'selftest',
    ];

    /**
     * The steps after it that fall with it: every inspection that came after it; when it did something to the aircraft,
     * every proof, but for those of another position of its block; when it disturbed or joined something, what proves
     * that; what uses its answer or its mark; and when it put a system under power or pressure, what ended that.
     * Of a functional test with a verdict, or whose begin is taken back, everything falls, for it is set up anew; of
     * one that goes on, what its failure left unreached, and what was put back.
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
            && (($s->kind === 'inspection' && ! self::elsewhere($s, $back))
                || ($doing && in_array($s->kind, self::PROVING, true) && ! self::elsewhere($s, $back))
                || self::rests($s, $back)
                || self::ends($s, $back)));

        $keys = array_filter(array_map(
            static fn(StepNow $s): ?string => $s->test?->key,
            [...$falls, ...$back === null ? [] : [$back]],
        ));
        $with = array_filter($card->steps, static fn(StepNow $s): bool => $s->no !== $no && $s->done
            && in_array($s->test?->key, $keys, true) && self::withTest($card, $s, $back));
        $all = array_map(static fn(StepNow $s): int => $s->no, [...$falls, ...$with]);
        sort($all);

        return array_values(array_unique($all));
    }

    /** Whether a step of a functional test falls with another of it, or with something that its verdict rested on. */
    private static function withTest(CardNow $card, StepNow $step, ?StepNow $back): bool
    {
        foreach ($card->steps as $other) {
            if ($other->test?->key === $step->test?->key && $other->test?->part === TestPart::Verdict && $other->done) {
                return true;
            }
        }

        if ($back?->test?->key === $step->test?->key && $back?->test?->part === TestPart::Begin) {
            return true;
        }

        return $back?->test?->key === $step->test?->key && $back?->test?->part->skipped() === true
            && ($step->notReached || $step->test?->part === TestPart::Restore);
    }

    /** At another position of the same block. */
    private static function elsewhere(StepNow $step, ?StepNow $of): bool
    {
        return $of?->lane !== null && $step->lane !== null && $step->group === $of->group && $step->lane !== $of->lane;
    }

    private static function rests(StepNow $step, ?StepNow $of): bool
    {
        return ($of?->id !== null && in_array($of->id, $step->restsOn, true))
            || array_intersect($of?->handling?->touches() ?? [], $step->handling?->proven() ?? []) !== [];
    }

    private static function ends(StepNow $step, ?StepNow $of): bool
    {
        return $of?->acts !== null && $of->acts->how->lasts()
            && array_intersect($step->ends, $of->acts->systems) !== [];
    }
}
