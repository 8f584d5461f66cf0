<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * Where aircraft stand in work.
 *
 * @property int $id
 * @property string $name
 * @property string $base
 * @property int $people most at work in it at once
 * @property array<int, array{string, string}> $hours local hours by ISO weekday; a day without them is closed
 * @property-read Collection<int, BaySlot> $slots
 */
final class Bay extends Model
{
    protected $casts = ['hours' => 'array'];

    /** @return HasMany<BaySlot, $this> */
    public function slots(): HasMany
    {
        return $this->hasMany(BaySlot::class)->orderBy('start');
    }
}
