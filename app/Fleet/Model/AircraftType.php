<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Library\Model\ProgrammeItem;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $code
 * @property string $name
 * @property string $arrangement how its work is cut, in words
 * @property array{unit: string, interval: float, most: float}|null $phase of a phased type: hours from one phase to the
 * next, and the most it flies in a week
 * @property array<string, list<string>> $inspected systems whose work is inspected independently, by chapter, with what
 * is looked at
 * @property array<string, list<string>> $systems of the aircraft that each chapter is about
 * @property array<string, mixed>|null $outline its drawing in three views, in metres
 * @property-read Collection<int, ProgrammeItem> $items those in force
 * @property-read Collection<int, ProgrammeItem> $programme with those withdrawn
 */
final class AircraftType extends Model
{
    protected $casts = ['phase' => 'array', 'inspected' => 'array', 'outline' => 'array', 'systems' => 'array'];

    /**
     * What an independent inspection looks at after work on a system; nothing where that system is not always
     * inspected.
     *
     * @param string $chapter of the manual; its system is the first two figures
     *
     * @return list<string>
     */
    public function inspectedOn(string $chapter): array
    {
        return $this->inspected[substr($chapter, 0, 2)] ?? [];
    }

    /**
     * The systems that work on a chapter has its hands in; none where the chapter is about no system that moves or
     * carries anything.
     *
     * @return list<string>
     */
    public function systemsOf(string $chapter): array
    {
        return $this->systems[substr($chapter, 0, 2)] ?? [];
    }

    /** @return HasMany<ProgrammeItem, $this> */
    public function items(): HasMany
    {
        $inForce = $this->hasMany(ProgrammeItem::class, 'type_id');
        $inForce->where('withdrawn', false)->whereNull('line');

        return $inForce->orderBy('code');
    }

    /** @return HasMany<ProgrammeItem, $this> */
    public function programme(): HasMany
    {
        return $this->hasMany(ProgrammeItem::class, 'type_id')->orderBy('code');
    }
}
