<?php

declare(strict_types=1);

namespace App\Bench\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\Taken;
use App\Floor\Do\TakeReading;
use App\Floor\Do\Work\StepKind;
use App\Floor\Do\Worked;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Refused;
use App\Shared\Words;
use Jorvel\Core\Bench\Decay;
use Jorvel\Core\Bench\PressureAt;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Shared\Entered;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;

/** A pressure read at the start and at the end, each with its temperature: what it lost an hour. */
final readonly class LeakOverTime implements StepKind
{
    public function __construct(private TakeReading $readings, private Clock $clock) {}

    public function answers(): array
    {
        return ['start', 'read'];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        $spec = $step->spec;
        if ($in->do === 'start' && isset($spec['from'])) {
            throw Refused::because('Its start was read before. Read the end; nothing was saved.');
        }
        $unit = Unit::parse($spec['unit']);
        $taken = $this->readings->note(
            $step,
            "{$spec['point']}, ".($in->do === 'start' ? 'start' : 'end'),
            $unit,
            $in->entry,
            $spec['tool_kind'] ?? null,
            $in->tool,
        );
        $now = $this->clock->now();
        $is = ['at' => (string) $now, 'pressure' => $taken->value, 'temp' => self::temperature($in, $spec['gas'])];

        return $in->do === 'start'
            ? Worked::open(
                fn() => $this->readings->commit($by, $step, $taken),
                static fn() => $step->fill(['result' => ['start' => $is], 'started_at' => (string) $now])->save(),
            )
            : $this->end($by, $step, $taken, $is);
    }

    /** @param array{at: string, pressure: float, temp: float|null} $end */
    private function end(Person $by, Step $step, Taken $taken, array $end): Worked
    {
        $spec = $step->spec;
        $start = isset($spec['from'])
            ? $this->before($step)
            : $step->result['start'] ?? throw Refused::because('Read the start first. Nothing was saved.');
        $this->requireOver($start['at'], (int) ceil($spec['minutes'] * 60));
        $at = static fn(array $r): PressureAt => new PressureAt(
            Instant::parse($r['at']),
            (float) $r['pressure'],
            (float) ($r['temp'] ?? 20.0),
        );
        $decay = Decay::of(
            $at($start),
            $at($end),
            Unit::parse($spec['unit']),
            $spec['gas'],
            (float) $spec['max_per_hour'],
        );
        $result = [
            'start' => $start, 'end' => $end, 'corrected' => $decay->correctedEnd, 'drop' => $decay->drop,
            'per_hour' => $decay->perHour, 'unit' => $spec['unit'], 'verdict' => $decay->verdict->value,
            'said' => self::said($decay, Unit::parse($spec['unit'])),
        ];
        $loss = new Taken(
            $spec['point'],
            (string) round($decay->perHour, 6),
            $decay->perHour,
            Unit::parse($spec['unit'])->value,
            $decay->verdict->value,
            (float) $spec['max_per_hour'] - $decay->perHour,
            $taken->tool,
        );
        $writes = [
            fn() => $this->readings->commit($by, $step, $taken),
            fn() => $this->readings->commit($by, $step, $loss),
        ];

        return $decay->verdict === Verdict::Pass
            ? Worked::done($result, ...$writes)
            : Worked::short($result, Verdict::Fail, ...$writes, ...[
                // Outside of a test it is tightened and read again from its start.
                static fn() => $step->fill(['result' => $result, 'started_at' => null])->save(),
            ]);
    }

    /**
     * The start, where an earlier step of the card read it: from before an inspection to after it.
     *
     * @return array{at: string, pressure: float, temp: null}
     */
    private function before(Step $step): array
    {
        $of = $step->card->steps->first(static fn(Step $s): bool => ($s->spec['id'] ?? null) === $step->spec['from']);
        $value = $of?->result['reference'] ?? Reading::where(['step_id' => $of?->id, 'stands' => true])->value('value');
        if ($of?->done_at === null || $value === null) {
            throw Refused::because('The first reading is not taken yet. Nothing was saved.');
        }

        return ['at' => (string) $of->done_at, 'pressure' => (float) $value, 'temp' => null];
    }

    /** @throws Refused before the time is over */
    private function requireOver(string $since, int $seconds): void
    {
        $held = $this->clock->now()->epoch() - Instant::parse($since)->epoch();
        if ($held < $seconds) {
            throw Refused::because("Only {$held} of {$seconds} seconds have passed since the first reading. "
                .'Read it after that; nothing was saved.');
        }
    }

    private static function said(Decay $decay, Unit $unit): string
    {
        return ($decay->drop >= 0 ? 'lost ' : 'gained ').Words::number(abs($decay->drop), 2)." {$unit->label()}, "
            .Words::number(abs($decay->perHour), 2)." {$unit->label()} an hour";
    }

    /** @throws Refused where a gas is read without its temperature */
    private static function temperature(StepInput $in, bool $gas): ?float
    {
        $said = trim($in->entries['temp'] ?? '');
        if ($said === '') {
            return $gas
                ? throw Refused::because('Enter the temperature too: a gas that cools is no leak. Nothing was saved.')
                : null;
        }
        try {
            return Entered::parse($said, Unit::C)->value;
        } catch (InputError $e) {
            throw Refused::because("The temperature: {$e->getMessage()}. Nothing was saved.");
        }
    }
}
