<?php

declare(strict_types=1);

namespace App\Bench\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\TakeReading;
use App\Floor\Do\Work\Holding;
use App\Floor\Do\Work\StepKind;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Bench\Steadiness;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;

/** A signal that stays within its band for so long: by the watch, by readings typed as it goes, or from a recording. */
final readonly class Stabilise implements StepKind
{
    public function __construct(
        private Holding $holding,
        private TakeReading $readings,
        private TestSamples $samples,
        private Clock $clock,
    ) {}

    public function answers(): array
    {
        return ['start', 'done', 'read', 'samples'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        return match ($in->do) {
            'start' => $this->holding->start($by, $step),
            'done' => $this->held($step),
            'read' => $this->read($by, $step, $in),
            default => $this->recorded($step),
        };
    }

    private function held(Step $step): Worked
    {
        $seconds = (int) $step->spec['seconds'];
        $this->holding->requireOver($step, $seconds);

        return Worked::done(['held' => $seconds, 'verdict' => 'pass']);
    }

    /** One more reading; it is stable when the last ones, all within the band, span the time that is asked. */
    private function read(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $step->spec;
        $unit = Unit::parse($spec['unit']);
        $taken = $this->readings->note(
            $step,
            (string) $spec['signal'],
            $unit,
            $in->entry,
            $spec['tool_kind'] ?? null,
            $in->tool,
        );
        $readings = [
            ...$step->result['series'] ?? [],
            ['at' => (string) $this->clock->now(), 'value' => $taken->value],
        ];
        $first = Instant::parse($readings[0]['at'])->epoch();
        [$verdict, $held] = Steadiness::from($spec)->ofReadings(array_map(
            static fn(array $r): array => [(float) (Instant::parse($r['at'])->epoch() - $first), (float) $r['value']],
            $readings,
        ));
        $result = ['series' => $readings, 'held' => (int) round($held)];
        $commit = fn() => $this->readings->commit($by, $step, $taken);

        return $verdict === Verdict::Pass
            ? Worked::done([...$result, 'verdict' => 'pass'], $commit)
            : Worked::open($commit, static fn() => $step->fill(['result' => $result])->save());
    }

    private function recorded(Step $step): Worked
    {
        $run = $this->samples->of($step);
        $at = Steadiness::from($step->spec)->reachedAt($run->samples, $run->gaps);
        if ($at === null) {
            $unit = Unit::parse($step->spec['unit'])->label();
            throw Refused::because("The recording never holds {$step->spec['signal']} within "
                .Words::number((float) $step->spec['tolerance'], 3)." {$unit} of "
                .Words::number((float) $step->spec['target'], 3)." {$unit} for {$step->spec['seconds']} s. "
                .'Nothing was saved; break the attempt off, or read it another way.');
        }

        return Worked::done(['recorded' => $at, 'held' => (int) $step->spec['seconds'], 'verdict' => 'pass']);
    }
}
