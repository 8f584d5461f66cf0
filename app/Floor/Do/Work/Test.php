<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\Flows;
use App\Floor\Do\StepInput;
use App\Floor\Do\TakeReading;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use Jorvel\Core\Bench\Verdict;

/** An operational test: set up, hold, read; a reading that fails begins it anew. */
final readonly class Test implements StepKind
{
    public function __construct(private Holding $holding, private TakeReading $readings, private Flows $flows) {}

    public function answers(): array
    {
        return ['start', 'read'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        if ($in->do === 'start') {
            return $this->holding->start($by, $step);
        }
        $this->holding->requireOver($step, (int) $step->spec['hold']['seconds']);
        $spec = $this->flows->spec($step);
        $taken = $this->readings->ask($step, $spec, $in->entry, $in->tool, note: $in->note);
        $commit = fn() => $this->readings->commit($by, $step, $taken);

        return $taken->verdict === 'pass' ? Worked::done(Flows::kept($step, $spec), $commit) : Worked::short(
            Flows::kept($step, $spec),
            Verdict::from($taken->verdict),
            $commit,
            static fn() => $step->fill(['started_at' => null])->save(),
        );
    }
}
