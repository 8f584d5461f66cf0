<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Floor\Model\Card;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Parts reserved for a card.
 *
 * @property int $card_id
 * @property int $part_id
 * @property int $quantity
 * @property-read Part $part
 * @property-read Card $card
 */
final class CardPart extends Model
{
    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }
}
