<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Library\Model\ProgrammeItem;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A programme item that was done: the history behind {@see ItemStatus}.
 *
 * @property int $item_id
 * @property int $aircraft_id
 * @property int|null $component_id
 * @property int|null $visit_id
 * @property string $date
 * @property array<string, float> $counters
 * @property-read ProgrammeItem $item
 * @property-read Component|null $component
 */
final class ItemDoing extends Model
{
    protected $casts = ['counters' => 'array'];

    /** @return BelongsTo<ProgrammeItem, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(ProgrammeItem::class);
    }

    /** @return BelongsTo<Component, $this> */
    public function component(): BelongsTo
    {
        return $this->belongsTo(Component::class);
    }
}
