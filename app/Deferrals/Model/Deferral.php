<?php

declare(strict_types=1);

namespace App\Deferrals\Model;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Finding;
use App\Shared\AsCounters;
use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * A finding carried under a listed item.
 *
 * @property int $listed_item_id
 * @property int $id
 * @property int $finding_id
 * @property int $aircraft_id
 * @property string $category
 * @property Instant $discovered_at
 * @property string $timezone
 * @property array<string, float> $limits
 * @property array<string, float> $at_discovery
 * @property Day|null $counted_to the day to which these had been counted
 * @property string $placard
 * @property bool $procedure_done
 * @property string $state
 * @property-read ListedItem $listedItem
 * @property-read Finding $finding
 * @property-read Aircraft $aircraft
 * @property-read Person $deferredBy
 */
final class Deferral extends Model
{
    protected $casts = [
        'discovered_at' => AsInstant::class,
        'counted_to' => AsDay::class,
        'limits' => 'array', 'at_discovery' => AsCounters::class, 'procedure_done' => 'boolean'];

    /** @return BelongsTo<ListedItem, $this> */
    public function listedItem(): BelongsTo
    {
        return $this->belongsTo(ListedItem::class);
    }

    /** @return BelongsTo<Finding, $this> */
    public function finding(): BelongsTo
    {
        return $this->belongsTo(Finding::class);
    }

    /** @return BelongsTo<Aircraft, $this> */
    public function aircraft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function deferredBy(): BelongsTo
    {
        return $this->belongsTo(Person::class, 'deferred_by');
    }
}
