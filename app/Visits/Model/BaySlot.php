<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A stretch of days for which a bay is free to take an aircraft, with so many hours of work.
 *
 * @property int $id
 * @property int $bay_id
 * @property string $start
 * @property string $end
 * @property float $hours
 * @property string $note
 * @property-read Bay $bay
 */
final class BaySlot extends Model
{
    protected $casts = ['hours' => 'float'];

    /** @return BelongsTo<Bay, $this> */
    public function bay(): BelongsTo
    {
        return $this->belongsTo(Bay::class);
    }
}
