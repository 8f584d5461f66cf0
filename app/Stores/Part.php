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
 * @property list<string>|null $effectivity codes of the tails it fits; every tail where null
 * @property bool $one_time a seal, packing, locking wire or split pin, never used twice
 * @property-read Collection<int, PartBatch> $batches
 * @property-read Collection<int, PartOrder> $orders
 */
final class Part extends Model
{
    protected $casts = ['effectivity' => 'array', 'one_time' => 'boolean'];

    /** @return HasMany<PartBatch, $this> */
    public function batches(): HasMany
    {
        return $this->hasMany(PartBatch::class)->orderBy('expires')->orderBy('batch');
    }

    /** @return HasMany<PartOrder, $this> */
    public function orders(): HasMany
    {
        return $this->hasMany(PartOrder::class)->orderBy('expected');
    }
}
