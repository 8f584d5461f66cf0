<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\RigLesson;
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
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use Closure;
use Jorvel\Core\Bench\Rigging\MeasuredRun;
use Jorvel\Core\Bench\Rigging\RigModel;
use Jorvel\Core\Bench\Rigging\RigNextResult;
use Jorvel\Core\Bench\Rigging\RigVerdict;
use Jorvel\Core\Floor\Handling;
use Jorvel\Core\Floor\Proof;
use Jorvel\Core\Shared\Deadline;

/**
 * A rigging sheet: readings in, what to turn out; what was really turned in, readings again, until all is within. What
 * the runs showed is learned from run to run, and stays with the aircraft.
 */
final readonly class RigSheet implements StepKind
{
    /** A search that cannot look at every choice ends after so many milliseconds. */
    private const BUDGET = 500;

    public function __construct(
        private TakeReading $readings,
        private Records $records,
        private Disturb $disturb,
        private RigPrior $prior,
        private RigGround $ground,
        private Clock $clock,
    ) {}

    public function answers(): array
    {
        return ['run', 'run_off', 'as_found', 'turned', 'as_left'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $step->loadMissing('runs');

        return match ($in->do) {
            'run' => $this->ground->begin($by, $step, $in),
            'run_off' => $this->ground->breakOff($by, $step, $in),
            'as_found' => $this->asFound($by, $step, $in),
            'turned' => $this->entered($by, $step, $in),
            default => $this->asLeft($by, $step, $in),
        };
    }

    /** The readings of a new rigging, and what to turn. @throws Refused */
    private function asFound(Person $by, Step $step, StepInput $in): Worked
    {
        if ($step->runs->contains(static fn(RigRun $r): bool => $r->as_left === null)) {
            throw Refused::because('The last run still waits for its as-left readings.');
        }
        $no = (int) $step->runs->max('no') + 1;
        [$ground, $held] = $this->run($step, 1, fn(): array => RigHeld::said($step->spec, $in->entries));
        $threads = RigThreads::read($step->spec, $in->entries);
        $taken = $this->taken($step, $in, ReadingKind::AsFound, $no);
        $prior = $this->prior->of($step, RigModel::from($step->spec));
        $values = self::values($taken);
        $result = RigInHand::model($step, $prior['effects'], $threads)
            ->next([new MeasuredRun($values)], Deadline::in(self::BUDGET));
        $within = $result->verdict === RigVerdict::Within;
        $writes = [
            ...$this->over($by, $step, $in, $taken, $result),
            ...$this->commit($by, $step, $taken, $within),
            ...$this->begin($by, $step, $result, [
                'no' => $no, 'ground' => $ground, 'as_found' => $values, 'prior' => $prior,
                'held' => $held, 'threads' => $threads, 'as_left' => $within ? $values : null,
                'turned' => $within ? [] : null,
            ]),
        ];

        return $within ? Worked::done(['run' => $no], ...$writes) : Worked::open(...$writes);
    }

    /**
     * The number of the ground run in which it is read, and what held: where runs are begun, as it was said there.
     *
     * @param Closure(): array<string, string> $held
     *
     * @return array{int, array<string, string>}
     *
     * @throws Refused
     */
    private function run(Step $step, int $no, Closure $held): array
    {
        if (! RigGround::isRun($step->spec)) {
            return [$no, $held()];
        }
        $run = $this->ground->require($step);

        return [$run->no, array_column($run->conditions, 'said', 'holds')];
    }

    /**
     * The ground run ends with its readings; a reading that is asked for once more is of the same run.
     *
     * @param array<string, Taken> $taken
     *
     * @return list<Closure(): mixed>
     *
     * @throws Refused
     */
    private function over(Person $by, Step $step, StepInput $in, array $taken, RigNextResult $result): array
    {
        return ! RigGround::isRun($step->spec) || $result->verdict === RigVerdict::ReadAgain
            ? []
            : $this->ground->end($by, $step, $in, $taken, $result->verdict === RigVerdict::Within);
    }

    /** What was really turned after the last readings. @throws Refused */
    private function entered(Person $by, Step $step, StepInput $in): Worked
    {
        [$run, $hand] = $this->open($step);
        if ($run->verdict() === RigVerdict::ReadAgain) {
            throw Refused::because('A reading does not fit what went before. Read again before anything is turned. '
                .'Nothing was saved.');
        }
        if (RigRun::running($step) !== null) {
            throw Refused::because(
                'A ground run goes on: end it or break it off before anything is turned. Nothing was saved.',
            );
        }
        $cool = $run->cool($step->spec);
        if ($cool !== null && $this->clock->now()->epoch() < $cool->epoch()) {
            throw Refused::because('Cool down at idle until '.$this->clock->local($cool).', then shut down. Nothing is '
                .'turned before; nothing was saved.');
        }
        $turned = RigTurned::read($step->spec, $in->entries, $hand->past($run), $hand->model);
        // Put right, what was said to be turned before is not; what other rounds turned is said once more.
        $right = $run->turned !== null;
        $run->turned = $turned;
        $what = $right ? self::allTurned($step) : self::titles($step, $turned);

        return Worked::open(
            static fn() => $run->save(),
            fn() => $right ? $this->disturb->void($step->card->aircraft_id, [$step->id]) : null,
            fn() => $this->disturb->turned($by, $step->card, $step, self::needs($step, $what), $what, false),
            fn() => $this->records->write(
                $by,
                'rig.turned',
                "card:{$step->card_id}",
                ['step' => $step->no, 'run' => $run->no, 'turned' => $turned],
            ),
        );
    }

    /**
     * The readings after the turns, or once more in the same run: done when everything is within; if not, a further
     * round begins with these as its as-found.
     *
     * @throws Refused
     */
    private function asLeft(Person $by, Step $step, StepInput $in): Worked
    {
        [$run, $hand] = $this->open($step);
        if ($run->turned === null && $run->verdict() !== RigVerdict::ReadAgain) {
            throw Refused::because('Enter first what was turned, also where it was nothing. Nothing was saved.');
        }
        $turned = array_filter($run->turned ?? []) !== [];
        [$ground, $held] = $this->run(
            $step,
            $run->ground + ($turned ? 1 : 0),
            fn(): array => $turned ? RigHeld::said($step->spec, $in->entries) : $run->held ?? [],
        );
        $taken = $this->taken($step, $in, ReadingKind::AsLeft, $run->no);
        $values = self::values($taken);
        $rounds = $hand->rounds;
        $result = $hand->model->next([...$hand->measured(), new MeasuredRun($values)], Deadline::in(self::BUDGET));
        $within = $result->verdict === RigVerdict::Within;
        $writes = [
            ...$this->over($by, $step, $in, $taken, $result),
            ...$this->commit($by, $step, $taken, true),
            static fn() => $run->update(['as_left' => $values, 'turned' => $run->turned ?? []]),
            fn() => $this->records->write(
                $by,
                'rig.as_left',
                "card:{$step->card_id}",
                ['step' => $step->no, 'run' => $run->no, 'as_left' => $values],
            ),
        ];
        if (! $within) {
            return Worked::open(...$writes, ...$this->begin($by, $step, $result, [
                'no' => $run->no + 1, 'ground' => $ground, 'as_found' => $values, 'held' => $held,
            ]));
        }
        $writes[] = fn() => $this->disturb->turned($by, $step->card, $step, [], self::allTurned($step), true);
        if ($rounds->contains(static fn(RigRun $r): bool => array_filter($r->turned ?? []) !== [])) {
            $writes[] = fn() => RigLesson::create([
                'step_id' => $step->id, 'aircraft_id' => $step->card->aircraft_id, 'model' => RigPrior::model($step),
                'runs' => $ground - $rounds->firstOrFail()->ground + 1, 'effects' => $result->learned(),
                'at' => (string) $this->clock->now(),
            ]);
        }

        return Worked::done(['run' => $run->no, 'ground' => $ground], ...$writes);
    }

    /**
     * @return array{RigRun, RigInHand}
     *
     * @throws Refused
     */
    private function open(Step $step): array
    {
        $hand = RigInHand::of($step);
        $run = $hand?->open();

        return $hand === null || $run === null
            ? throw Refused::because('Enter the as-found readings first.')
            : [$run, $hand];
    }

    /** @return list<string> titles of what was turned in any round of a sheet */
    private static function allTurned(Step $step): array
    {
        return self::titles($step, array_merge(
            ...array_values($step->runs->map(static fn(RigRun $r): array => array_filter($r->turned ?? []))->all()),
        ));
    }

    /**
     * @param array<string, mixed> $turned by adjuster
     *
     * @return list<string> titles of what was
     */
    private static function titles(Step $step, array $turned): array
    {
        $titles = array_column($step->spec['adjusters'], 'title', 'id');

        return array_values(array_unique(array_map(
            static fn(string $id): string => $titles[$id] ?? $id,
            array_keys(array_filter($turned)),
        )));
    }

    /**
     * @param list<string> $what
     *
     * @return array<string, list<Proof>> what each asks for once it was turned
     */
    private static function needs(Step $step, array $what): array
    {
        $needs = Handling::ofAdjusters($step->spec);

        return array_combine(
            $what,
            array_map(static fn(string $title): array => $needs[$title] ?? [Proof::Reading], $what),
        );
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return list<Closure(): mixed>
     */
    private function begin(Person $by, Step $step, RigNextResult $result, array $row): array
    {
        return [
            fn() => RigRun::create([
                ...$row, 'solution' => $result->toArray(), 'step_id' => $step->id,
                'read_at' => (string) $this->clock->now(),
            ]),
            fn() => $this->records->write(
                $by,
                'rig.computed',
                "card:{$step->card_id}",
                [
                    'step' => $step->no, 'run' => $row['no'], 'as_found' => $row['as_found'],
                    'moves' => $result->toArray()['moves'],
                ],
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
     * @param bool $good whether these are what the aircraft is left with, as far as is known
     *
     * @return list<Closure(): mixed>
     */
    private function commit(Person $by, Step $step, array $taken, bool $good): array
    {
        // What was found is history; what was left must be good.
        $past = static fn() => Reading::where(['step_id' => $step->id, 'kind' => ReadingKind::AsFound])
            ->update(['stands' => false]);
        $commit = fn() => $this->readings->commit($by, $step, ...array_values($taken));

        return $good ? [$past, $commit] : [$commit, $past];
    }
}
