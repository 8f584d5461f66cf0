<?php

declare(strict_types=1);

namespace App\Crew\Model;

use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Crew\NotSecond;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * An authority that is entered and not yet confirmed by a second person: nobody holds it yet.
 *
 * @property int $person_id
 * @property string $value `duplicate` or `certify`
 * @property Day|null $valid_until the last day on which it will stand
 * @property string $paper what it rests on
 * @property int $entered_by
 * @property Instant $entered_at an instant
 * @property-read Person $person
 */
final class WaitingAuthority extends Model
{
    protected $casts = [
        'entered_at' => AsInstant::class,
        'valid_until' => AsDay::class,
    ];

    /** @return BelongsTo<Person, $this> who would hold it */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** Why somebody may not confirm it; null where they may. Load `person` first. */
    public function notSecond(Person $by, Day $today): ?NotSecond
    {
        return NotSecond::ofAuthority(
            $by->id,
            $this->person_id,
            $this->entered_by,
            gone: $this->person->goneOn($today),
            trainee: $this->person->trainee,
            until: $this->valid_until === null ? null : $this->valid_until,
            today: $today,
        );
    }
}
