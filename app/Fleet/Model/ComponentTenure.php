<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Shared\AsCounters;
use App\Shared\AsDay;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Fleet\Tenure;
use Jorvel\Core\Shared\Day;

/**
 * A component's time on one aircraft.
 *
 * @property int $id
 * @property int $component_id
 * @property int $aircraft_id
 * @property string $position
 * @property Day $from_date
 * @property Day $from_counted the day to which the aircraft was counted when it was fitted
 * @property array<string, float> $own the component's counters then
 * @property array<string, float> $aircraft the aircraft's counters then
 * @property Day|null $to_date null while it is fitted
 * @property Day|null $to_counted
 * @property array<string, float>|null $own_end
 * @property array<string, float>|null $aircraft_end
 * @property string|null $reason why it was taken off
 * @property-read Component $component
 * @property-read Aircraft $craft
 */
final class ComponentTenure extends Model
{
    protected $table = 'tenures';

    protected $casts = [
        'from_date' => AsDay::class,
        'from_counted' => AsDay::class,
        'to_date' => AsDay::class,
        'to_counted' => AsDay::class,
        'own' => AsCounters::class, 'aircraft' => AsCounters::class,
        'own_end' => AsCounters::class, 'aircraft_end' => AsCounters::class];

    /** @return BelongsTo<Component, $this> */
    public function component(): BelongsTo
    {
        return $this->belongsTo(Component::class);
    }

    /** @return BelongsTo<Aircraft, $this> */
    public function craft(): BelongsTo
    {
        return $this->belongsTo(Aircraft::class, 'aircraft_id');
    }

    /** As the core reckons with it; load `component` first. */
    public function tenure(): Tenure
    {
        return Tenure::begin(
            array_map(floatval(...), $this->own),
            array_map(floatval(...), $this->aircraft),
            $this->component->accrues,
        );
    }
}
