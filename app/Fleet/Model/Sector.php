<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Shared\AsDay;
use App\Shared\AsInstant;
use App\Shared\Model;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * A single flight that is planned; a day with sectors flies just them.
 *
 * @property int $id
 * @property int $aircraft_id
 * @property Day $date
 * @property string $number
 * @property string $from_place
 * @property string $to_place
 * @property array<string, float> $use by counter
 * @property Instant|null $departs_at null where the programme does not say
 * @property Instant|null $arrives_at
 * @property list<string>|null $conditions that it is to meet, as `icing`; null where the programme does not say
 */
final class Sector extends Model
{
    protected $casts = [
        'date' => AsDay::class,
        'use' => 'array', 'conditions' => 'array', 'departs_at' => AsInstant::class, 'arrives_at' => AsInstant::class];
}
