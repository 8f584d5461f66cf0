<?php

declare(strict_types=1);

namespace App\Library\Model;

use App\Shared\Model;

/**
 * A zone of a type, and how many people it holds.
 *
 * @property int $type_id
 * @property string $name
 * @property int $most
 */
final class Zone extends Model {}
