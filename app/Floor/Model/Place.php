<?php

declare(strict_types=1);

namespace App\Floor\Model;

use App\Shared\Model;

/**
 * A named place on an aircraft type, in metres: x aft of the nose, y to the right of the middle, z above the ground.
 *
 * @property int $type_id
 * @property string $name
 * @property float $x
 * @property float $y
 * @property float $z
 */
final class Place extends Model {}
