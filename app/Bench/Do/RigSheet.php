<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\RigRun;
use App\Crew\Model\Person;
use App\Floor\Do\Disturb;
use App\Floor\Do\StepInput;
use App\Floor\Do\Taken;
use App\Floor\Do\TakeReading;
use App\Floor\Do\Work\StepKind;
use App\Floor\Do\Worked;
use App\Floor\Model\Reading;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Step;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;
use Jorvel\Core\Bench\Adjuster;
use Jorvel\Core\Bench\Rig;
use Jorvel\Core\Bench\RigMatch;
use Jorvel\Core\Bench\RigPoint;
use Jorvel\Core\Bench\Turn;
use Jorvel\Core\Floor\Handling;
use Jorvel\Core\Floor\Proof;

/** A rigging sheet: as-found readings in, what to turn out, as-left readings in, until all is within. */
final readonly class RigSheet implements StepKind
{
    public function __construct(private TakeReading $readings, private Records $records, private Disturb $disturb) {}

    public function answers(): array
    {
        return ['as_found', 'as_left'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $step->loadMissing('runs');

        return $in->do === 'as_found' ? $this->asFound($by, $step, $in) : $this->asLeft($by, $step, $in);
    }

    /** The readings of a new run, and what to turn. @throws Refused */
    private function asFound(Person $by, Step $step, StepInput $in): Worked
    {
        if ($step->runs->contains(static fn(RigRun $r): bool => $r->as_left === null)) {
            throw Refused::because('The last run still waits for its as-left readings.');
        }
        $no = (int) $step->runs->max('no') + 1;
        $taken = $this->taken($step, $in, ReadingKind::AsFound, $no);

        return Worked::open(
            ...$this->commit($by, $step, $taken),
            ...$this->begin($by, $step, $no, self::values($taken)),
        );
    }

    /**
     * The readings after the adjustment: done when everything is within its limits; if not, a further run begins with
     * these as its as-found.
     *
     * @throws Refused
     */
    private function asLeft(Person $by, Step $step, StepInput $in): Worked
    {
        $run = $step->runs->first(
            static fn(RigRun $r): bool => $r->as_left === null,
        ) ?? throw Refused::because('Enter the as-found readings first.');
        $taken = $this->taken($step, $in, ReadingKind::AsLeft, $run->no);
        $values = self::values($taken);
        $solution = $this->solve($step, $values);
        $writes = [
            ...$this->commit($by, $step, $taken),
            static fn() => $run->update(['as_left' => $values]),
            fn() => $this->records->write(
                $by,
                'rig.as_left',
                "card:{$step->card_id}",
                ['step' => $step->no, 'run' => $run->no, 'as_left' => $values],
            ),
        ];

        // Within as it stands: nothing unmet, and nothing to move for that.
        $within = $solution['within'] === true && $solution['moves'] === [];
        $writes[] = fn() => $this->turned($by, $step, $run, $within);

        return $within
            ? Worked::done(['run' => $run->no], ...$writes)
            : Worked::open(...$writes, ...$this->begin($by, $step, $run->no + 1, $values));
    }

    /** What was turned in a run is disturbed until the points are read within, and until what it names besides is done. */
    private function turned(Person $by, Step $step, RigRun $run, bool $within): void
    {
        $titles = array_column($step->spec['adjusters'], 'title', 'id');
        $of = static fn(RigRun $r): array => array_map(
            static fn(array $m): string => $titles[$m['adjuster']] ?? $m['adjuster'],
            $r->solution['moves'],
        );
        $all = array_values(array_unique(array_merge(...array_map($of, $step->runs->all()))));
        $needs = Handling::ofAdjusters($step->spec);
        $now = [];
        foreach ($of($run) as $title) {
            $now[$title] = $needs[$title] ?? [Proof::Reading];
        }
        $this->disturb->turned($by, $step->card, $step, $now, $all, $within);
    }

    /**
     * @param array<string, float> $values
     *
     * @return list<Closure(): mixed>
     */
    private function begin(Person $by, Step $step, int $no, array $values): array
    {
        $solution = $this->solve($step, $values);

        return [
            static fn() => RigRun::create([
                'step_id' => $step->id,
                'no' => $no,
                'as_found' => $values,
                'solution' => $solution,
            ]),
            fn() => $this->records->write(
                $by,
                'rig.computed',
                "card:{$step->card_id}",
                ['step' => $step->no, 'run' => $no, 'as_found' => $values, 'moves' => $solution['moves']],
            ),
        ];
    }

    /** @return array<string, Taken> by point */
    private function taken(Step $step, StepInput $in, ReadingKind $kind, int $run): array
    {
        $taken = [];
        foreach ($step->spec['points'] as $point) {
            $entry = $in->entries[$point['id']] ?? '';
            if (trim($entry) === '') {
                throw Refused::because("Enter {$point['title']} too; all points are read in one run.");
            }
            $taken[$point['id']] = $this->readings->ask(
                $step,
                $step->readingSpec($point['id']),
                $entry,
                $in->tool,
                $kind,
                $run,
            );
        }

        return $taken;
    }

    /**
     * @param array<string, Taken> $taken
     *
     * @return array<string, float>
     */
    private static function values(array $taken): array
    {
        return array_map(static fn(Taken $t): float => $t->value, $taken);
    }

    /**
     * @param array<string, Taken> $taken
     *
     * @return list<Closure(): mixed>
     */
    private function commit(Person $by, Step $step, array $taken): array
    {
        return [
            fn() => $this->readings->commit($by, $step, ...array_values($taken)),
            // What was found is history; what was left must be good.
            static fn() => Reading::where(['step_id' => $step->id, 'kind' => ReadingKind::AsFound])
                ->update(['stands' => false]),
        ];
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
            array_map(
                static fn(array $p): RigPoint => RigPoint::of(
                    $p['id'],
                    $values[$p['id']],
                    (float) $p['min'],
                    (float) $p['max'],
                    isset($p['aim']) ? (float) $p['aim'] : null,
                ),
                $spec['points'],
            ),
            array_map(
                static fn(array $a): Adjuster => Adjuster::of(
                    $a['id'],
                    (float) $a['step'],
                    (float) $a['min'],
                    (float) $a['max'],
                    Turn::from($a['positive']),
                ),
                $spec['adjusters'],
            ),
            $effects,
            array_map(
                static fn(array $m): RigMatch => RigMatch::of($m['points'][0], $m['points'][1], (float) $m['within']),
                $spec['match'] ?? [],
            ),
        )->toArray();
    }
}
