<?php

declare(strict_types=1);

namespace App\Stores;

use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * Parts that came together, with one shelf life.
 *
 * @property int $id
 * @property int $part_id
 * @property string $batch
 * @property int $quantity
 * @property string|null $expires last day
 * @property-read Part $part
 */
final class PartBatch extends Model
{
    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }
}
