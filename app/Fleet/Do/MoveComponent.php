<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\Component;
use App\Fleet\Model\ComponentTenure;
use App\Now\CommitUnmoved;
use App\Now\FloorCount;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;

/** Takes a component off, puts it on, or both; its counters and everything done to it go with it. */
final readonly class MoveComponent
{
    public function __construct(private Clock $clock, private Records $records, private CommitUnmoved $commit) {}

    /**
     * @param string|null $mark where to; null into the store
     *
     * @throws Refused when the position is taken or none of its kind, it is there already, or the signature is wrong
     */
    public function __invoke(
        Person $by,
        int $componentId,
        ?string $mark,
        string $position,
        string $reason,
        string $stamp,
        string $pin,
    ): Component {
        return ($this->commit)(function () use ($by, $componentId, $mark, $position, $reason, $stamp, $pin): Closure {
            $component = Component::with('tenure.craft', 'tenure.component')->findOrFail($componentId);
            $from = $component->tenure;
            $to = $mark === null ? null : Aircraft::where('mark', $mark)->firstOrFail();
            if ($from === null && $to === null) {
                throw Refused::because("{$component->name()} is not fitted to anything.");
            }
            if ($to !== null) {
                $this->requireRoom($component, $from, $to, $position);
            }
            $by->requireSignature($stamp, $pin);

            return fn(): Component => $this->write($by, $component, $from, $to, $position, $reason);
        });
    }

    private function write(
        Person $by,
        Component $component,
        ?ComponentTenure $from,
        ?Aircraft $to,
        string $position,
        string $reason,
    ): Component {
        array_map(FloorCount::up(...), array_values(array_filter([$from?->aircraft_id, $to?->id])));
        $was = $from === null ? $component->place : "{$from->craft->mark} {$from->position}";
        if ($from !== null) {
            $this->takeOff($component, $from, $reason);
        }
        if ($to !== null) {
            ComponentTenure::create([
                'component_id' => $component->id, 'aircraft_id' => $to->id, 'position' => $position,
                'from_date' => (string) $this->clock->today(),
                'from_counted' => $to->counters_as_of, 'own' => $component->counters, 'aircraft' => $to->counters,
            ]);
        }
        $component->update(['place' => $to === null ? $position : null]);
        $this->records->write($by, 'component.moved', "component:{$component->id}", [
            'component' => "{$component->part_no} {$component->serial}", 'from' => $was,
            'to' => $to === null ? $position : "{$to->mark} {$position}", 'reason' => $reason,
            'stamp' => $by->stamp, 'counters' => $component->counters,
        ]);

        return $component->refresh();
    }

    private function requireRoom(Component $component, ?ComponentTenure $from, Aircraft $to, string $position): void
    {
        $there = ComponentTenure::with('component')->where('aircraft_id', $to->id)
            ->whereNull('to_date')
            ->where('position', $position)
            ->first();
        if ($there !== null) {
            throw Refused::because($there->component_id === $component->id
                ? "{$component->name()} is already on {$to->mark}, {$position}."
                : "{$to->mark} has {$there->component->name()} at {$position}. "
                    .'Take that off first; nothing was moved.');
        }
        foreach ($component->accrues as $own => [$of]) {
            if (! isset($to->counters[$of])) {
                throw Refused::because(
                    "{$component->name()} counts {$own} by the aircraft's {$of}, and {$to->mark} has no such "
                        .'counter. Nothing was moved.',
                );
            }
        }
        $this->requirePlace($component, $to, $position);
    }

    /**
     * A kind of component goes where that kind has stood on an aircraft of the type before: nothing is fitted to a
     * place that nobody knows.
     *
     * @throws Refused naming the places that there are
     */
    private function requirePlace(Component $component, Aircraft $to, string $position): void
    {
        $places = ComponentTenure::whereRelation('component', 'kind', $component->kind)
            ->whereRelation('craft', 'type_id', $to->type_id)
            ->distinct()
            ->orderBy('position')
            ->pluck('position');
        if ($places->isEmpty()) {
            throw Refused::because(
                "{$component->name()} does not go onto {$to->mark}: no {$to->type->code} "
                    ."takes any {$component->kind}. Nothing was moved.",
            );
        }
        if (! $places->contains($position)) {
            throw Refused::because(
                "{$to->mark} has no place \"{$position}\" for any {$component->kind}; there "
                    .($places->count() === 1 ? 'is ' : 'are ')."{$places->implode(', ')}. Nothing was moved.",
            );
        }
    }

    private function takeOff(Component $component, ComponentTenure $tenure, string $reason): void
    {
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
    }
}
