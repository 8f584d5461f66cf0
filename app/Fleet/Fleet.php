<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Shared\Model;

/**
 * @property int $id
 * @property string $code
 * @property string $name
 */
final class Fleet extends Model {}
