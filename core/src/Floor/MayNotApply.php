<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Now\CardNow;
use Jorvel\Core\Now\StepNow;

/** Which steps somebody at the aircraft may say do not apply, where the template itself does not say so. */
final class MayNotApply
{
    /** What keeps people or the aircraft safe, or shows that it is. */
    private const NEVER = ['caution', 'safing_fit', 'safing_remove', 'rollcall', 'inspection'];

    /**
     * Not a step that makes safe, or ends a pressure or a power; of a functional test only what is judged; one that
     * joins or proves only where nothing of it was disturbed and nothing on the card will. Those are worked, or the
     * template says for whom they are not.
     *
     * @pure
     */
    public static function by(CardNow $card, StepNow $step): bool
    {
        $what = [...$step->handling->joins ?? [], ...$step->handling?->proven() ?? []];
        foreach ($card->steps as $other) {
            $disturbs = array_column($other->handling->disturbs ?? [], 'what');
            if ($other->no !== $step->no && ! $other->notApplicable && array_intersect($disturbs, $what) !== []) {
                return false;
            }
        }

        return ! in_array($step->kind, self::NEVER, true) && $step->ends === []
            && ($step->test === null || $step->test->part === TestPart::Test)
            && array_intersect(array_column($card->on->notWhole(), 'what'), $what) === [];
    }
}
