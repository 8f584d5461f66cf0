<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Crew\Model\Person;
use App\Shared\AsCounters;
use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * One day's flying of one aircraft. It is never changed: a correction is a new entry for the same day, and the old one
 * stands no longer.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property Day $date
 * @property array<string, float> $flown by counter
 * @property bool $current it stands: no other corrects it
 * @property int|null $corrects_id
 * @property int|null $person_id
 * @property string $source `file`, `hand`, `feed`
 * @property string|null $reason of a correction
 * @property Instant|null $at
 * @property-read Aircraft $aircraft
 * @property-read Person|null $person
 */
final class FlyingEntry extends Model
{
    protected $casts = [
        'at' => AsInstant::class,
        'date' => AsDay::class,
        'flown' => AsCounters::class, 'current' => 'boolean'];

    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
