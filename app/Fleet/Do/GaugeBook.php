<?php

declare(strict_types=1);

namespace App\Fleet\Do;

use App\Crew\Model\Person;
use App\Fleet\Model\Component;
use App\Fleet\Model\PressureReading;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Fleet\GasReading;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** Gauge readings of bottles and accumulators: added, and corrected by new ones. */
final readonly class GaugeBook
{
    public function __construct(private Clock $clock, private Records $records) {}

    /**
     * @param int|null $step of the card that read it
     *
     * @throws Refused for a reading that cannot be one, or is older than the last
     */
    public function add(
        Person $by,
        int $componentId,
        string $date,
        float $pressure,
        float $tempC,
        bool $replaced,
        ?int $step = null,
    ): Component {
        return DB::transaction(function () use (
            $by,
            $componentId,
            $date,
            $pressure,
            $tempC,
            $replaced,
            $step,
        ): Component {
            $component = $this->component($componentId);
            $last = $component->readings->last();
            $this->require($component, $date, $pressure, $tempC);
            if ($last !== null && $date < (string) $last->date) {
                throw Refused::because(
                    "The last reading is of {$last->date}. An older one would stand out of order; correct a reading "
                        .'instead. Nothing was saved.',
                );
            }
            $this->write($by, $component, [
                ...compact('date', 'pressure', 'replaced'),
                'temp_c' => $tempC,
                ...$step === null ? [] : ['step_id' => $step],
            ]);

            return $component->load('readings');
        });
    }

    /** @throws Refused */
    public function correct(Person $by, int $readingId, ?float $pressure, ?float $tempC, string $reason): Component
    {
        return DB::transaction(function () use ($by, $readingId, $pressure, $tempC, $reason): Component {
            $old = PressureReading::findOrFail($readingId);
            $component = $this->component($old->component_id);
            if (! $old->current) {
                throw Refused::stale(
                    'This reading was already corrected or taken back. Reload to see it; nothing was changed.',
                    null,
                );
            }
            $old->update(['current' => false, 'reason' => $reason]);
            if ($pressure !== null && $tempC !== null) {
                $this->require($component, (string) $old->date, $pressure, $tempC);
                $this->write(
                    $by,
                    $component,
                    [
                        'date' => (string) $old->date,
                        'pressure' => $pressure,
                        'temp_c' => $tempC,
                        'replaced' => $old->replaced,
                        'corrects_id' => $old->id,
                        'reason' => $reason,
                    ],
                );
            } else {
                $this->records->write(
                    $by,
                    'gauge.taken_back',
                    "component:{$component->id}",
                    ['date' => (string) $old->date, 'pressure' => $old->pressure, 'reason' => $reason],
                );
            }

            return $component->load('readings');
        });
    }

    /**
     * What steps read falls with them; what was corrected since stands by itself.
     *
     * @param list<int> $steps
     */
    public function takeBack(Person $by, array $steps, string $why): void
    {
        foreach (PressureReading::whereIn('step_id', $steps)->where('current', true)->get() as $reading) {
            $this->correct($by, $reading->id, null, null, $why);
        }
    }

    private function component(int $id): Component
    {
        $component = Component::with('readings')->findOrFail($id);

        return $component->gauge === null ? throw Refused::because("{$component->name()} has no gauge.") : $component;
    }

    private function require(Component $component, string $date, float $pressure, float $tempC): void
    {
        try {
            GasReading::of(Day::parse($date), $pressure, $tempC, Unit::parse($component->gauge['unit'] ?? ''));
        } catch (InputError $e) {
            throw Refused::because(ucfirst(trim("{$e->path} {$e->getMessage()}")).'. Nothing was saved.');
        }
        if ($date > (string) $this->clock->today()) {
            throw Refused::because("{$date} is still to come. Nothing was saved.");
        }
    }

    /** @param array<string, mixed> $reading */
    private function write(Person $by, Component $component, array $reading): void
    {
        PressureReading::create([
            ...$reading,
            'component_id' => $component->id,
            'person_id' => $by->id,
            'at' => (string) $this->clock->now(),
        ]);
        $this->records->write(
            $by,
            isset($reading['corrects_id']) ? 'gauge.corrected' : 'gauge.read',
            "component:{$component->id}",
            $reading,
        );
    }
}
