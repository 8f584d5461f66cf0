<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Now\Acting;
use Jorvel\Core\Now\CardNow;

/**
 * What moves, or is under power or pressure, where a card's work would be: nobody comes to the card before it has
 * ended.
 */
final class StayAway
{
    /**
     * Only what was begun on other cards: on its own card the order of the steps says what comes when. Whoever is at
     * the card already is there with whoever acts, by their call.
     *
     * @param string $by who would come
     *
     * @return list<Acting> in the order in which they were begun
     *
     * @pure
     */
    public static function from(CardNow $card, string $by): array
    {
        if ($card->state()->worked() || $card->has($by)) {
            return [];
        }

        return array_values(array_filter(
            $card->on->acting,
            static fn(Acting $a): bool => $a->card->id !== $card->ref->id && $a->touch->meets($card->touch),
        ));
    }
}
