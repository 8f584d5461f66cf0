<?php

declare(strict_types=1);

namespace App\Now;

use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Visits\Model\Bay;
use App\Visits\Model\Visit;
use App\Visits\VisitWords;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Visits\NotThen;

/** Who stands in a bay and in which visit, and whether somebody else can be planned to. */
final readonly class LoadBay
{
    public function __construct(private LoadFlying $flying, private Clock $clock) {}

    /**
     * A visit that has a bay's last place on one of these days; null where it has room.
     *
     * @param int|null $but a visit that is not asked about: the one that is to be moved
     * @param array<int, Visit> $as visits as somebody supposes them, by id, in place of what is saved
     */
    private function taken(Bay $bay, Day $from, Day $to, ?int $but, array $as): ?Visit
    {
        $there = Visit::with('aircraft')
            ->where('bay', $bay->name)
            ->where('state', '!=', Visit::RELEASED)
            ->whereKeyNot($but ?? 0)
            ->orderBy('start')
            ->get()
            ->map(static fn(Visit $v): Visit => $as[$v->id] ?? $v)
            ->filter(fn(Visit $v): bool => $this->flying->span($v)->overlaps($from, $to));
        for ($day = $from; $there->isNotEmpty() && $day->number <= $to->number; $day = $day->plusDays(1)) {
            $in = $there->filter(fn(Visit $v): bool => $this->flying->span($v)->holds($day));
            if ($in->count() >= $bay->places) {
                return $in->first();
            }
        }

        return null;
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
     * An aircraft is in one visit at a time.
     *
     * @param string $kept what the refusal ends with
     * @param int|null $but a visit that is not asked about
     * @param array<int, Visit> $as visits as somebody supposes them, by id, in place of what is saved
     *
     * @throws Refused when it is in another visit on one of these days
     */
    public function requireApart(
        Aircraft $aircraft,
        Day $from,
        Day $to,
        string $kept,
        ?int $but = null,
        array $as = [],
    ): void {
        $other = Visit::where('aircraft_id', $aircraft->id)->whereKeyNot($but ?? 0)
            ->where('state', '!=', Visit::RELEASED)->orderBy('start')->get()
            ->map(static fn(Visit $v): Visit => $as[$v->id] ?? $v)
            ->first(fn(Visit $v): bool => $this->flying->span($v)->overlaps($from, $to));
        if ($other !== null) {
            $span = $this->flying->span($other);
            throw Refused::because(
                "{$aircraft->mark} is already in \"{$other->title}\" from {$span->from} to {$span->to}. {$kept}",
            );
        }
    }

    /**
     * @param Collection<array-key, string> $dry what of its work no wash is, in words
     * @param string $kept what the refusal ends with
     *
     * @throws Refused when it is a wash place, and any of it is not a wash
     */
    public function requireWashes(string $bay, Collection $dry, string $kept): void
    {
        $first = $dry->first();
        if ($first !== null && Bay::where('name', $bay)->where('washes', true)->exists()) {
            throw Refused::because(VisitWords::dry($bay, $first)." {$kept}");
        }
    }

    /**
     * The work among a visit's cards that is not of an item that is a wash, in words.
     *
     * @param Collection<int, Card> $cards with `item`, where they are many
     *
     * @return Collection<int, string>
     */
    public static function dry(Collection $cards): Collection
    {
        return $cards->filter(static fn(Card $c): bool => $c->isWork() && $c->item?->wash !== true)
            ->map(static fn(Card $c): string => "{$c->number} {$c->title}")->values();
    }

    /**
     * @param string $kept what the refusal ends with
     * @param int|null $but a visit that is not asked about
     * @param array<int, Visit> $as visits as somebody supposes them, by id, in place of what is saved
     *
     * @throws Refused when the bay is closed, or has no place left, on one of these days; on the apron there is room
     */
    public function requireFree(
        string $bay,
        Day $from,
        Day $to,
        string $kept,
        ?int $but = null,
        array $as = [],
    ): void {
        $is = Bay::with('closures')->where('name', $bay)->first();
        $closed = $is?->closed($from, $to);
        if ($closed !== null) {
            throw Refused::because("{$bay} is closed from {$closed->start} to {$closed->end}: {$closed->why}. {$kept}");
        }
        $other = $is === null ? null : $this->taken($is, $from, $to, $but, $as);
        if ($other !== null) {
            $span = $this->flying->span($other);
            throw Refused::because(VisitWords::inBay($other->aircraft->mark, $bay, $span)." {$kept}");
        }
    }
}
