<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Shared\Model;

/**
 * @property int $id
 * @property string $code
 * @property string $name
 * @property float|null $task hours it is to fly in a week
 */
final class Fleet extends Model
{
    protected $casts = ['task' => 'float'];
}
