<?php

declare(strict_types=1);

namespace App\Now;

use App\Fleet\Model\Sector;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Model\Visit;
use App\Visits\VisitWords;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\Idle;
use Jorvel\Core\Visits\VisitExit;

/** What a visit runs against, said alike wherever it is named: flights, a closed bay, a plan that ends too late. */
final readonly class VisitDoubts
{
    /** What of a visit it reads, beside its cards. */
    public const WITH = ['aircraft.sectors', 'aircraft.type', 'plan'];

    public function __construct(private Clock $clock, private HangarHours $hangar, private LoadExits $exits) {}

    /**
     * @param Visit $visit with {@see WITH} and cards, with their state and times
     *
     * @return list<string>
     */
    public function of(Visit $visit): array
    {
        return $visit->state === Visit::RELEASED ? [] : array_values(array_filter([
            $this->over($visit, $visit->aircraft->sectors),
            $this->dry($visit),
            $this->closed($visit),
            $this->late($visit),
            $this->idle($visit),
        ]));
    }

    /**
     * Flights that are planned on the days of a visit; a wash is worked between them.
     *
     * @param Collection<int, Sector> $sectors of its aircraft
     */
    public function over(Visit $visit, Collection $sectors): ?string
    {
        return $visit->between ? null : $this->flights($sectors, $visit->start, $visit->end);
    }

    /**
     * Flights that are planned on some days, from today on.
     *
     * @param Collection<int, Sector> $sectors
     */
    public function flights(Collection $sectors, Day $start, Day $end): ?string
    {
        $from = max($start->number, $this->clock->today()->number);
        $over = $sectors->filter(static fn(Sector $s): bool => $from <= $s->date->number
            && $s->date->number <= $end->number);
        $first = $over->first();

        return $first === null ? null : Words::count($over->count(), 'flight').' '
            .($over->count() === 1 ? 'is' : 'are')." planned on its days, the first {$first->number} on "
            .$this->clock->words($first->date).'.';
    }

    /** That it has work for which a wash place is none. */
    public function dry(Visit $visit): ?string
    {
        $first = $visit->between
            ? LoadBay::dry($visit->cards->reject(static fn(Card $c): bool => $c->worked())->loadMissing('item'))->first()
            : null;

        return $first === null ? null : VisitWords::dry($visit->bay, $first).' Move the visit to a bay.';
    }

    /** That its bay is closed on one of its days, from today on. */
    public function closed(Visit $visit): ?string
    {
        $from = Day::fromNumber(max($visit->start->number, $this->clock->today()->number));
        // An aircraft that has stayed too long stands there today.
        $until = Day::fromNumber(max($visit->end->number, $from->number));
        $closed = $this->hangar->bay($visit->bay)?->closed($from, $until);

        return $closed === null ? null : "{$visit->bay} is closed from {$this->clock->words($closed->start)} to "
            ."{$this->clock->words($closed->end)}: {$closed->why}. Nothing is worked in it then.";
    }

    /** That it leaves later than it must, by its plan, or has none. */
    public function late(Visit $visit): ?string
    {
        return $this->exits->late(
            $visit->end,
            $visit->plan?->problem(),
            self::exit($visit),
            ! $visit->cards->every(static fn(Card $c): bool => $c->worked()),
        );
    }

    /** That cards are planned for when their people are not there: they have leave since, or the bay is closed. */
    public function idle(Visit $visit): ?string
    {
        $now = $this->clock->now();
        $open = $visit->cards->filter(static fn(Card $c): bool => ! $c->worked() && $c->planned_end !== null
            && $now->isBefore($c->planned_end));
        if ($open->isEmpty()) {
            return null;
        }
        $times = $open->map(static fn(Card $c): int => ($c->planned_start ?? $now)->epoch())
            ->concat($open->map(static fn(Card $c): int => (int) $c->planned_end?->epoch()));
        $day = fn(int $at): Day => Instant::fromEpoch($at)->dayIn($this->clock->zone());
        $people = $this->hangar->there($visit, $day((int) $times->min()), $day((int) $times->max()));
        $many = $open->filter(static fn(Card $c): bool => Idle::is(
            $c->begun_at === null ? $c->planned_start : null,
            $c->planned_end,
            $c->needs ?? [$c->skill => 1],
            $now,
            $people,
        ))->count();

        return $many === 0 ? null : VisitWords::idle($many).' Search on its board, and it is planned anew.';
    }

    /** The first day on which a visit could end so that it leaves in time by its plan; null where it has none. */
    public function leavesBy(Visit $visit): ?Day
    {
        $exit = $visit->plan?->problem() === null ? self::exit($visit) : null;
        $day = $exit?->dayIn($this->clock->zone());

        return $day === null || ! $this->exits->mustLeave($day)->isBefore($exit) ? $day : $day->plusDays(1);
    }

    /** @param Visit $visit with its cards */
    private static function exit(Visit $visit): ?Instant
    {
        return VisitExit::of($visit->cards->map(static fn(Card $c): ?Instant => $c->closed_at ?? $c->planned_end));
    }
}
