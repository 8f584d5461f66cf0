<?php

declare(strict_types=1);

namespace App\Stores;

use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A part number in the store.
 *
 * @property int $id
 * @property string $number
 * @property string $title
 * @property int $stock
 * @property string $place
 * @property-read Collection<int, PartOrder> $orders
 */
final class Part extends Model
{
    /** @return HasMany<PartOrder, $this> */
    public function orders(): HasMany
    {
        return $this->hasMany(PartOrder::class)->orderBy('expected');
    }
}
