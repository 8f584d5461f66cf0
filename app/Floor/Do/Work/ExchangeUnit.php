<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Fleet\Do\ComponentMoves;
use App\Fleet\Model\Component;
use App\Floor\Do\StepInput;
use App\Floor\Do\Worked;
use App\Floor\Model\Exchange;
use App\Floor\Model\Finding;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Refused;
use Closure;
use Jorvel\Core\Fleet\ComponentTag;
use Jorvel\Core\Fleet\GoesOver;

/**
 * A unit comes off by its serial, with its tag, and another goes on; what goes over to the new unit is counted off and
 * on. Between the two the place is empty, and the aircraft does not leave.
 */
final readonly class ExchangeUnit implements StepKind
{
    public function __construct(private Clock $clock, private ComponentMoves $moves) {}

    public function answers(): array
    {
        return ['unit_off', 'unit_on', 'unit_back'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        return match ($in->do) {
            'unit_off' => $this->off($by, $step, $in),
            'unit_on' => $this->on($by, $step, $in),
            default => Worked::open($this->back($by, $step, $in->note)),
        };
    }

    private function off(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $step->spec;
        $there = $this->moves->at($step->card->aircraft, $spec['position'])
            ?? throw Refused::because("Nothing is fitted to {$step->card->aircraft->mark} at {$spec['position']}, as "
                .'Fleet has it. If one is there, have Fleet put right first. Nothing was saved.');
        if ($there->component->kind !== $spec['component']) {
            throw Refused::because("At {$spec['position']} stands {$there->component->name()}, which is no "
                ."{$spec['component']}. Nothing was saved.");
        }
        $serial = trim($in->entry);
        if ($serial !== $there->component->serial) {
            throw Refused::because($serial === ''
                ? 'Read the serial from the plate of the unit that comes off. Nothing was saved.'
                : "The plate says {$serial}; as Fleet has it, {$there->component->serial} stands there. Read it "
                    .'again. If the plate is right, the record is wrong: tell the controller before anything comes '
                    .'off. Nothing was saved.');
        }
        $tag = ComponentTag::tryFrom($in->entries['tag'] ?? '') ?? throw Refused::because(
            'Which tag goes on it: serviceable, unserviceable, time expired, or to be looked into? Nothing was saved.',
        );
        if ($in->note === '') {
            throw Refused::because('Say why it comes off; that stands on its tag. Nothing was saved.');
        }
        $to = trim($in->entries['to'] ?? '');
        if ($to === '') {
            throw Refused::because('Say where it goes: a shelf, a shop. Nothing was saved.');
        }
        $hardware = $this->counted($step, $in, null);
        $now = (string) $this->clock->now();

        return Worked::open(
            fn() => $this->moves->off(
                $by,
                Component::with('tenure.craft', 'tenure.component')->findOrFail($there->component_id),
                $to,
                $in->note,
                $tag,
            ),
            static fn() => Exchange::create([
                'step_id' => $step->id, 'card_id' => $step->card_id, 'aircraft_id' => $step->card->aircraft_id,
                'position' => $spec['position'], 'off_id' => $there->component_id, 'off_by' => $by->id,
                'off_at' => $now, 'tag' => $tag, 'why' => $in->note, 'hardware' => $hardware,
            ]),
        );
    }

    private function on(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $step->spec;
        $exchange = Exchange::of($step);
        $serial = trim($in->entry);
        $unit = Component::with('tenure.craft')->where(['kind' => $spec['component'], 'serial' => $serial])->first()
            ?? throw Refused::because($serial === ''
                ? 'Read the serial from the plate of the unit that goes on. Nothing was fitted.'
                : "There is no {$spec['component']} {$serial}. Read the plate again; one that is new to the fleet is "
                    .'entered by the controller first. Nothing was fitted.');
        $this->moves->requireFits($unit, $step->card->aircraft, $spec['position'], carried: false);
        $hardware = $this->counted($step, $in, $exchange);
        $now = (string) $this->clock->now();

        return Worked::done(
            [
                'off' => $exchange?->unitOff?->serial, 'on' => $unit->serial,
                ...$hardware === [] ? [] : ['hardware' => $hardware],
            ],
            fn() => $this->moves->on(
                $by,
                $unit,
                $step->card->aircraft,
                $spec['position'],
                "card {$step->card->number}, step {$step->no}",
            ),
            static fn() => Exchange::updateOrCreate(
                ['id' => $exchange?->id],
                [
                    'step_id' => $step->id, 'card_id' => $step->card_id, 'aircraft_id' => $step->card->aircraft_id,
                    'position' => $spec['position'], 'on_id' => $unit->id, 'on_by' => $by->id, 'on_at' => $now,
                    'hardware' => $hardware,
                ],
            ),
        );
    }

    /**
     * What goes over to the new unit: as many as the step says come off, unless what is missing was found at this step,
     * and all that belong there go on.
     *
     * @param Exchange|null $exchange with what came off; null while it comes off, or nothing did
     *
     * @return array<string, array{off?: int, on?: int}>
     */
    private function counted(Step $step, StepInput $in, ?Exchange $exchange): array
    {
        $on = $in->do === 'unit_on';
        $found = Finding::where('step_id', $step->id)->exists();
        $out = [];
        foreach ($step->spec['hardware'] ?? [] as $one) {
            [$what, $want] = [(string) $one['what'], (int) $one['count']];
            $typed = trim($in->entries[$what] ?? '');
            if (preg_match('/^\d{1,3}$/D', $typed) !== 1) {
                throw Refused::because("Count {$what} ".($on ? 'on' : 'off').': a whole number. Nothing was saved.');
            }
            $n = (int) $typed;
            if (! ($on ? GoesOver::on($n, $want) : GoesOver::off($n, $want, $found))) {
                throw Refused::because($on
                    ? "{$typed} × {$what} on; {$want} belong there. Nothing was fitted."
                    : "{$typed} × {$what} came off; {$want} belong there. Look for the rest, and raise what is wrong "
                        .'as a finding at this step first; a missing one may lie in the aircraft. Nothing was saved.');
            }
            $out[$what] = [...$exchange->hardware[$what] ?? [], ($on ? 'on' : 'off') => $n];
        }

        return $out;
    }

    /**
     * The entry was wrong: what it put on comes off again, and what it took off stands where it stood.
     *
     * @return Closure(): void
     *
     * @throws Refused when either has gone elsewhere since, or nothing was entered
     */
    public function back(Person $by, Step $step, string $why): Closure
    {
        $exchange = Exchange::of($step)
            ?? throw Refused::because('Nothing was taken off at this step; there is nothing to take back.');
        if ($why === '') {
            throw Refused::because('Say why it is taken back; the first entry stays in the record.');
        }
        $this->requireUnmoved($step, $exchange);

        return function () use ($by, $step, $exchange, $why): void {
            if ($exchange->unitOn !== null) {
                $this->moves->off(
                    $by,
                    $exchange->unitOn->load('tenure.craft', 'tenure.component'),
                    "back from {$step->card->number}",
                    $why,
                    ComponentTag::Serviceable,
                );
            }
            if ($exchange->unitOff !== null) {
                $exchange->unitOff->load('tenure');
                $this->moves->on($by, $exchange->unitOff, $step->card->aircraft, $exchange->position, $why);
            }
            $exchange->update(['stands' => false]);
        };
    }

    /** @throws Refused when what a step exchanged is no longer where it put it */
    private function requireUnmoved(Step $step, Exchange $exchange): void
    {
        if ($this->moves->at($step->card->aircraft, $exchange->position)?->component_id !== $exchange->on_id) {
            throw Refused::because("What stands at {$exchange->position} was changed again since. Nothing was "
                .'changed.');
        }
        $off = $exchange->unitOff?->load('tenure.craft');
        $elsewhere = $off?->tenure;
        if ($off !== null && $elsewhere !== null) {
            throw Refused::because("{$off->name()} is fitted to {$elsewhere->craft->mark} since. Nothing "
                .'was changed.');
        }
    }
}
