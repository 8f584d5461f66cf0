<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Shared\AsCounters;
use App\Shared\AsDay;
use App\Shared\Model;
use Jorvel\Core\Fleet\LastDone;
use Jorvel\Core\Shared\Day;

/**
 * When a programme item was last done on an aircraft, or on a component wherever it was, and what had been planned.
 *
 * @property int|null $aircraft_id
 * @property int|null $component_id
 * @property int $item_id
 * @property Day $date
 * @property array<string, float> $counters the aircraft's, or the component's own
 * @property Day|null $counted_to the day to which these counters had been counted
 * @property array<string, float|string|int>|null $planned
 */
final class ItemStatus extends Model
{
    protected $casts = [
        'date' => AsDay::class,
        'counted_to' => AsDay::class,
        'counters' => AsCounters::class, 'planned' => 'array'];

    /**
     * From the row's own columns, for loading many.
     *
     * @param string $counters JSON
     * @param string|null $planned JSON
     */
    public static function last(Day $date, string $counters, ?string $planned): LastDone
    {
        $at = $days = [];
        $anchor = null;
        if ($planned !== null) {
            foreach (json_decode($planned, true) as $unit => $value) {
                if ($unit === 'days' || $unit === 'months') {
                    $days[$unit] = Day::parse((string) $value);
                } elseif ($unit === 'anchor_day') {
                    $anchor = (int) $value;
                } else {
                    $at[$unit] = (float) $value;
                }
            }
        }

        return LastDone::on($date, json_decode($counters, true), $at, $days, $anchor);
    }
}
