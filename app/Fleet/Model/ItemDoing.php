<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Floor\Model\Card;
use App\Library\Model\ProgrammeItem;
use App\Shared\AsCounters;
use App\Shared\AsDay;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Day;

/**
 * A programme item that was done: the history behind {@see ItemStatus}.
 *
 * @property int $item_id
 * @property int $aircraft_id
 * @property int|null $component_id
 * @property int|null $visit_id
 * @property int|null $card_id on which it was done
 * @property string|null $done_by name and stamp; null where nobody is known
 * @property Day $date
 * @property array<string, float> $counters
 * @property-read ProgrammeItem $item
 * @property-read Component|null $component
 * @property-read Card|null $card
 */
final class ItemDoing extends Model
{
    protected $casts = [
        'date' => AsDay::class,
        'counters' => AsCounters::class];

    /** @return BelongsTo<ProgrammeItem, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(ProgrammeItem::class);
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class);
    }

    /** @return BelongsTo<Component, $this> */
    public function component(): BelongsTo
    {
        return $this->belongsTo(Component::class);
    }
}
