<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\RigRun;
use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\TakeReading;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use App\Shared\Records;
use App\Shared\Refused;
use Jorvel\Core\Bench\Adjuster;
use Jorvel\Core\Bench\Rig;
use Jorvel\Core\Bench\RigMatch;
use Jorvel\Core\Bench\RigPoint;
use Jorvel\Core\Bench\Turn;

/** A rigging sheet: as-found readings in, what to turn out, as-left readings in, until all is within. */
final readonly class RigSheet
{
    public function __construct(private TakeReading $readings, private Records $records) {}

    /** Takes the readings of a new run and says what to turn. @throws Refused */
    public function asFound(Person $by, Step $step, StepInput $in): void
    {
        $open = $step->runs()->whereNull('as_left')->exists();
        if ($open) {
            throw Refused::because('The last run still waits for its as-left readings.');
        }
        $no = (int) $step->runs()->max('no') + 1;
        $this->begin($by, $step, $no, $this->values($by, $step, $in, 'as_found', $no));
    }

    /**
     * Takes the readings after the adjustment.
     *
     * @return bool whether everything is within its limits; if not, a further run begins with these as its as-found
     *
     * @throws Refused
     */
    public function asLeft(Person $by, Step $step, StepInput $in): bool
    {
        $run = $step->runs()->whereNull('as_left')->first() ?? throw Refused::because('Enter the as-found readings first.');
        $values = $this->values($by, $step, $in, 'as_left', $run->no);
        $run->update(['as_left' => $values]);
        $this->records->write($by, 'rig.as_left', "card:{$step->card_id}", ['step' => $step->no, 'run' => $run->no, 'as_left' => $values]);
        // Within as it stands: nothing unmet, and nothing to move for that.
        $solution = $this->solve($step, $values);
        if ($solution['within'] === true && $solution['moves'] === []) {
            return true;
        }
        $this->begin($by, $step, $run->no + 1, $values);

        return false;
    }

    /** @param array<string, float> $values */
    private function begin(Person $by, Step $step, int $no, array $values): void
    {
        $solution = $this->solve($step, $values);
        RigRun::create(['step_id' => $step->id, 'no' => $no, 'as_found' => $values, 'solution' => $solution]);
        $this->records->write($by, 'rig.computed', "card:{$step->card_id}", ['step' => $step->no, 'run' => $no, 'as_found' => $values, 'moves' => $solution['moves']]);
    }

    /** @return array<string, float> */
    private function values(Person $by, Step $step, StepInput $in, string $phase, int $run): array
    {
        $values = [];
        foreach ($step->spec['points'] as $point) {
            $entry = $in->entries[$point['id']] ?? '';
            if (trim($entry) === '') {
                throw Refused::because("Enter {$point['title']} too; all points are read in one run.");
            }
            $values[$point['id']] = ($this->readings)($by, $step, $step->readingSpec($point['id']), $entry, $in->tool, $phase, $run)->value;
        }
        // What was found is history; what was left must be good.
        if ($phase === 'as_found') {
            Reading::where(['step_id' => $step->id, 'phase' => 'as_found'])->update(['stands' => false]);
        }

        return $values;
    }

    /**
     * @param array<string, float> $values
     *
     * @return array<string, mixed>
     */
    private function solve(Step $step, array $values): array
    {
        $spec = $step->spec;
        $effects = array_map(static fn(array $row): array => array_map(floatval(...), $row), $spec['effects']);

        return Rig::solve(
            array_map(static fn(array $p): RigPoint => RigPoint::of($p['id'], $values[$p['id']], (float) $p['min'], (float) $p['max'], isset($p['aim']) ? (float) $p['aim'] : null), $spec['points']),
            array_map(static fn(array $a): Adjuster => Adjuster::of($a['id'], (float) $a['step'], (float) $a['min'], (float) $a['max'], Turn::from($a['positive'])), $spec['adjusters']),
            $effects,
            array_map(static fn(array $m): RigMatch => RigMatch::of($m['points'][0], $m['points'][1], (float) $m['within']), $spec['match'] ?? []),
        )->toArray();
    }
}
