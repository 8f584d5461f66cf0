<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Shared\Model;

/**
 * A panel of a type, to be opened and closed.
 *
 * @property int $type_id
 * @property string $code
 * @property string $title
 * @property string $zone
 * @property float $open_hours
 * @property float $close_hours
 */
final class Panel extends Model
{
    protected $casts = ['open_hours' => 'float', 'close_hours' => 'float'];

    public function hours(): float
    {
        return $this->open_hours + $this->close_hours;
    }
}
