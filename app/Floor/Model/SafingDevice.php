<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * A lock, pin, cover, cap, collar or notice, from fitting to removal.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property int $card_id
 * @property int $fitted_step_id
 * @property string $kind
 * @property string $place
 * @property string $flag
 * @property Instant $fitted_at
 * @property Instant|null $removed_at
 * @property int|null $carried_by
 * @property list<string> $against systems that must not be energised, moved or pressurised while it is on; `*` for all
 * @property bool $open_line a line or connector left open
 * @property string|null $storage where what was taken off for it is kept
 * @property-read Finding|null $carrier
 * @property-read Card $card
 * @property-read Person $fitter
 * @property-read Aircraft $aircraft
 */
final class SafingDevice extends Model
{
    protected $casts = [
        'fitted_at' => AsInstant::class,
        'removed_at' => AsInstant::class,
        'against' => 'array', 'open_line' => 'boolean'];

    /** @return BelongsTo<Finding, $this> the finding whose deferral carries it */
    public function carrier(): BelongsTo
    {
        return $this->belongsTo(Finding::class, 'carried_by');
    }

    /** @return BelongsTo<Card, $this> */
    public function card(): BelongsTo
    {
        return $this->belongsTo(Card::class, 'card_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function fitter(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'fitted_by');
    }

    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class, 'aircraft_id');
    }
}
