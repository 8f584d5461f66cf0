<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\AsDay;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Day;

/**
 * A stretch of days for which a bay is free to take an aircraft, with so many hours of work.
 *
 * @property int $id
 * @property int $bay_id
 * @property Day $start
 * @property Day $end
 * @property float $hours
 * @property string $note
 * @property-read Bay $bay
 */
final class BaySlot extends Model
{
    protected $casts = [
        'start' => AsDay::class,
        'end' => AsDay::class,
        'hours' => 'float'];

    /** @return BelongsTo<Bay, $this> */
    public function bay(): BelongsTo
    {
        return $this->belongsTo(Bay::class);
    }
}
