<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Shared\Model;
use Jorvel\Core\Fleet\LastDone;
use Jorvel\Core\Shared\Day;

/**
 * When a programme item was last done on an aircraft, and what had been planned.
 *
 * @property int $aircraft_id
 * @property int $item_id
 * @property string $date
 * @property array<string, float> $counters
 * @property array<string, float|string|int>|null $planned
 */
final class ItemStatus extends Model
{
    protected $casts = ['counters' => 'array', 'planned' => 'array'];

    public function lastDone(): LastDone
    {
        $counters = $days = [];
        foreach ($this->planned ?? [] as $unit => $value) {
            if ($unit === 'days' || $unit === 'months') {
                $days[$unit] = Day::parse((string) $value);
            } elseif ($unit !== 'anchor_day') {
                $counters[$unit] = (float) $value;
            }
        }
        $anchor = $this->planned['anchor_day'] ?? null;

        return LastDone::on(Day::parse($this->date), array_map(floatval(...), $this->counters), $counters, $days, $anchor === null ? null : (int) $anchor);
    }
}
