<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Crew\Model\Person;
use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * One reading of a bottle's or an accumulator's gauge; a correction is a new one beside it.
 *
 * @property int $id
 * @property int $component_id
 * @property int|null $person_id
 * @property Day $date
 * @property float $pressure in the gauge's unit
 * @property float $temp_c
 * @property bool $replaced changed or filled just before
 * @property bool $current it stands: not taken back, not corrected
 * @property int|null $corrects_id
 * @property string|null $reason
 * @property int|null $step_id of the card that read it
 * @property Instant $at
 * @property-read Component $component
 * @property-read Person|null $person
 */
final class PressureReading extends Model
{
    protected $casts = [
        'at' => AsInstant::class,
        'date' => AsDay::class,
        'pressure' => 'float', 'temp_c' => 'float', 'replaced' => 'boolean', 'current' => 'boolean'];

    /** @return BelongsTo<Component, $this> */
    public function component(): BelongsTo
    {
        return $this->belongsTo(Component::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
