<?php

declare(strict_types=1);

namespace App\Deferrals\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\AircraftType;
use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * A revision of a type's list of what may be carried.
 *
 * @property int $id
 * @property int $type_id
 * @property int $revision
 * @property Day $issued
 * @property string $summary
 * @property Instant $at when it was brought in
 * @property-read Person|null $person who brought it in
 * @property-read AircraftType $type
 */
final class ListedRevision extends Model
{
    protected $casts = ['issued' => AsDay::class, 'at' => AsInstant::class];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<AircraftType, $this> */
    public function type(): BelongsTo
    {
        return $this->belongsTo(AircraftType::class);
    }

    /** The one in force; 0 where the type has no list. */
    public static function of(int $typeId): int
    {
        return (int) self::where('type_id', $typeId)->max('revision');
    }
}
