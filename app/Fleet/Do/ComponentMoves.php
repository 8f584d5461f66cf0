<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Crew\Model\Person;
use App\Fleet\ComponentWords;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Component;
use App\Fleet\Model\ComponentTenure;
use App\Now\FloorCount;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Jorvel\Core\Fleet\ComponentTag;
use Jorvel\Core\Fleet\FitHere;

/** Takes a component off, puts it on, or both, for whoever asks; its counters and all done to it go with it. */
final readonly class ComponentMoves
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * @param Component $component with `tenure.craft`
     * @param bool $carried it is taken from where it is in the same act
     *
     * @throws Refused when it does not go there: another stands there, it is tagged, or it is none of that place
     */
    public function requireFits(Component $component, Aircraft $to, string $position, bool $carried): void
    {
        $there = $this->at($to, $position);
        $seen = ComponentTenure::with('component')->whereRelation('component', 'kind', $component->kind)
            ->whereRelation('craft', 'type_id', $to->type_id)->orderBy('position')->get();
        $places = $seen->groupBy('position')->map(static fn($of): array => array_values(
            $of->map(static fn(ComponentTenure $t): string => $t->component->part_no)->unique()->all(),
        ))->all();
        $follows = array_column($component->accrues, 0);
        $fitted = $component->tenure?->craft->mark;
        $is = $fitted === null
            ? FitHere::stored((string) $component->id, $component->part_no, $component->tag, $follows)
            : FitHere::fitted((string) $component->id, $component->part_no, $fitted, $carried, $follows);
        $why = $is->against(
            $places,
            $position,
            $there === null ? null : (string) $there->component_id,
            array_keys($to->counters),
        );
        if ($why !== null) {
            throw Refused::because(ComponentWords::notHere($why, $component, $to, $position, $there, $places)
                .' Nothing was moved.');
        }
    }

    /** What is fitted at a place now. */
    public function at(Aircraft $aircraft, string $position): ?ComponentTenure
    {
        return ComponentTenure::with('component')->where('aircraft_id', $aircraft->id)
            ->whereNull('to_date')->where('position', $position)->first();
    }

    /** Onto an aircraft; it is serviceable, and whatever it was taken from is seen to first. */
    public function on(Person $by, Component $component, Aircraft $to, string $position, string $reason): void
    {
        $from = $this->leaves($component, $reason);
        FloorCount::up($to->id);
        ComponentTenure::create([
            'component_id' => $component->id, 'aircraft_id' => $to->id, 'position' => $position,
            'from_date' => (string) $this->clock->today(),
            'from_counted' => $to->counters_as_of, 'own' => $component->counters, 'aircraft' => $to->counters,
        ]);
        $component->update(['place' => null, 'tag' => ComponentTag::Serviceable, 'tag_why' => null]);
        $this->record($by, $component, $from, "{$to->mark} {$position}", $reason);
    }

    /** Into the store, with its tag. */
    public function off(Person $by, Component $component, string $place, string $reason, ComponentTag $tag): void
    {
        $from = $this->leaves($component, $reason);
        $component->update([
            'place' => $place,
            'tag' => $tag,
            'tag_why' => $tag === ComponentTag::Serviceable ? null : $reason,
        ]);
        $this->record($by, $component, $from, $place, $reason);
    }

    /** @return string where it was */
    private function leaves(Component $component, string $reason): string
    {
        $tenure = $component->tenure;
        if ($tenure === null) {
            return (string) $component->place;
        }
        FloorCount::up($tenure->aircraft_id);
        $aircraft = $tenure->craft->counters;
        $own = $tenure->tenure()->counters(array_map(floatval(...), $aircraft));
        $tenure->update([
            'to_date' => (string) $this->clock->today(),
            'to_counted' => $tenure->craft->counters_as_of,
            'own_end' => $own,
            'aircraft_end' => $aircraft,
            'reason' => $reason,
        ]);
        $component->update(['counters' => $own]);
        $component->unsetRelation('tenure');

        return "{$tenure->craft->mark} {$tenure->position}";
    }

    private function record(Person $by, Component $component, string $from, string $to, string $reason): void
    {
        $this->records->write($by, 'component.moved', "component:{$component->id}", [
            'component' => "{$component->part_no} {$component->serial}", 'from' => $from, 'to' => $to,
            'reason' => $reason, 'stamp' => $by->stamp, 'counters' => $component->counters,
            ...($component->tag === ComponentTag::Serviceable ? [] : ['tag' => $component->tag]),
        ]);
    }
}
