<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Library\Model\FollowRule;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Instant;

/**
 * A limit that was exceeded: by how much, for how long, and what the table of the approved data made of it.
 *
 * @property int $id
 * @property string $number
 * @property int $aircraft_id
 * @property int $rule_id whose table it is, in the version that was in force
 * @property string $position
 * @property float $peak in the table's unit
 * @property float $seconds beyond the limit
 * @property string $source one of {@see SOURCES}
 * @property int|null $step_id whose reading it is
 * @property int $person_id
 * @property Instant $happened_at
 * @property Instant $at entered
 * @property string $row of the table, in its words
 * @property string $note
 * @property int|null $finding_id null where it is recorded and no more
 * @property string|null $mistake why it was none
 * @property-read Aircraft $craft
 * @property-read FollowRule $rule
 * @property-read Person $person
 * @property-read Finding|null $finding
 * @property-read Step|null $step
 */
final class Exceedance extends Model
{
    public const SOURCES = ['card', 'run', 'recorder', 'crew'];

    protected $casts = [
        'peak' => 'float', 'seconds' => 'float', 'happened_at' => AsInstant::class, 'at' => AsInstant::class];

    /** @return BelongsTo<Aircraft, $this> */
    public function craft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class, 'aircraft_id');
    }

    /** @return BelongsTo<FollowRule, $this> */
    public function rule(): BelongsTo
    {
        return $this->belongsTo(FollowRule::class, 'rule_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return BelongsTo<Finding, $this> */
    public function finding(): BelongsTo
    {
        return $this->belongsTo(Finding::class);
    }

    /** @return BelongsTo<Step, $this> */
    public function step(): BelongsTo
    {
        return $this->belongsTo(Step::class);
    }
}
