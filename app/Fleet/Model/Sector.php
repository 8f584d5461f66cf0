<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Shared\AsDay;
use App\Shared\Model;
use Jorvel\Core\Shared\Day;

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
 */
final class Sector extends Model
{
    protected $casts = [
        'date' => AsDay::class,
        'use' => 'array'];
}
