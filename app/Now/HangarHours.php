<?php

declare(strict_types=1);

namespace App\Now;

use App\Crew\Do\Rotas;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Shared\Memo;
use App\Visits\Model\Bay;
use App\Visits\Model\Visit;
use Closure;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\Spell;
use Jorvel\Core\Visits\WorkHours;

/** The hours in which a visit can be worked, with who is there and not on another visit of the same base. */
final class HangarHours
{
    /** How many days beyond a visit's end are looked at. */
    private const BEYOND = 45;

    public function __construct(
        private readonly Clock $clock,
        private readonly Rotas $rotas,
        private readonly Memo $memo,
    ) {}

    public function bay(string $name): ?Bay
    {
        return $this->bays()->firstWhere('name', $name);
    }

    /** @return Collection<int, Bay> */
    private function bays(): Collection
    {
        return $this->memo->of(
            'bays',
            ['bays', 'bay_closures'],
            static fn(): Collection => Bay::with('closures')->orderBy('id')->get(),
        );
    }

    public function base(Visit $visit): string
    {
        return $this->bay($visit->bay)->base ?? $visit->aircraft->base;
    }

    /** The hours of a visit from the next half hour on; load `aircraft.type` first. */
    public function of(Visit $visit, Instant $from): WorkHours
    {
        // On the half hour, so that a plan of some minutes later has the same slots.
        $from = Instant::fromEpoch((int) ceil($from->epoch() / 1800) * 1800);
        $bay = $this->bay($visit->bay);
        $first = $from->dayIn($this->clock->zone());
        $last = max($first->number, $visit->end->number) + self::BEYOND;
        $base = $this->base($visit);
        $type = $visit->aircraft->type->code;

        return $this->memo->of(
            "hours {$from} {$last} {$base} {$type} {$visit->bay}",
            [...Rotas::TABLES, 'bays', 'bay_closures'],
            fn(): WorkHours => $this->hours($from, $first, $last, $base, $type, $bay),
        );
    }

    /**
     * Who could be at work on a visit at an instant of some days, by skill; load `aircraft.type` first.
     *
     * @return Closure(Instant): array<string, int> empty where nothing is worked
     */
    public function there(Visit $visit, Day $first, Day $last): Closure
    {
        $base = $this->base($visit);
        $type = $visit->aircraft->type->code;
        $spells = [];
        for ($day = $first; $day->number <= $last->number; $day = $day->plusDays(1)) {
            array_push($spells, ...$this->memo->of(
                "spells {$day->number} {$base} {$type} {$visit->bay}",
                [...Rotas::TABLES, 'bays', 'bay_closures'],
                fn(): array => $this->spells($base, $type, $this->bay($visit->bay), $day, 1),
            ));
        }

        return static function (Instant $at) use ($spells): array {
            foreach ($spells as $spell) {
                if (! $at->isBefore($spell->from) && $at->isBefore($spell->until)) {
                    return $spell->people;
                }
            }

            return [];
        };
    }

    /** @return list<Spell> in which a type is worked on at a base, in a bay or outside, while that is not closed */
    private function spells(string $base, string $type, ?Bay $bay, Day $first, int $days): array
    {
        $spells = $this->rotas->of($base)->spells($first, $days, $type, self::open($bay), $bay?->people);

        return array_values(array_filter($spells, function (Spell $spell) use ($bay): bool {
            $day = $spell->from->dayIn($this->clock->zone());

            return $bay?->closed($day, $day) === null;
        }));
    }

    /** @return array<array-key, array<array-key, string>> hours by ISO weekday */
    private static function open(?Bay $bay): array
    {
        return $bay->hours ?? array_fill(1, 6, (array) config('jorvel.usual_hours'));
    }

    private function hours(Instant $from, Day $first, int $last, string $base, string $type, ?Bay $bay): WorkHours
    {
        $days = $last - $first->number + 1;
        $left = [];
        $spells = $this->spells($base, $type, $bay, $first, $days);
        // Where nobody rated works, the board still has its hours: with nobody in them.
        foreach ($spells === [] ? $this->empty($first, $last, $bay) : $spells as $spell) {
            if ($from->isBefore($spell->until)) {
                $left[] = new Spell(
                    $spell->from->isBefore($from) ? $from : $spell->from,
                    $spell->until,
                    $spell->people,
                );
            }
        }

        return WorkHours::of($left);
    }

    /** @return list<Spell> */
    private function empty(Day $first, int $last, ?Bay $bay): array
    {
        $open = self::open($bay);
        $spells = [];
        for ($n = $first->number; $n <= $last; $n++) {
            $day = Day::fromNumber($n);
            $hours = $bay?->closed($day, $day) === null ? $open[$day->weekday()] ?? null : null;
            if ($hours !== null) {
                $spells[] = new Spell($this->clock->at($day, $hours[0]), $this->clock->at($day, $hours[1]), ['*' => 0]);
            }
        }

        return $spells;
    }

    /**
     * People by skill and slot, less those whom the plans of other visits at the same base have taken. Who is at work
     * on a card goes on with it: what others have only planned does not take them from it.
     *
     * @return array<string, list<int>>
     */
    public function free(Visit $visit, WorkHours $hours): array
    {
        $there = $hours->people();
        $working = $planned = [];
        foreach ($this->others($visit) as $card) {
            $from = $hours->at($card->planned_start);
            $until = min($hours->count(), $hours->at($card->planned_end));
            if ($card->state === Card::IN_WORK) {
                self::take($working, $there, $card, $from, $until);
            } else {
                self::take($planned, $there, $card, $from, $until);
            }
        }
        $own = [];
        foreach ($this->inWork($visit) as $card) {
            $slots = $hours->slots($card->hoursLeft() / max(1, array_sum($card->needs ?? [1])));
            self::take($own, $there, $card, 0, min($hours->count(), $slots));
        }
        $free = [];
        foreach ($there as $skill => $many) {
            foreach ($many as $slot => $in) {
                $left = $in - ($working[$skill][$slot] ?? 0);
                $keeps = min($own[$skill][$slot] ?? 0, $left);
                $free[$skill][] = max(0, $keeps, $left - ($planned[$skill][$slot] ?? 0));
            }
        }

        return $free;
    }

    /** @return Collection<int, Card> what other visits at the same base have planned and not closed */
    private function others(Visit $visit): Collection
    {
        $base = $this->base($visit);
        // Whoever stands in one of its bays, or at none of the list while the aircraft lives there.
        $at = fn($q) => $q->whereNot('state', Visit::RELEASED)->where(fn($q) => $q
            ->whereIn('bay', $this->bays()->where('base', $base)->pluck('name'))
            ->orWhere(fn($q) => $q
                ->whereNotIn('bay', $this->bays()->pluck('name'))
                ->whereHas('aircraft', static fn($q) => $q->where('base', $base))));

        return Card::whereNotNull('planned_start')->whereNot('state', Card::CLOSED)->whereNot('visit_id', $visit->id)
            ->whereHas('visit', $at)
            ->get(['id', 'skill', 'state', 'needs', 'planned_start', 'planned_end']);
    }

    /** @return Collection<int, Card> with their steps */
    private function inWork(Visit $visit): Collection
    {
        $cards = $visit->relationLoaded('cards')
            ? $visit->cards->where('state', Card::IN_WORK)->values()
            : $visit->cards()->where('state', Card::IN_WORK)->get();

        return $cards->loadMissing('steps');
    }

    /**
     * Takes a card's people over some slots; where they are not on shift it rests, and takes nobody.
     *
     * @param array<array-key, array<int, int>> $taken by skill and slot
     * @param array<string, list<int>> $there
     */
    private static function take(array &$taken, array $there, Card $card, int $from, int $until): void
    {
        $needs = [...$card->needs ?? [$card->skill => 1], '*' => array_sum($card->needs ?? [1])];
        for ($slot = $from; $slot < $until; $slot++) {
            foreach ($needs as $skill => $many) {
                if (($there[$skill][$slot] ?? 0) < $many) {
                    continue 2;
                }
            }
            foreach ($needs as $skill => $many) {
                $taken[$skill][$slot] = ($taken[$skill][$slot] ?? 0) + $many;
            }
        }
    }
}
