<?php

declare(strict_types=1);

namespace App\Stores\Model;

use App\Shared\AsDay;
use App\Shared\Model;
use App\Shared\Words;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Jorvel\Core\Shared\Day;

/**
 * Parts that came together, with one shelf life.
 *
 * @property int $id
 * @property int $part_id
 * @property string $batch
 * @property int $quantity
 * @property Day|null $expires last day
 * @property-read Part $part
 * @property-read Collection<int, PartMove> $moves
 */
final class PartBatch extends Model
{
    protected $casts = [
        'expires' => AsDay::class,
    ];

    /** Its last day itself is still good. */
    public function expired(Day $on): bool
    {
        return $this->expires !== null && $this->expires->number < $on->number;
    }

    /** Why nothing can be taken from it on a day; null when something can. */
    public function spent(Day $on): ?string
    {
        return match (true) {
            $this->expires !== null && $this->expired($on) => 'shelf life ran out on '.Words::day($this->expires, $on),
            $this->quantity < 1 => 'none left',
            default => null,
        };
    }

    /** Pieces that left for aircraft and have not come back; load `moves` first. */
    public function taken(): int
    {
        return -(int) $this->moves->whereIn('kind', [MoveKind::Fitted, MoveKind::Back])->sum('quantity');
    }

    /** @return HasMany<PartMove, $this> the latest first */
    public function moves(): HasMany
    {
        return $this->hasMany(PartMove::class, 'batch_id')->orderByDesc('id');
    }

    /** @return BelongsTo<Part, $this> */
    public function part(): BelongsTo
    {
        return $this->belongsTo(Part::class);
    }
}
