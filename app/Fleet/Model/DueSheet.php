<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Fleet\Show\View\ReachRow;
use App\Shared\AsDay;
use App\Shared\Model;
use Jorvel\Core\Shared\Day;

/**
 * An aircraft's due dates as worked out on a day, kept so that the whole fleet can be shown at a glance. The database
 * drops it as soon as anything it rests on changes (triggers of the migration); it is never edited.
 *
 * @property int $aircraft_id
 * @property Day $day
 * @property string $head a {@see ReachRow} as JSON
 * @property string $rows list of [item, component, forecast, latest, status, unit, remaining] as JSON, days as numbers;
 * a bottle's trend has no item
 */
final class DueSheet extends Model
{
    protected $casts = [
        'day' => AsDay::class,
    ];

    public $incrementing = false;

    protected $primaryKey = 'aircraft_id';
}
