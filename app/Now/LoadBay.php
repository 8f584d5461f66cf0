<?php

declare(strict_types=1);

namespace App\Now;

use App\Shared\Clock;
use App\Shared\Refused;
use App\Visits\Model\Bay;
use App\Visits\Model\Visit;
use App\Visits\VisitWords;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\NotThen;

/** Who stands in a bay, and whether somebody else can be planned to. */
final readonly class LoadBay
{
    public function __construct(private LoadFlying $flying, private Clock $clock) {}

    /**
     * The visit that has a bay on one of these days; null where it is free. A bay of the list takes one aircraft at a
     * time; elsewhere there is room.
     *
     * @param int|null $but a visit that is not asked about: the one that is to be moved
     */
    private function taken(string $bay, Day $from, Day $to, ?int $but): ?Visit
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

    /**
     * @param string $kept what the refusal ends with
     * @param Day|null $asked the day on which it is asked for; today where null
     *
     * @throws Refused when nobody can be planned to stand on such days
     */
    public function requireDays(Day $from, Day $to, string $kept, ?Day $asked = null): void
    {
        $why = NotThen::of($from, $to, $asked ?? $this->clock->today(), (int) config('jorvel.plan_ahead_days'));
        if ($why !== null) {
            throw Refused::because(trim(VisitWords::notThen($why, $from, $to)." {$kept}"));
        }
    }

    /**
     * @param string $kept what the refusal ends with
     *
     * @throws Refused when it is neither a bay that there is nor the apron
     */
    public function requireKnown(string $bay, string $kept): void
    {
        if ($bay !== Visit::LINE && ! Bay::where('name', $bay)->exists()) {
            throw Refused::because(VisitWords::noBay($bay, Bay::orderBy('name')->pluck('name')->all())." {$kept}");
        }
    }

    /**
     * @param string $kept what the refusal ends with
     * @param int|null $but a visit that is not asked about
     *
     * @throws Refused when another aircraft stands in the bay on one of these days
     */
    public function requireFree(string $bay, Day $from, Day $to, string $kept, ?int $but = null): void
    {
        $other = $this->taken($bay, $from, $to, $but);
        if ($other !== null) {
            $span = $this->flying->span($other);
            throw Refused::because(VisitWords::inBay($other->aircraft->mark, $bay, $span)." {$kept}");
        }
    }
}
