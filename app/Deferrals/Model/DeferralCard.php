<?php

declare(strict_types=1);

namespace App\Deferrals\Model;

use App\Floor\Model\Card;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Deferrals\Stage;

/**
 * A card of a deferral: the one that makes it safe, or one of its closure.
 *
 * @property int $deferral_id
 * @property int $card_id
 * @property string $part `safe`, or a {@see Stage} of the closure: `fix`, `reverse`, `test`
 * @property-read Card $card
 * @property-read Deferral $deferral
 */
final class DeferralCard extends Model
{
    public const SAFE = 'safe';

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<Deferral, $this> */
    public function deferral(): BelongsTo
    {
        return $this->belongsTo(Deferral::class);
    }

    /** The stage of the closure that its card is; null for the one that makes it safe. */
    public function stage(): ?Stage
    {
        return Stage::tryFrom($this->part);
    }
}
