<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Deferrals\Model\Deferral;
use App\Floor\Model\Damage;
use App\Floor\Model\Finding;
use App\Floor\Model\SafingDevice;
use App\Shared\AsCounters;
use App\Shared\AsDay;
use App\Shared\Model;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Jorvel\Core\Shared\Day;

/**
 * @property int $id
 * @property string $mark
 * @property int $type_id
 * @property int $fleet_id
 * @property string $base
 * @property int $floor_count counts whatever happens at it on the floor, so that nobody acts on what has changed
 * @property string $effectivity code by which parts and manual say what fits this tail
 * @property Day $entry_date
 * @property array<string, float> $entry_counters
 * @property array<string, float> $counters as at the end of `counters_as_of`
 * @property Day $counters_as_of
 * @property array<string, float> $rates mean use per calendar day, where there is no week's pattern
 * @property array<string, list<float>>|null $week by counter, Monday to Sunday
 * @property list<string>|null $options that are fitted to it, by the names that card templates use
 * @property list<string> $conditions harsh conditions of its own role, beside those of its base
 * @property-read AircraftType $type
 * @property-read Fleet $fleet
 * @property-read Base|null $home
 * @property-read Collection<int, ComponentTenure> $tenures what is fitted now
 * @property-read Collection<int, ComponentTenure> $emptied what was taken off last where nothing stands now
 * @property-read Collection<int, Damage> $damages those that are open
 * @property-read Collection<int, Sector> $sectors
 * @property-read Collection<int, Visit> $visits
 * @property-read Collection<int, Deferral> $deferrals
 * @property-read Collection<int, FlyingEntry> $flying those that stand
 * @property-read Collection<int, Finding> $findings
 * @property-read Collection<int, SafingDevice> $safing those still fitted
 */
final class Aircraft extends Model
{
    protected $table = 'aircraft';

    protected $casts = [
        'entry_date' => AsDay::class,
        'counters_as_of' => AsDay::class,
        'entry_counters' => AsCounters::class,
        'counters' => AsCounters::class,
        'rates' => AsCounters::class,
        'week' => 'array',
        'conditions' => 'array',
        'options' => 'array',
    ];

    /** @return BelongsTo<AircraftType, $this> */
    public function type(): BelongsTo
    {
        return $this->belongsTo(AircraftType::class);
    }

    /** @return BelongsTo<Fleet, $this> */
    public function fleet(): BelongsTo
    {
        return $this->belongsTo(Fleet::class);
    }

    /** @return BelongsTo<Base, $this> */
    public function home(): BelongsTo
    {
        return $this->belongsTo(Base::class, 'base', 'name');
    }

    /** @return HasMany<ComponentTenure, $this> */
    public function tenures(): HasMany
    {
        return $this->hasMany(ComponentTenure::class)->whereNull('to_date')->orderBy('position');
    }

    /** @return HasMany<ComponentTenure, $this> */
    public function emptied(): HasMany
    {
        $emptied = $this->hasMany(ComponentTenure::class);
        $emptied->whereNotNull('to_date')
            ->whereNotExists(static fn($q) => $q->from('tenures', 'later')
                ->whereColumn('later.aircraft_id', 'tenures.aircraft_id')
                ->whereColumn('later.position', 'tenures.position')
                ->whereColumn('later.id', '>', 'tenures.id'));

        return $emptied->orderBy('position');
    }

    /** @return HasMany<Damage, $this> those that are open */
    public function damages(): HasMany
    {
        $open = $this->hasMany(Damage::class);
        $open->where('state', Damage::OPEN);

        return $open->orderBy('id');
    }

    /** @return HasMany<Sector, $this> */
    public function sectors(): HasMany
    {
        return $this->hasMany(Sector::class)->orderBy('date')->orderBy('number');
    }

    /** @return HasMany<Visit, $this> */
    public function visits(): HasMany
    {
        return $this->hasMany(Visit::class)->orderBy('start');
    }

    /** @return HasMany<Deferral, $this> */
    public function deferrals(): HasMany
    {
        $carried = $this->hasMany(Deferral::class);
        $carried->where('state', 'open');

        return $carried;
    }

    /** @return HasMany<FlyingEntry, $this> */
    public function flying(): HasMany
    {
        $standing = $this->hasMany(FlyingEntry::class);
        $standing->where('current', true);

        return $standing->orderByDesc('date');
    }

    /** @return HasMany<SafingDevice, $this> */
    public function safing(): HasMany
    {
        return $this->hasMany(SafingDevice::class)->whereNull('removed_at');
    }

    /** @return HasMany<Finding, $this> */
    public function findings(): HasMany
    {
        return $this->hasMany(Finding::class);
    }

    /** @return list<string> every harsh condition it meets, by its base or its role */
    public function harshConditions(): array
    {
        return array_values(array_unique([...$this->home->conditions ?? [], ...$this->conditions ?? []]));
    }
}
