<?php

declare(strict_types=1);

namespace App\Library;

use App\Shared\Model;

/**
 * @property int $id
 * @property string $code
 * @property string $title
 * @property int $revision the one now in force
 */
final class Manual extends Model {}
