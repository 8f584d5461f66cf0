<?php

declare(strict_types=1);

namespace App\Now;

use App\Crew\Do\Rosters;
use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Shared\Memo;
use App\Visits\Model\Bay;
use App\Visits\Model\Visit;
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
        private readonly Rosters $rosters,
        private readonly Memo $memo,
    ) {}

    public function bay(string $name): ?Bay
    {
        return $this->bays()->firstWhere('name', $name);
    }

    /** @return Collection<int, Bay> */
    private function bays(): Collection
    {
        return $this->memo->of('bays', ['bays'], static fn(): Collection => Bay::orderBy('id')->get());
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
        $last = max($first->number, Day::parse($visit->end)->number) + self::BEYOND;
        $open = $bay->hours ?? array_fill(1, 6, (array) config('jorvel.usual_hours'));
        $spells = $this->rosters->of($this->base($visit))
            ->spells($first, $last - $first->number + 1, $visit->aircraft->type->code, $open, $bay?->people);
        $left = [];
        // Where nobody rated works, the board still has its hours: with nobody in them.
        foreach ($spells === [] ? $this->empty($first, $last, $open) : $spells as $spell) {
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

    /**
     * @param array<array-key, array<array-key, string>> $open hours by ISO weekday
     *
     * @return list<Spell>
     */
    private function empty(Day $first, int $last, array $open): array
    {
        $spells = [];
        for ($n = $first->number; $n <= $last; $n++) {
            $day = Day::fromNumber($n);
            $hours = $open[$day->weekday()] ?? null;
            if ($hours !== null) {
                $spells[] = new Spell($this->clock->at($day, $hours[0]), $this->clock->at($day, $hours[1]), ['*' => 0]);
            }
        }

        return $spells;
    }

    /**
     * People by skill and slot, less those whom the plans of other visits at the same base have taken.
     *
     * @return array<string, list<int>>
     */
    public function free(Visit $visit, WorkHours $hours): array
    {
        $there = $free = $hours->people();
        $bays = $this->bays()->where('base', $this->base($visit))->pluck('name');
        $others = Card::whereNotNull('planned_start')->whereNot('state', Card::CLOSED)->whereNot('visit_id', $visit->id)
            ->whereHas('visit', static fn($q) => $q->whereNot('state', Visit::RELEASED)->whereIn('bay', $bays))
            ->get(['id', 'needs', 'planned_start', 'planned_end']);
        foreach ($others as $card) {
            $needs = [...$card->needs ?? [], '*' => array_sum($card->needs ?? [])];
            $until = min($hours->count(), $hours->at(Instant::parse((string) $card->planned_end)));
            for ($slot = $hours->at(Instant::parse((string) $card->planned_start)); $slot < $until; $slot++) {
                // Where its people are not on shift it rests, and takes nobody.
                $rests = array_filter(
                    $needs,
                    static fn(int $many, string $skill): bool => ($there[$skill][$slot] ?? 0) < $many,
                    ARRAY_FILTER_USE_BOTH,
                ) !== [];
                foreach ($rests ? [] : $needs as $skill => $many) {
                    $free[$skill][$slot] = max(0, $free[$skill][$slot] - $many);
                }
            }
        }

        return array_map(array_values(...), $free);
    }
}
