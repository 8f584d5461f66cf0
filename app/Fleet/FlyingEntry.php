<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Shared\Model;

/**
 * One day's flying of one aircraft.
 *
 * @property int $aircraft_id
 * @property string $date
 * @property array<string, float> $flown by counter
 */
final class FlyingEntry extends Model
{
    protected $casts = ['flown' => 'array'];
}
