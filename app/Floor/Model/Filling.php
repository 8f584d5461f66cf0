<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Crew\Model\Person;
use App\Shared\AsInstant;
use App\Shared\Model;
use App\Stores\Model\OfBatch;
use App\Stores\Model\Part;
use App\Stores\Model\PartBatch;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;

/**
 * A fluid, a grease, a sealant or a gas that a step put into a system, from a batch.
 *
 * @property int $id
 * @property int $step_id
 * @property int $card_id
 * @property int $aircraft_id
 * @property int $part_id
 * @property int $batch_id
 * @property string $system
 * @property string $position of its block, where it is one of several: the engine
 * @property float $quantity put in, in the unit
 * @property float $drained taken out before
 * @property string $unit
 * @property bool $uplift it is one of a row that tells use from a leak
 * @property float|null $flown flight hours of the aircraft then
 * @property int $person_id
 * @property Instant $at
 * @property bool $stands false once the step was taken back
 * @property-read Part $part
 * @property-read PartBatch $batch
 * @property-read Person $person
 */
final class Filling extends Model
{
    use OfBatch;

    protected $casts = [
        'at' => AsInstant::class,
        'quantity' => 'float', 'drained' => 'float', 'flown' => 'float', 'uplift' => 'boolean', 'stands' => 'boolean'];

    /**
     * @param Unit $in in which the quantities are told, whatever each was entered in
     *
     * @return list<array{float, float}> flight hours and quantity of a system's uplifts at one position, in order
     */
    public static function uplifts(int $aircraft, string $system, string $position, Unit $in): array
    {
        return array_values(self::where([
            'aircraft_id' => $aircraft, 'system' => $system, 'position' => $position, 'uplift' => true,
            'stands' => true,
        ])->whereNotNull('flown')->orderBy('id')->get()
            ->map(static fn(self $f): array => [
                (float) $f->flown, Unit::parse($f->unit)->to($in, $f->quantity)])->all());
    }
}
