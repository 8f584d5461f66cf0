<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Library\Model\ProgrammeItem;
use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Fleet\Validity;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * A check on the line, signed: it is good until the end of a day, or for one flight.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property int $item_id
 * @property int $visit_id the check
 * @property string|null $flight for which alone it is good, of a turnaround
 * @property Day $until its last day, in the operator's zone
 * @property int $person_id
 * @property Instant $at
 * @property-read Person $person
 * @property-read ProgrammeItem $item
 */
final class LineValidity extends Model
{
    protected $table = 'validities';

    protected $casts = ['until' => AsDay::class, 'at' => AsInstant::class];

    public function validity(): Validity
    {
        return Validity::until($this->until);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<ProgrammeItem, $this> */
    public function item(): BelongsTo
    {
        return $this->belongsTo(ProgrammeItem::class);
    }
}
