<?php

declare(strict_types=1);

namespace App\Bench\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\Flows;
use App\Floor\Do\StepInput;
use App\Floor\Do\TakeReading;
use App\Floor\Do\Work\StepKind;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Shared\Refused;
use Jorvel\Core\Bench\FallAway;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/** The pre-charge of an accumulator: where its falling gauge drops away, typed, or found in what the gauge showed. */
final readonly class ReadPrecharge implements StepKind
{
    public function __construct(private TakeReading $readings, private Flows $flows) {}

    public function answers(): array
    {
        return ['read'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $this->flows->spec($step);
        $series = trim($in->entries['fall'] ?? '');
        $entry = $series === '' ? $in->entry : (string) self::knee($series, Unit::parse($spec['limit']['unit']));
        $taken = $this->readings->ask($step, $spec, $entry, $in->tool, note: $in->note);
        $result = [
            ...Flows::kept($step, $spec), 'precharge' => $taken->value, 'unit' => $taken->unit,
            'verdict' => $taken->verdict, ...$series === '' ? [] : ['fall' => $series],
        ];
        $commit = fn() => $this->readings->commit($by, $step, $taken);

        return $taken->verdict === 'pass'
            ? Worked::done($result, $commit)
            : Worked::short($result, Verdict::from($taken->verdict), $commit);
    }

    /** @throws Refused for what is no falling gauge */
    private static function knee(string $series, Unit $unit): float
    {
        $values = [];
        foreach (preg_split('/[\s;]+/', $series, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $i => $one) {
            try {
                $values[] = Entered::parse($one, $unit)->value;
            } catch (InputError $e) {
                throw Refused::because('Reading '.($i + 1).": {$e->getMessage()}. Nothing was saved.");
            }
        }
        try {
            return FallAway::at($values);
        } catch (InputError $e) {
            throw Refused::because("The readings {$e->getMessage()}. Nothing was saved.");
        }
    }
}
