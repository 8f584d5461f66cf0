<?php

declare(strict_types=1);

namespace App\Visits\Show;

use App\Fleet\Model\Aircraft;
use App\Floor\Model\Card;
use App\Now\HangarHours;
use App\Shared\Clock;
use App\Visits\Model\BaySlot;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\PackVisit;

/** Where work on an aircraft could be done: its visits that are planned, and the free bay slots at its base. */
final readonly class FreeSlots
{
    public function __construct(private Clock $clock, private HangarHours $hangar) {}

    /**
     * Of many aircraft at once; a wash place is none.
     *
     * @param Collection<int, Aircraft> $aircraft
     * @param bool $begun also the visits that are in work, from now on
     *
     * @return array<int, array<string, array{PackVisit, string, string, string}>> by aircraft and id: the visit, its
     *   kind, title and bay
     */
    public function all(Collection $aircraft, int $days, bool $begun = false): array
    {
        $today = $this->clock->today();
        $visits = Visit::with(['aircraft.type', $begun ? 'cards.steps' : 'cards'])
            ->whereIn('aircraft_id', $aircraft->pluck('id'))
            ->where('between', false)
            ->whereIn('state', $begun ? [Visit::PLANNED, Visit::IN_WORK] : [Visit::PLANNED])
            ->get()
            ->groupBy('aircraft_id');
        $free = BaySlot::with('bay')
            ->whereBetween('start', [(string) $today, (string) $today->plusDays($days)])
            ->whereNotExists(static fn($q) => $q->from('bay_closures')
                ->whereColumn('bay_closures.bay_id', 'bay_slots.bay_id')
                ->whereColumn('bay_closures.start', '<=', 'bay_slots.end')
                ->whereColumn('bay_closures.end', '>=', 'bay_slots.start'))
            ->orderBy('start')
            ->get();
        $all = [];
        foreach ($aircraft as $one) {
            $slots = [];
            foreach ($visits->get($one->id, []) as $visit) {
                $slots["visit-{$visit->id}"] = [$this->visit($visit), 'visit', $visit->title, $visit->bay];
            }
            foreach ($free->where('bay.base', $one->base) as $slot) {
                $slots["slot-{$slot->id}"] = [
                    PackVisit::of("slot-{$slot->id}", $slot->start, $slot->end, $slot->hours),
                    'free',
                    $slot->note === '' ? 'Free' : "Free, {$slot->note}",
                    $slot->bay->name,
                ];
            }
            uasort($slots, static fn(array $a, array $b): int => $a[0]->start->number <=> $b[0]->start->number);
            $all[$one->id] = $slots;
        }

        return $all;
    }

    /** A visit with the hours that are free in it; of one in work, from today and beside what is left. */
    private function visit(Visit $visit): PackVisit
    {
        $begun = $visit->state === Visit::IN_WORK;
        $today = $this->clock->today();
        $start = $begun ? $today : $visit->start;
        $end = $visit->end->number < $start->number ? $start : $visit->end;
        $from = Instant::firstAfter($start->plusDays(-1), $this->clock->zone());
        $hours = $this->hangar->of($visit, $begun ? $this->clock->now() : $from);
        $own = $begun
            ? $visit->cards->sum(static fn(Card $c): float => $c->hoursLeft())
            : (float) $visit->cards->sum('hours');
        $room = $hours->personHours(0, $hours->at(Instant::firstAfter($end, $this->clock->zone())))
            * (float) config('jorvel.usable_share') - $own;

        return PackVisit::of("visit-{$visit->id}", $start, $end, max(0.0, round($room, 1)));
    }
}
