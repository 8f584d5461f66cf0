<?php

declare(strict_types=1);

namespace App\Fleet\Model;

use App\Shared\Model;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property string $code
 * @property string $name
 * @property float|null $task hours it is to fly in a week
 */
final class Fleet extends Model
{
    protected $casts = ['task' => 'float'];

    /** @return HasMany<Aircraft, $this> */
    public function aircraft(): HasMany
    {
        return $this->hasMany(Aircraft::class);
    }
}
