<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\AsDay;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Day;

/**
 * Days on which nothing stands or is worked in a bay, and why.
 *
 * @property int $id
 * @property int $bay_id
 * @property Day $start
 * @property Day $end
 * @property string $why
 * @property int $person_id who closed it
 * @property-read Bay $bay
 */
final class BayClosure extends Model
{
    protected $casts = ['start' => AsDay::class, 'end' => AsDay::class];

    public function overlaps(Day $from, Day $to): bool
    {
        return $this->start->number <= $to->number && $from->number <= $this->end->number;
    }

    /** @return BelongsTo<Bay, $this> */
    public function bay(): BelongsTo
    {
        return $this->belongsTo(Bay::class);
    }
}
