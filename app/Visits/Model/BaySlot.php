<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\AsDay;
use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Jorvel\Core\Shared\Day;

/**
 * A stretch of days for which a bay is free to take an aircraft, with so many hours of work.
 *
 * @property int $id
 * @property int $bay_id
 * @property Day $start
 * @property Day $end
 * @property float $hours
 * @property string $note
 * @property-read Bay $bay
 */
final class BaySlot extends Model
{
    protected $casts = [
        'start' => AsDay::class,
        'end' => AsDay::class,
        'hours' => 'float'];

    /** What of it is not taken from one day to another stays free, with its share of the hours. */
    public function leaveRest(Day $start, Day $end): void
    {
        $perDay = $this->hours / ($this->start->daysUntil($this->end) + 1);
        foreach ([[$this->start, $start->plusDays(-1)], [$end->plusDays(1), $this->end]] as [$from, $to]) {
            if ($from->number <= $to->number) {
                self::create([
                    ...$this->only('bay_id', 'note'), 'start' => (string) $from, 'end' => (string) $to,
                    'hours' => round($perDay * ($from->daysUntil($to) + 1), 1),
                ]);
            }
        }
        $this->delete();
    }

    /** @return BelongsTo<Bay, $this> */
    public function bay(): BelongsTo
    {
        return $this->belongsTo(Bay::class);
    }
}
