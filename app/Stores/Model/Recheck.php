<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Floor\Model\Card;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A card whose readings rest on a recalled tool, and the card that takes them again.
 *
 * @property int $recall_id
 * @property int $card_id
 * @property int $by_card_id
 * @property-read Card $card
 * @property-read Card $byCard
 * @property-read ToolRecall $recall
 */
final class Recheck extends Model
{
    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class, 'card_id');
    }

    /** @return BelongsTo<Card, $this> */
    public function byCard(): BelongsTo
    {
        return $this->belongsTo(Card::class, 'by_card_id');
    }

    /** @return BelongsTo<ToolRecall, $this> */
    public function recall(): BelongsTo
    {
        return $this->belongsTo(ToolRecall::class, 'recall_id');
    }
}
