<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * What was said of one point of a circuit.
 *
 * @property int $id
 * @property int $step_id
 * @property string $point its id in the step
 * @property string $entry as typed; a finding's number where one was raised there; empty for a tick
 * @property float|null $value
 * @property string $verdict
 * @property int|null $tool_id
 * @property int $person_id
 * @property Instant $at
 * @property bool $stands
 * @property-read Person $person
 */
final class CircuitPoint extends Model
{
    protected $casts = ['at' => AsInstant::class, 'stands' => 'boolean', 'value' => 'float'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
