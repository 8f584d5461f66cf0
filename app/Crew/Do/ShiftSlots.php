<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Floor\Model\Card;
use App\Shared\Clock;
use App\Visits\Model\Bay;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Builder;
use Jorvel\Core\Crew\AssignSlot;
use Jorvel\Core\Crew\Role as SlotRole;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Instant;

/**
 * The slots of a shift, from the plan: for every card planned in it so many of each skill, for the time that falls into
 * it; an independent inspection where the card ends in it; a certificate where the visit does.
 */
final readonly class ShiftSlots
{
    public function __construct(private Clock $clock) {}

    /** @return array{Instant, Instant} when a shift of a day begins and ends */
    public function hours(Day $day, string $from, string $until): array
    {
        $at = fn(string $time): Instant => $this->clock->at($day, $time);

        return [$at($from), $at($until)];
    }

    /** @return list<ShiftSlot> by card; ids `card:role:skill:n`, or `visit:certify` */
    public function of(string $base, Day $day, Instant $from, Instant $until): array
    {
        $bays = Bay::where('base', $base)->pluck('name');
        $inBase = static fn(Builder $q) => $q->whereNot('state', Visit::RELEASED)
            ->where(static fn(Builder $v) => $v->whereIn('bay', $bays)->orWhere(static fn(Builder $o) => $o->whereHas(
                'aircraft',
                static fn(Builder $a) => $a->where('base', $base),
            )->whereNotIn('bay', Bay::pluck('name'))));
        $cards = Card::with(['aircraft.type', 'assignments', 'steps', 'hands'])->whereNotNull('planned_start')
            ->whereNot('state', Card::CLOSED)
            ->where('planned_start', '<', (string) $until)
            ->where('planned_end', '>', (string) $from)
            ->whereHas('visit', $inBase)
            ->orderBy('planned_start')
            ->orderBy('id')
            ->get();
        $slots = [];
        foreach ($cards as $card) {
            array_push($slots, ...$this->ofCard($card, $day, $from, $until));
        }
        $ending = Visit::with([
            'aircraft.type',
            'cards:id,visit_id,planned_end,state',
        ])->whereIn('id', $cards->pluck('visit_id')->unique())
            ->orderBy('id')
            ->get();
        $certify = (float) config('jorvel.certify_hours');
        foreach ($ending as $visit) {
            $exit = $visit->cards->max('planned_end');
            if ($exit !== null && $from->isBefore($exit) && ! $until->isBefore($exit)) {
                $slots[] = new ShiftSlot(
                    AssignSlot::of(
                        "v{$visit->id}:certify",
                        "v{$visit->id}",
                        SlotRole::Certify,
                        null,
                        $visit->aircraft->type->code,
                        $day,
                        $certify,
                    ),
                    null,
                    $visit->aircraft->mark,
                    "Certify {$visit->title}",
                    $exit,
                    Instant::fromEpoch((int) ($exit->epoch() + $certify * 3600)),
                );
            }
        }

        return $slots;
    }

    /** @return list<ShiftSlot> */
    private function ofCard(Card $card, Day $day, Instant $from, Instant $until): array
    {
        $begins = max($from->epoch(), $card->planned_start->epoch());
        $ends = min($until->epoch(), $card->planned_end->epoch());
        $type = $card->aircraft->type->code;
        $make = static fn(string $id, SlotRole $role, ?string $skill, float $hours, ?int $at = null): ShiftSlot
            => new ShiftSlot(
                AssignSlot::of($id, (string) $card->id, $role, $skill, $type, $day, $hours),
                $card,
                $card->aircraft->mark,
                $card->title,
                Instant::fromEpoch($at ?? $begins),
                Instant::fromEpoch($ends),
            );
        $slots = [];
        if ($card->state !== Card::SIGNED) {
            foreach ($card->needs ?? [$card->skill => 1] as $skill => $many) {
                for ($n = 1; $n <= $many; $n++) {
                    $slots[] = $make(
                        "{$card->id}:perform:{$skill}:{$n}",
                        SlotRole::Perform,
                        (string) $skill,
                        ($ends - $begins) / 3600,
                    );
                }
            }
        }
        if ($card->independent_inspection && $ends === $card->planned_end->epoch()) {
            $slots[] = $make(
                "{$card->id}:duplicate::1",
                SlotRole::Duplicate,
                null,
                (float) config('jorvel.inspect_hours'),
                (int) ($ends - 3600 * config('jorvel.inspect_hours')),
            );
        }

        return $slots;
    }
}
