<?php

declare(strict_types=1);

namespace App\Visits\Model;

use App\Shared\Model;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Jorvel\Core\Shared\Day;

/**
 * Where aircraft stand in work.
 *
 * @property int $id
 * @property string $name
 * @property string $base
 * @property int $people most at work in it at once
 * @property int $places aircraft that stand in it at once
 * @property bool $washes nothing is worked in it but washes, each within an hour or two, between flights
 * @property array<int, array{string, string}> $hours local hours by ISO weekday; a day without them is closed
 * @property-read Collection<int, BaySlot> $slots
 * @property-read Collection<int, BayClosure> $closures
 */
final class Bay extends Model
{
    protected $casts = ['hours' => 'array', 'washes' => 'boolean'];

    /** Its first closure on one of these days; load `closures` first. */
    public function closed(Day $from, Day $to): ?BayClosure
    {
        return $this->closures->first(static fn(BayClosure $c): bool => $c->overlaps($from, $to));
    }

    /** @return HasMany<BaySlot, $this> */
    public function slots(): HasMany
    {
        return $this->hasMany(BaySlot::class)->orderBy('start');
    }

    /** @return HasMany<BayClosure, $this> */
    public function closures(): HasMany
    {
        return $this->hasMany(BayClosure::class)->orderBy('start');
    }
}
