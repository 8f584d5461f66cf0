<?php

declare(strict_types=1);

namespace App\Bench\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\TakeReading;
use App\Floor\Do\Work\StepKind;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Refused;
use Jorvel\Core\Shared\Unit;

/** A reference is recorded: what it reads before something is done, from which a later step counts. */
final readonly class RecordReference implements StepKind
{
    public function __construct(private TakeReading $readings, private TestSamples $samples) {}

    public function answers(): array
    {
        return ['read', 'samples'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $step->spec;
        $unit = Unit::parse($spec['unit']);
        if ($in->do === 'samples') {
            $value = $this->samples->reference($step) ?? throw Refused::because(
                'The recording was not stable for long enough before the change-over: it gives no reference. '
                    .'Nothing was saved.',
            );

            return Worked::done(['reference' => $value, 'unit' => $unit->value, 'recorded' => true]);
        }
        $taken = $this->readings->note($step, $spec['point'], $unit, $in->entry, $spec['tool_kind'] ?? null, $in->tool);

        return Worked::done(
            ['reference' => $taken->value, 'unit' => $unit->value],
            fn() => $this->readings->commit($by, $step, $taken),
        );
    }
}
