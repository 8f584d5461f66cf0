<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Now\CardInVisit;
use Jorvel\Core\Shared\Instant;

/** How many times their planned hours a visit's cards take. */
final class Pace
{
    /** Hours of closed cards from which on their pace tells something. */
    private const ENOUGH = 20.0;

    /**
     * By the cards that were closed by an instant; null until they are enough to tell.
     *
     * @param list<CardInVisit> $cards
     *
     * @pure
     */
    public static function of(array $cards, Instant $at): ?float
    {
        $planned = $spent = 0.0;
        foreach ($cards as $card) {
            if ($card->closed !== null && $card->spent !== null && ! $at->isBefore($card->closed)) {
                $planned += $card->hours;
                $spent += $card->spent;
            }
        }

        return $planned < self::ENOUGH ? null : $spent / $planned;
    }
}
