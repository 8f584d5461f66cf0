<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Now\CardNow;
use Jorvel\Core\Now\StepNow;

/** Whether a system is still under power or pressure when the step that put it there is over. */
final class Lasting
{
    /**
     * It is until a later step of the card ends it; where none does, the end of the step is the end of it.
     *
     * @pure
     */
    public static function after(CardNow $card, StepNow $step): bool
    {
        if ($step->acts === null || ! $step->acts->how->lasts()) {
            return false;
        }
        foreach ($card->steps as $later) {
            if ($later->no > $step->no && array_intersect($later->ends, $step->acts->systems) !== []) {
                return true;
            }
        }

        return false;
    }
}
