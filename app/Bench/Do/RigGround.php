<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\RigRun;
use App\Crew\Model\Person;
use App\Floor\Do\Exceedances;
use App\Floor\Do\NewExceedance;
use App\Floor\Do\Somebody;
use App\Floor\Do\StepInput;
use App\Floor\Do\Taken;
use App\Floor\Do\Worked;
use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;
use App\Library\Model\FollowRule;
use App\Shared\Clock;
use App\Shared\Notices;
use App\Shared\Records;
use App\Shared\Refused;
use App\Shared\Words;
use Closure;
use Jorvel\Core\Bench\Rigging\RigVerdict;
use Jorvel\Core\Floor\AttemptState;
use Jorvel\Core\Library\ExceededTable;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Unit;

/**
 * The ground runs of a rigging, each an attempt of its own: begun with what must hold, its cautions read out and
 * everybody at their place; ended by its readings and by the highest that was seen of each limit; or broken off.
 */
final readonly class RigGround
{
    /** What entries are called: who stands at a place, the highest of a limit, for how long it was beyond it. */
    public const AT = 'at:';

    public const PEAK = 'peak:';

    public const BEYOND = 'beyond:';

    public function __construct(
        private Clock $clock,
        private Records $records,
        private Notices $notices,
        private Somebody $somebody,
        private Exceedances $exceedances,
    ) {}

    /**
     * Whether a sheet is read in runs that are begun.
     *
     * @param array<string, mixed> $spec
     */
    public static function isRun(array $spec): bool
    {
        return isset($spec['ground']['places']);
    }

    /** @throws Refused where none goes on */
    public function require(Step $step): TestAttempt
    {
        return RigRun::running($step) ?? throw Refused::because(
            'Begin the ground run first: everybody at their place, the cautions read out. Nothing was saved.',
        );
    }

    /** @throws Refused for what does not hold, a place with nobody, or where no readings are awaited */
    public function begin(Person $by, Step $step, StepInput $in): Worked
    {
        $ground = $step->spec['ground'];
        if (! self::isRun($step->spec)) {
            throw Refused::because('Nothing of this sheet is read in a ground run. Nothing was begun.');
        }
        if (RigRun::running($step) !== null) {
            throw Refused::because('A ground run goes on already. Nothing was begun.');
        }
        $hand = RigInHand::of($step);
        $open = $hand?->open();
        if ($open !== null && $open->turned === null && $open->verdict() !== RigVerdict::ReadAgain) {
            throw Refused::because('Enter first what was turned, also where it was nothing. Nothing was begun.');
        }
        $held = RigHeld::said($step->spec, $in->entries);
        $crew = $this->crew($ground['places'], $in->entries);
        $this->tables($step);
        $no = 1 + RigRun::grounds($step)->count();
        $now = (string) $this->clock->now();
        $conditions = [
            ...array_map(
                static fn(string $id, string $said): array => ['title' => 'Before it', 'said' => $said, 'holds' => $id],
                array_keys($held),
                $held,
            ),
            ...array_map(
                static fn(string $place, Person $p): array => [
                    'title' => $place, 'said' => "{$p->name} ({$p->stamp})", 'name' => $p->name,
                ],
                array_keys($crew),
                $crew,
            ),
        ];

        return Worked::open(
            static fn() => TestAttempt::create([
                'aircraft_id' => $step->card->aircraft_id, 'card_id' => $step->card_id, 'key' => RigRun::key($step),
                'title' => "Ground run: {$step->title}", 'system' => $ground['system'],
                'chapter' => $step->card->chapter(), 'no' => $no, 'state' => AttemptState::Begun,
                'begun_by' => $by->id, 'begun_at' => $now, 'conditions' => $conditions,
            ]),
            fn() => $this->records->write($by, 'rig.run', "card:{$step->card_id}", [
                'step' => $step->no, 'run' => $no, 'said' => array_column($conditions, 'said'),
            ]),
            fn() => array_map(fn(string $place, Person $p) => $p->id === $by->id ? null : $this->notices->tell(
                $p->id,
                "{$by->name} called you at {$place} for a ground run of {$step->card->number}. If you are not there, "
                    .'tell them at once.',
                "/floor/{$step->card_id}?step={$step->no}",
            ), array_keys($crew), $crew),
        );
    }

    /**
     * The run is over with its readings: good where all are within and nothing was exceeded.
     *
     * @param array<string, Taken> $taken by point
     *
     * @return list<Closure(): mixed>
     *
     * @throws Refused where the highest of a limit was not said
     */
    public function end(Person $by, Step $step, StepInput $in, array $taken, bool $within): array
    {
        $attempt = $this->require($step);
        [$said, $beyond] = $this->watched($step, $in);
        $titles = array_column($step->spec['points'], 'title', 'id');
        $out = array_map(
            static fn(string $id): string => $titles[$id],
            array_keys(array_filter($taken, static fn(Taken $t): bool => $t->verdict !== 'pass')),
        );
        $decided = [...$out, ...array_map(static fn(NewExceedance $e): string => $e->note, $beyond)];
        $now = (string) $this->clock->now();
        $kept = self::kept($by, $step, $taken, $now, $within && $beyond === []);

        return [
            static fn() => $attempt->update([
                'state' => $within && $beyond === [] ? AttemptState::Passed : AttemptState::Failed,
                'ended_by' => $by->id, 'ended_at' => $now, 'decided' => $decided,
                'conditions' => [...$attempt->conditions, ...$said], 'kept' => [$kept],
            ]),
            ...array_map(
                fn(NewExceedance $e): Closure
                    => fn() => $this->exceedances->record($by, $step->card->aircraft, $e),
                $beyond,
            ),
        ];
    }

    /**
     * The run is broken off: back to idle, shut down. It counts, and nothing was learned in it.
     *
     * @throws Refused without a reason, or where none goes on
     */
    public function breakOff(Person $by, Step $step, StepInput $in): Worked
    {
        $attempt = $this->require($step);
        if ($in->note === '') {
            throw Refused::because('Say why it is broken off. Nothing was saved; back to idle all the same.');
        }
        [$said, $beyond] = array_filter(
            $in->entries,
            static fn(string $v, string $k): bool => str_starts_with($k, self::PEAK) && trim($v) !== '',
            ARRAY_FILTER_USE_BOTH,
        ) === [] ? [[], []] : $this->watched($step, $in);
        $now = (string) $this->clock->now();

        return Worked::open(
            static fn() => $attempt->update([
                'state' => AttemptState::BrokenOff, 'broken_by' => $by->id, 'broken_at' => $now,
                'broken_why' => $in->note, 'ended_by' => $by->id, 'ended_at' => $now, 'decided' => [$in->note],
                'conditions' => [...$attempt->conditions, ...$said], 'kept' => [],
            ]),
            fn() => $this->records->write($by, 'rig.run_off', "card:{$step->card_id}", [
                'step' => $step->no, 'run' => $attempt->no, 'why' => $in->note,
            ]),
            ...array_map(
                fn(NewExceedance $e): Closure
                    => fn() => $this->exceedances->record($by, $step->card->aircraft, $e),
                $beyond,
            ),
        );
    }

    /**
     * @param list<string> $places
     * @param array<string, string> $entries
     *
     * @return array<string, Person> by place
     *
     * @throws Refused
     */
    private function crew(array $places, array $entries): array
    {
        $crew = [];
        foreach ($places as $i => $place) {
            $there = $this->somebody->at($place, trim($entries[self::AT.$i] ?? ''));
            foreach ($crew as $other => $person) {
                if ($person->id === $there->id) {
                    throw Refused::because("{$there->name} stands at {$other} and at one place only. Who stands at "
                        ."{$place}? Nothing was begun.");
                }
            }
            $crew[$place] = $there;
        }

        return $crew;
    }

    /**
     * The highest that was seen of each limit, in words, and what was beyond.
     *
     * @return array{list<array{title: string, said: string}>, list<NewExceedance>}
     *
     * @throws Refused for one that is missing, no number, or beyond with no time said
     */
    private function watched(Step $step, StepInput $in): array
    {
        $said = $beyond = [];
        $tables = $this->tables($step);
        foreach ($step->spec['ground']['limits'] ?? [] as $i => $limit) {
            $table = $tables[$limit['rule']];
            $most = $table->over ? 'highest' : 'lowest';
            $peak = self::number($in->entries[self::PEAK.$i] ?? '', $table->unit, "the {$most} {$limit['title']}");
            $said[] = [
                'title' => ucfirst($most)." {$limit['title']}",
                'said' => Words::number($peak, 1)." {$table->unit->label()}",
            ];
            if ($table->row($peak, 0.0) === null) {
                continue;
            }
            $seconds = self::number(
                $in->entries[self::BEYOND.$i] ?? '',
                Unit::s,
                "for how many seconds {$limit['title']} was beyond its limit",
            );
            $beyond[] = new NewExceedance(
                $limit['rule'],
                $limit['position'],
                $peak,
                $seconds,
                'run',
                $this->clock->now(),
                "{$limit['title']} beyond its limit",
            );
        }

        return [$said, $beyond];
    }

    /**
     * @return array<string, ExceededTable> of every limit that is watched, by its rule
     *
     * @throws Refused for one that is no longer in force: it is not left unwatched
     */
    private function tables(Step $step): array
    {
        $limits = $step->spec['ground']['limits'] ?? [];
        $tables = $limits === [] ? [] : FollowRule::tables($step->card->aircraft->type_id);
        foreach ($limits as $limit) {
            isset($tables[$limit['rule']]) || throw Refused::because("{$limit['title']} is watched by {$limit['rule']}"
                .', which is not in force. Ask the controller; nothing was saved.');
        }

        return $tables;
    }

    /** @throws Refused */
    private static function number(string $entry, Unit $unit, string $what): float
    {
        if (trim($entry) === '') {
            throw Refused::because("Enter {$what}. Nothing was saved.");
        }
        try {
            return Entered::parse($entry, $unit)->in($unit)->value;
        } catch (InputError $e) {
            throw Refused::because(ucfirst($what)." {$e->getMessage()}. Nothing was saved.");
        }
    }

    /**
     * @param array<string, Taken> $taken
     *
     * @return array<string, mixed> the sheet as it was in this run, as an attempt keeps its steps
     */
    private static function kept(Person $by, Step $step, array $taken, string $now, bool $good): array
    {
        return [
            'no' => $step->no, 'kind' => $step->kind, 'title' => $step->title, 'part' => 'test',
            'state' => Step::DONE->value, 'result' => ['verdict' => $good ? 'pass' : 'fail'], 'spec' => $step->spec,
            'by' => "{$by->name} ({$by->stamp})", 'at' => $now,
            'readings' => array_map(static fn(Taken $t, string $point): array => [
                'point' => $point, 'kind' => 'reading', 'run' => 1, 'value' => $t->value, 'unit' => $t->unit,
                'verdict' => $t->verdict, 'margin' => $t->margin, 'tool' => $t->tool?->code, 'by' => $by->name,
                'at' => $now,
            ], $taken, array_keys($taken)),
        ];
    }
}
