<?php

declare(strict_types=1);

namespace App\Floor\Do\Work;

use App\Crew\Model\Person;
use App\Floor\Do\StepInput;
use App\Floor\Do\TakeReading;
use App\Floor\Do\Worked;
use App\Floor\Model\CircuitPoint;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Records;
use App\Shared\Refused;
use App\Stores\Do\ToolDesk;
use App\Stores\Model\Tool;
use Jorvel\Core\Floor\Counted;

/**
 * A round of like points, each seen once, by whoever comes by it, over as many shifts as it takes. A point that fails
 * stands open until it passes or a finding is raised at it; the round is done when none is open.
 */
final readonly class Circuit implements StepKind
{
    /** What concerns one point only, and is not held against what others did meanwhile elsewhere. */
    public const ONE = ['point', 'point_back'];

    public function __construct(
        private Clock $clock,
        private Records $records,
        private TakeReading $readings,
        private ToolDesk $desk,
    ) {}

    public function answers(): array
    {
        return ['done', ...self::ONE];
    }

    public function ask(Person $by, Step $step, StepInput $in): Worked
    {
        return match ($in->do) {
            'point' => $this->point($by, $step, $in),
            'point_back' => $this->back($by, $step, $in),
            default => $this->done($step),
        };
    }

    /** @return list<string> ids of the points that are not answered yet */
    public static function open(Step $step): array
    {
        $seen = CircuitPoint::where(['step_id' => $step->id, 'stands' => true])
            ->where(static fn($q) => $q->where('verdict', 'pass')->orWhere('entry', 'like', 'F%'))
            ->pluck('point')->all();

        return array_values(array_diff(array_column($step->spec['points'], 'id'), $seen));
    }

    private function done(Step $step): Worked
    {
        $open = self::open($step);
        if ($open !== []) {
            throw Refused::because('Still open: '.count($open).' of '.count($step->spec['points']).', first '
                .self::place($step, $open[0]).'. Nothing was confirmed.');
        }

        return Worked::done(['points' => count($step->spec['points'])]);
    }

    private function point(Person $by, Step $step, StepInput $in): Worked
    {
        if ($in->entries === []) {
            throw Refused::because('Say which point. Nothing was saved.');
        }
        $seen = CircuitPoint::with('person')->where(['step_id' => $step->id, 'stands' => true, 'verdict' => 'pass'])
            ->whereIn('point', array_keys($in->entries))->get()->keyBy('point');
        $tool = null;
        if ($step->spec['ask'] === 'reading') {
            $tool = $this->readings->tool($step->spec['reading'], $in->tool);
            $this->readings->requireHere($step, $tool);
        }
        $rows = [];
        $now = (string) $this->clock->now();
        foreach ($in->entries as $point => $entry) {
            $place = self::place($step, (string) $point);
            $had = $seen->get($point);
            if ($had !== null) {
                throw Refused::because("{$place} was seen by {$had->person->name}, ".$this->clock->local($had->at)
                    .'. Take that point back first if it was wrong.');
            }
            [$verdict, $value] = $this->said($step, trim($entry), $tool, $place);
            $rows[] = [
                'step_id' => $step->id, 'point' => (string) $point, 'entry' => trim($entry), 'value' => $value,
                'verdict' => $verdict, 'tool_id' => $tool?->id, 'person_id' => $by->id, 'at' => $now,
            ];
        }

        return Worked::open(
            fn() => $tool === null ? null : $this->desk->out($by, $step->card, $tool),
            static fn() => CircuitPoint::where('step_id', $step->id)->whereIn('point', array_column($rows, 'point'))
                ->update(['stands' => false]),
            static fn() => CircuitPoint::insert($rows),
            fn() => $this->records->write($by, 'step.points', "card:{$step->card_id}", [
                'step' => $step->no,
                'points' => array_column($rows, 'entry', 'point'),
                ...($tool === null ? [] : ['tool' => $tool->code]),
            ]),
        );
    }

    /** @return array{string, float|null} the verdict, and the number that was entered */
    private function said(Step $step, string $entry, ?Tool $tool, string $place): array
    {
        $spec = $step->spec;
        if ($spec['ask'] === 'tick') {
            return ['pass', null];
        }
        if ($spec['ask'] === 'reading') {
            $result = $this->readings->judge($spec['reading'], $entry, $tool);

            return [$result->verdict->value, $result->value];
        }
        $counted = Counted::parse($entry, 1.0)
            ?? throw Refused::because(
                "{$place}: enter how many {$spec['counts']}, as a whole number. Nothing was saved.",
            );

        return [Counted::within($counted, $spec['min'] ?? null, $spec['max'] ?? null) ? 'pass' : 'fail', $counted];
    }

    private function back(Person $by, Step $step, StepInput $in): Worked
    {
        $points = array_map(strval(...), array_keys($in->entries));
        if ($in->note === '') {
            throw Refused::because('Say why the point is taken back; the first entry stays in the record.');
        }
        $rows = CircuitPoint::where(['step_id' => $step->id, 'stands' => true])->whereIn('point', $points);
        if ($points === [] || $rows->count() < count($points)) {
            throw Refused::because('That point is not answered; there is nothing to take back.');
        }

        return Worked::open(
            static fn() => CircuitPoint::where('step_id', $step->id)->whereIn('point', $points)
                ->update(['stands' => false]),
            fn() => $this->records->write(
                $by,
                'step.points_back',
                "card:{$step->card_id}",
                ['step' => $step->no, 'points' => $points, 'why' => $in->note],
            ),
        );
    }

    /** @throws Refused for a point that the round has not */
    public static function place(Step $step, string $point): string
    {
        return array_column($step->spec['points'], 'place', 'id')[$point] ?? throw Refused::because(
            "Step {$step->no} has no point \"{$point}\". Nothing was saved.",
        );
    }
}
