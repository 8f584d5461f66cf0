<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Now\CardNow;

/** Why nobody may work a card, or sign it, as it stands. */
enum NotNow: string
{
    case Worked = 'worked';
    /** Its visit, or its check on the line, is over. */
    case Over = 'over';
    case Waits = 'waits';
    case ToReRead = 'to_re_read';
    case HandedOver = 'handed_over';
    case Early = 'early';

    /** The first that holds of working a step; null when it may be worked. @pure */
    public static function toWork(CardNow $card): ?self
    {
        return match (true) {
            $card->state()->worked() => self::Worked,
            $card->over => self::Over,
            $card->waitsFor !== null => self::Waits,
            $card->daysEarly > 0 => self::Early,
            default => self::ofAnyEntry($card),
        };
    }

    /** The first that holds of a signature or an inspection; null when neither is barred. @pure */
    public static function ofAnyEntry(CardNow $card): ?self
    {
        return match (true) {
            ! $card->revisionCurrent => self::ToReRead,
            $card->leftBy !== null && ! $card->state()->worked() => self::HandedOver,
            default => null,
        };
    }
}
