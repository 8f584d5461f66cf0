<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

/** In what order the steps of a card are worked. */
final class StepOrder
{
    /**
     * The first step that must be done before another may be; null when that one is free.
     *
     * A finding prompt asks a question at any time and holds nothing up.
     *
     * @param list<array{int, bool, bool}> $steps number, done, free of order; in the card's order
     *
     * @pure
     */
    public static function blocking(array $steps, int $wanted): ?int
    {
        foreach ($steps as [$no, $done, $free]) {
            if ($no === $wanted) {
                return null;
            }
            if (! $done && ! $free) {
                return $no;
            }
        }

        return null;
    }
}
