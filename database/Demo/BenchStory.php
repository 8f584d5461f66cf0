<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Bench\Model\FaultWalk;
use App\Bench\Model\FollowedPoint;
use App\Bench\Model\Recorder;
use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Fleet\Model\AircraftType;
use App\Floor\Do\Attempts;
use App\Floor\Do\ChartLimit;
use App\Floor\Do\TakeReading;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Floor\Model\Finding;
use App\Floor\Model\Reading;
use App\Floor\Model\Severity;
use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;
use App\Library\Model\CardTemplate;
use App\Library\Model\FaultTree;
use App\Stores\Model\Tool;
use App\Visits\Do\MakeCard;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Bench\Limit;
use Jorvel\Core\Bench\LimitResult;
use Jorvel\Core\Bench\Verdict;
use Jorvel\Core\Floor\AttemptState;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

/** What Bench has to tell: fault trees and recorders, eighteen months of tests, and one that failed this morning. */
final readonly class BenchStory
{
    public function __construct(private MakeCard $make) {}

    /**
     * @param list<array<string, mixed>> $trees
     * @param list<array<string, mixed>> $recorders
     * @param Collection<string, Person> $people by login
     */
    public function library(array $trees, array $recorders, Collection $people): void
    {
        $types = AircraftType::pluck('id', 'code');
        foreach ($trees as $t) {
            FaultTree::create([
                'type_id' => $types[$t['type']], 'code' => $t['code'], 'version' => 1, 'title' => $t['title'],
                'source' => $t['source'], 'nodes' => $t['nodes'], 'state' => FaultTree::IN_FORCE,
                'reason' => 'as in the approved data', 'proposed_by' => $people['ines']->id,
                'proposed_at' => '2025-01-10T09:00:00Z', 'decided_by' => $people['wenna']->id,
                'decided_at' => '2025-01-12T09:00:00Z',
            ]);
        }
        foreach ($recorders as $r) {
            Recorder::create([
                'type_id' => $types[$r['type']], 'code' => $r['code'], 'title' => $r['title'],
                'mapping' => $r['mapping'],
            ]);
        }
    }

    /**
     * Tests of the past, each with what it read.
     *
     * @param list<array<string, string>> $rows
     * @param Collection<string, Person> $people by login
     */
    public function past(array $rows, Collection $people): void
    {
        $aircraft = Aircraft::with('type')->get()->keyBy('mark');
        $templates = CardTemplate::all()->keyBy('code');
        $tools = Tool::pluck('id', 'code');
        $of = collect($rows)->groupBy(static fn(array $r): string => "{$r['mark']} {$r['template']} {$r['at']}");
        foreach ($of as $readings) {
            $first = $readings->firstOrFail();
            $by = $people[$first['by']];
            $card = $this->card($aircraft[$first['mark']], $templates[$first['template']], $by, $first['at']);
            $steps = $card->steps->keyBy('title');
            foreach ($readings as $r) {
                $step = $steps[$r['step']];
                $limit = $step->readingSpec($r['point'])['limit'] ?? ChartLimit::of(
                    $step->spec['points'] ?? [],
                    $r['point'],
                    array_map(floatval(...), $readings->where('step', $r['step'])->pluck('value', 'point')->all()),
                );
                $judged = $limit === null ? null : self::judged($limit, (float) $r['value'], $r['unit'], $r['at']);
                Reading::create([
                    'step_id' => $step->id, 'card_id' => $card->id,
                    'tool_id' => $r['tool'] === '' ? null : $tools[$r['tool']],
                    'person_id' => $by->id, 'point' => $r['point'], 'kind' => $r['kind'], 'run' => 1,
                    'value' => (float) $r['value'], 'unit' => $r['unit'],
                    'verdict' => $judged->verdict->value ?? Verdict::Pass->value, 'margin' => $judged?->margin,
                    'reasons' => [], 'at' => $r['at'], 'stands' => true,
                ]);
            }
            $this->passed($card->load('steps'), $by, $first['at']);
        }
    }

    /** @param array<string, mixed> $limit */
    public static function judged(array $limit, float $value, string $unit, string $at): LimitResult
    {
        return Limit::judge(
            Quantity::of($value, Unit::parse($unit)),
            TakeReading::limit(['limit' => $limit]),
            Day::parse(substr($at, 0, 10)),
        );
    }

    /**
     * Tests that failed once, with the way that was taken to the cause.
     *
     * @param list<array<string, mixed>> $walks
     * @param Collection<string, Person> $people
     */
    public function walks(array $walks, Collection $people): void
    {
        foreach ($walks as $n => $w) {
            $aircraft = Aircraft::where('mark', $w['mark'])->firstOrFail();
            $card = Card::where('aircraft_id', $aircraft->id)->where('closed_at', '<', '2026-05-01')
                ->whereHas('template', static fn($q) => $q->where('code', $w['template']))->orderBy('id')->first()
                ?? $this->card(
                    $aircraft->load('type'),
                    CardTemplate::where('code', $w['template'])->firstOrFail(),
                    $people['pell'],
                    "{$w['at']}T10:00:00Z",
                );
            $tree = FaultTree::where('code', $w['tree'])->firstOrFail();
            $at = "{$w['at']}T11:00:00Z";
            $path = [];
            foreach ($w['path'] as [$node, $branch]) {
                $is = $tree->tree()->node($node);
                $of = $is->branch($branch);
                $path[] = array_filter([
                    'node' => $node, 'branch' => $branch, 'title' => $is->title, 'said' => $of->title,
                    'by' => "{$people['ivo']->name} ({$people['ivo']->stamp})", 'at' => $at, 'cause' => $of->cause,
                ], static fn(mixed $v): bool => $v !== null);
            }
            $cause = $tree->tree()->cause($w['path'] === [] ? [] : array_map(
                static fn(array $p): array => ['node' => $p['node'], 'branch' => $p['branch']],
                $path,
            ));
            $finding = Finding::create([
                'aircraft_id' => $aircraft->id, 'card_id' => $card->id, 'raised_by' => $card->signed_by,
                'number' => sprintf('P%04d', 301 + $n), 'chapter' => $card->template->chapter,
                'severity' => Severity::Major,
                'place' => $w['test'], 'extent' => 'attempt 1 failed', 'state' => 'fixed',
                'fixed_how' => "{$cause}; attempt 2 passed", 'raised_at' => $at, 'settled_at' => $at,
            ]);
            FaultWalk::create([
                'finding_id' => $finding->id, 'tree_id' => $tree->id, 'path' => $path, 'cause' => $cause,
                'ended_at' => $at,
            ]);
        }
    }

    /**
     * One that failed this morning: a strut off its chart, its fault tree begun.
     *
     * @param Collection<string, Person> $people
     */
    public function morning(Collection $people): void
    {
        $visit = Visit::with('aircraft.type')->where('title', 'Engine control check')->firstOrFail();
        $template = CardTemplate::where('code', 'TRK-32-91')->firstOrFail();
        $card = ($this->make)($visit, $template, $visit->cards()->count() + 1)->load('steps');
        $by = $people['aki'];
        $at = '2026-05-05T06:40:00Z';
        Assignment::create(['card_id' => $card->id, 'person_id' => $by->id, 'role' => 'perform']);
        $card->addHand($by->id, $at);
        $card->update(['state' => Card::IN_WORK, 'begun_at' => $at]);
        foreach (['strut_n', 'strut_l'] as $key) {
            foreach (Attempts::steps($card, $key) as $step) {
                $this->work($step, $by, $at, $key === 'strut_l');
            }
            TestAttempt::create(
                $this->row($card, $key, 1, $key === 'strut_l' ? AttemptState::Failed : AttemptState::Passed, $by, $at),
            );
        }
        $card->steps->first()?->update(['state' => Step::DONE, 'done_by' => $by->id, 'done_at' => $at, 'result' => []]);
        $attempt = TestAttempt::where(['card_id' => $card->id, 'key' => 'strut_l'])->firstOrFail();
        $finding = Finding::create([
            'aircraft_id' => $visit->aircraft_id, 'card_id' => $card->id, 'raised_by' => $by->id,
            'number' => sprintf('F%04d', (int) Finding::max('id') + 1), 'chapter' => $card->chapter(),
            'severity' => Severity::Major, 'place' => $attempt->title,
            'extent' => 'attempt 1 failed: Extension by the chart, left', 'state' => 'open', 'raised_at' => $at,
            'step_no' => Attempts::steps($card, 'strut_l')->firstWhere('kind', 'verdict')?->no,
        ]);
        $attempt->update(['finding_id' => $finding->id]);
        $tree = FaultTree::where('code', 'TRK-T-3291')->firstOrFail();
        FaultWalk::create([
            'finding_id' => $finding->id, 'tree_id' => $tree->id, 'attempt_id' => $attempt->id, 'version' => 2,
            'path' => [[
                'node' => 'fluid', 'branch' => 'no', 'title' => 'Fluid at the gas valve?', 'said' => 'no',
                'by' => "{$by->name} ({$by->stamp})", 'at' => '2026-05-05T07:05:00Z',
            ]],
        ]);
    }

    /**
     * A cowl flap that opens slower each time stands in the due list, until it is bled.
     *
     * @param Collection<string, Person> $people
     */
    public function followed(Collection $people): void
    {
        $step = Step::with('card')->where('title', 'Open and shut, both sides')
            ->whereRelation('card.aircraft', 'mark', 'QA-VFD')->firstOrFail();
        FollowedPoint::create([
            'aircraft_id' => $step->card->aircraft_id, 'template_id' => $step->card->template_id,
            'title' => $step->title, 'point' => 'ropen', 'person_id' => $people['ines']->id,
            'at' => '2026-05-04T13:20:00Z', 'why' => 'opens slower each time: bleed it before it is out',
        ]);
    }

    /** A step of this morning's card, as it was worked. */
    private function work(Step $step, Person $by, string $at, bool $left): void
    {
        $result = match ($step->kind) {
            'attempt' => ['attempt' => 1, 'conditions' => []],
            'verdict' => [
                'attempt' => 1, 'state' => $left ? 'failed' : 'passed', 'verdict' => $left ? 'fail' : 'pass',
                'decided' => $left ? [$this->extension($step)] : [],
            ],
            'answer' => ['answer' => 'gas', 'said' => 'gas alone', 'verdict' => 'pass'],
            'count' => ['counted' => 3, 'verdict' => 'pass'],
            'sheet' => $this->read($step, $by, $at, $left),
            default => [],
        };
        $step->update([
            'state' => $left && $step->kind === 'verdict' ? Step::OPEN : Step::DONE, 'result' => $result,
            'done_by' => $by->id, 'done_at' => $at,
        ]);
    }

    private function extension(Step $verdict): string
    {
        return 'Extension by the chart, '.explode(', ', (string) $verdict->spec['test']['title'])[1];
    }

    /** @return array<string, mixed> */
    private function read(Step $step, Person $by, string $at, bool $left): array
    {
        $limit = ['kind' => 'nominal', 'unit' => 'mm', 'nominal' => 64.12, 'plus' => 5, 'minus' => 5];
        $read = [
            ['temp', 14.0, 'C', 'pass'], ['gas', 38.0, 'bar', 'pass'],
            ['bright', $left ? 54.0 : 63.0, 'mm', $left ? 'fail' : 'pass'],
        ];
        foreach ($read as [$point, $value, $unit, $verdict]) {
            Reading::create([
                'step_id' => $step->id, 'card_id' => $step->card_id, 'person_id' => $by->id, 'point' => $point,
                'kind' => 'reading', 'run' => 1, 'value' => $value, 'unit' => $unit, 'verdict' => $verdict,
                'margin' => $point === 'bright' ? ($left ? -5.12 : 3.88) : null, 'reasons' => [], 'at' => $at,
                'stands' => true,
            ]);
        }

        return ['run' => 1, 'verdict' => $left ? 'fail' : 'pass', 'limits' => ['bright' => $limit], 'lines' => []];
    }

    /** A card of the past, closed in a visit of its own. */
    public function card(Aircraft $aircraft, CardTemplate $template, Person $by, string $at): Card
    {
        $day = substr($at, 0, 10);
        $visit = Visit::create([
            'aircraft_id' => $aircraft->id, 'title' => $template->title, 'bay' => 'line', 'start' => $day,
            'end' => $day,
            'state' => Visit::RELEASED, 'released_at' => $at,
        ]);
        $visit->setRelation('aircraft', $aircraft);
        $card = ($this->make)($visit, $template, 1)->load('steps');
        Step::where('card_id', $card->id)->update([
            'state' => Step::DONE, 'done_by' => $by->id, 'done_at' => $at, 'result' => '{}',
        ]);
        $card->update([
            'state' => Card::CLOSED, 'signed_by' => $by->id, 'signed_at' => $at, 'begun_at' => $at, 'closed_at' => $at,
            'spent' => $card->hours,
        ]);

        return $card->load('steps');
    }

    private function passed(Card $card, Person $by, string $at): void
    {
        $begins = $card->steps->where('kind', 'attempt');
        foreach ($begins as $begin) {
            TestAttempt::create($this->row($card, $begin->spec['test']['key'], 1, AttemptState::Passed, $by, $at));
        }
    }

    /** @return array<string, mixed> */
    private function row(Card $card, string $key, int $no, AttemptState $state, Person $by, string $at): array
    {
        $begin = Attempts::steps($card, $key)->firstOrFail();

        return [
            'aircraft_id' => $card->aircraft_id, 'card_id' => $card->id, 'key' => $key,
            'title' => $begin->spec['test']['title'], 'system' => $begin->spec['system'], 'chapter' => $card->chapter(),
            'no' => $no, 'state' => $state, 'begun_by' => $by->id, 'begun_at' => $at, 'conditions' => [],
            'ended_by' => $by->id, 'ended_at' => $at,
            'decided' => $state === AttemptState::Failed ? ['Extension by the chart, left'] : [],
            'kept' => Attempts::kept($card->load('steps'), $key),
        ];
    }
}
