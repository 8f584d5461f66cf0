<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Shared\AsCounters;
use App\Shared\AsDay;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;
use Jorvel\Core\Fleet\ComponentTag;
use Jorvel\Core\Fleet\Depletion;
use Jorvel\Core\Fleet\DepletionResult;
use Jorvel\Core\Fleet\GasReading;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/**
 * An engine, a propeller, a gear leg, a bottle: something with a life of its own that moves between aircraft.
 *
 * @property int $id
 * @property string $kind `engine`, `propeller`, `main gear`, `oxygen bottle` …; programme items name it
 * @property string $title
 * @property string $part_no
 * @property string $serial
 * @property Day $entry_date when its own clock started
 * @property array<string, float> $counters as it left its last aircraft; while it is fitted, its tenure tells
 * @property array<string, array{string, float}> $accrues own counter: the aircraft's counter it follows, and how much
 * of it
 * @property array{unit: string, minimum: float, expected?: float, reference?: float}|null $gauge of a bottle or an
 * accumulator
 * @property string|null $place where it lies while it is not fitted
 * @property ComponentTag $tag of one that is not fitted
 * @property string|null $tag_why
 * @property-read ComponentTenure|null $tenure where it is fitted now
 * @property-read Collection<int, ComponentTenure> $tenures
 * @property-read Collection<int, PressureReading> $readings those that stand, by date
 * @property-read Collection<int, PressureReading> $log all of them, the latest first
 */
final class Component extends Model
{
    protected $casts = [
        'entry_date' => AsDay::class,
        'counters' => AsCounters::class, 'accrues' => 'array', 'gauge' => 'array', 'tag' => ComponentTag::class];

    protected $attributes = ['tag' => 'serviceable'];

    /** @return HasOne<ComponentTenure, $this> */
    public function tenure(): HasOne
    {
        return $this->hasOne(ComponentTenure::class)->whereNull('to_date');
    }

    /** @return HasMany<ComponentTenure, $this> */
    public function tenures(): HasMany
    {
        return $this->hasMany(ComponentTenure::class)->orderByDesc('id');
    }

    /** @return HasMany<PressureReading, $this> */
    public function readings(): HasMany
    {
        $standing = $this->hasMany(PressureReading::class);
        $standing->where('current', true);

        return $standing->orderBy('date')->orderBy('id');
    }

    /** @return HasMany<PressureReading, $this> */
    public function log(): HasMany
    {
        return $this->hasMany(PressureReading::class)->orderByDesc('date')->orderByDesc('id');
    }

    public function name(): string
    {
        return "{$this->title} {$this->serial}";
    }

    /**
     * Its trend; null for a component without a gauge or with too few readings since its last change.
     */
    public function trend(): ?DepletionResult
    {
        if ($this->gauge === null) {
            return null;
        }
        $unit = Unit::parse($this->gauge['unit']);
        try {
            return Depletion::of(
                array_values($this->readings->map(static fn(PressureReading $r): GasReading => GasReading::of(
                    $r->date,
                    $r->pressure,
                    $r->temp_c,
                    $unit,
                    $r->replaced,
                ))->all()),
                $unit,
                (float) $this->gauge['minimum'],
                (float) ($this->gauge['reference'] ?? 21),
                isset($this->gauge['expected']) ? (float) $this->gauge['expected'] : null,
            );
        } catch (InputError) {
            return null;
        }
    }
}
