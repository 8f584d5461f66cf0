<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Shared\AsInstant;
use App\Shared\Model;
use Jorvel\Core\Shared\Instant;

/**
 * Somebody who ever had a hand in a card: worked, began, read or called something of it, also what was taken back
 * since; or stood over a trainee that did. They do not inspect it.
 *
 * @property int $id
 * @property int $card_id
 * @property int $person_id
 * @property Instant $since
 */
final class CardHand extends Model
{
    protected $casts = [
        'since' => AsInstant::class,
    ];
}
