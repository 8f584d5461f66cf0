<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Jorvel\Core\Shared\Day;

/**
 * A part number in the store.
 *
 * @property int $id
 * @property string $number
 * @property string $title
 * @property string $place
 * @property list<string>|null $effectivity codes of the tails it fits; every tail where null
 * @property string|null $specification of a fluid, a grease, a sealant or a gas
 * @property string|null $unit in which its batches are counted; pieces where null
 * @property list<string>|null $never systems that it must never meet
 * @property bool $one_time a seal, packing, locking wire or split pin, never used twice
 * @property-read Collection<int, PartBatch> $batches
 * @property-read Collection<int, PartOrder> $orders
 */
final class Part extends Model
{
    protected $casts = ['effectivity' => 'array', 'never' => 'array', 'one_time' => 'boolean'];

    /** @return HasMany<PartBatch, $this> */
    public function batches(): HasMany
    {
        return $this->hasMany(PartBatch::class)->orderBy('expires')->orderBy('batch');
    }

    /** What can be taken on a day: what no shelf life keeps back. Load `batches` first. */
    public function usable(Day $on): int
    {
        return (int) $this->batches->filter(static fn(PartBatch $b): bool => ! $b->expired($on))->sum('quantity');
    }

    /** @return HasMany<PartOrder, $this> */
    public function orders(): HasMany
    {
        return $this->hasMany(PartOrder::class)->orderBy('expected');
    }
}
