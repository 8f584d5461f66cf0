<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Shared\Model;

/**
 * Parts on their way.
 *
 * @property int $id
 * @property int $part_id
 * @property int $quantity
 * @property string $expected
 */
final class PartOrder extends Model {}
