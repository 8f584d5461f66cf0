<?php

declare(strict_types=1);

namespace App\Floor;

use App\Crew\Model\Person;
use App\Floor\Model\Card;

/**
 * A card was closed: told in the transaction that closes it, so that what hangs on it is written with it or not at all.
 */
final readonly class CardClosed
{
    public function __construct(public Person $by, public Card $card) {}
}
