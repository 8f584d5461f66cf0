<?php

declare(strict_types=1);

namespace Jorvel\Core\Floor;

use Jorvel\Core\Now\CardNow;
use Jorvel\Core\Now\LoanOut;

/** Why a card cannot be signed by somebody as worked. */
enum NotSigned: string
{
    case AlreadySigned = 'already_signed';
    case StepsOpen = 'steps_open';
    case StillLive = 'still_live';
    case NoHandInIt = 'no_hand_in_it';
    case InspectedIt = 'inspected_it';
    case LoansOut = 'loans_out';

    /**
     * The first that holds; null when it may be signed. Whoever inspected a step of it is no worker of it, and whoever
     * had no hand in it has nothing to sign for.
     *
     * @param list<string> $back ids of loans that are counted in with the signature
     *
     * @pure
     */
    public static function why(CardNow $card, string $by, array $back): ?self
    {
        $out = array_filter(
            $card->on->loansOf($card->ref->id),
            static fn(LoanOut $loan): bool => ! in_array($loan->id, $back, true),
        );

        return match (true) {
            $card->state()->worked() => self::AlreadySigned,
            $card->stepsOpen() !== [] => self::StepsOpen,
            $card->on->actingOf($card->ref->id) !== [] => self::StillLive,
            in_array($by, $card->inspectors, true) => self::InspectedIt,
            ! in_array($by, $card->hands, true) => self::NoHandInIt,
            $out !== [] => self::LoansOut,
            default => null,
        };
    }
}
