<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\Beyond;
use App\Floor\Do\Flows;
use App\Floor\Do\Gauges;
use App\Floor\Do\StepInput;
use App\Floor\Do\TakeReading;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Shared\Quantity;

/**
 * A reading against a limit: a measurement, a torque, a timing. One of a bottle's gauge is judged as it would be at its
 * reference temperature, and is the reading of the bottle's trend as well; one beyond a limit with a table is an
 * exceedance at once.
 */
final readonly class Read implements StepKind
{
    public function __construct(
        private TakeReading $readings,
        private Flows $flows,
        private Gauges $gauges,
        private Beyond $beyond,
    ) {}

    public function answers(): array
    {
        return ['read'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $this->flows->spec($step);
        $gauge = isset($spec['gauge']) ? $this->gauges->ask($step, $spec, $in) : null;
        $taken = $this->readings->ask(
            $step,
            $spec,
            $in->entry,
            $in->tool,
            note: $in->note,
            as: $gauge === null ? null : static fn(Quantity $shown): Quantity => $gauge->atReference(),
        );
        $writes = [fn() => $this->readings->commit($by, $step, $taken)];
        $beyond = $this->beyond->ask($step, $spec, $taken, $in);
        if ($beyond !== null) {
            $writes[] = fn() => $this->beyond->commit($by, $step, $beyond);
        }
        if ($gauge !== null) {
            $writes[] = fn() => $this->gauges->commit($by, $step, $gauge);
        }

        return $taken->verdict === 'pass'
            ? Worked::done([
                ...Flows::kept($step, $spec),
                ...$in->note === '' ? [] : ['note' => $in->note],
                ...$gauge === null ? [] : ['gauge' => $gauge->read()],
            ], ...$writes)
            : Worked::short(Flows::kept($step, $spec), Verdict::from($taken->verdict), ...$writes);
    }
}
