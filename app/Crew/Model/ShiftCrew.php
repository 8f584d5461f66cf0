<?php

declare(strict_types=1);

namespace App\Crew\Model;

use App\Shared\AsDay;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Jorvel\Core\Shared\Day;

/**
 * The crew of one shift of a base, as the controller kept it.
 *
 * @property int $id
 * @property string $base
 * @property Day $date
 * @property string $shift
 * @property int $version counts every change, for optimistic locking
 * @property-read Collection<int, ShiftPlace> $places
 */
final class ShiftCrew extends Model
{
    protected $casts = [
        'date' => AsDay::class,
    ];

    /** @return HasMany<ShiftPlace, $this> */
    public function places(): HasMany
    {
        return $this->hasMany(ShiftPlace::class, 'crew_id');
    }
}
