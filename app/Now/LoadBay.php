<?php

declare(strict_types=1);

namespace App\Now;

use App\Visits\Model\Bay;
use App\Visits\Model\Visit;
use Jorvel\Core\Shared\Day;

/** Who stands in a bay. */
final readonly class LoadBay
{
    public function __construct(private LoadFlying $flying) {}

    /**
     * The visit that has a bay on one of these days; null where it is free. A bay of the list takes one aircraft at a
     * time; elsewhere there is room.
     *
     * @param int|null $but a visit that is not asked about: the one that is to be moved
     */
    public function taken(string $bay, Day $from, Day $to, ?int $but = null): ?Visit
    {
        if (! Bay::where('name', $bay)->exists()) {
            return null;
        }

        return Visit::with('aircraft')
            ->where('bay', $bay)
            ->where('state', '!=', Visit::RELEASED)
            ->whereKeyNot($but ?? 0)
            ->orderBy('start')
            ->get()
            ->first(fn(Visit $v): bool => $this->flying->span($v)->overlaps($from, $to));
    }
}
