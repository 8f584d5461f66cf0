<?php

declare(strict_types=1);

namespace Database\Demo;

use App\Bench\Do\RigPrior;
use App\Bench\Model\RigLesson;
use App\Bench\Model\RigRun;
use App\Crew\Model\Person;
use App\Fleet\Model\Aircraft;
use App\Floor\Model\Reading;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Step;
use App\Library\Model\CardTemplate;
use App\Stores\Model\Tool;
use Illuminate\Support\Collection;
use Jorvel\Core\Bench\Rigging\MeasuredRun;
use Jorvel\Core\Bench\Rigging\RigModel;
use Jorvel\Core\Bench\Rigging\RigVerdict;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Instant;

/** Riggings of the past: each found out, turned by what it asked for, read until within, and learned from. */
final readonly class RigStory
{
    /** Seconds from one round to the next. */
    private const ROUND = 2400;

    public function __construct(private BenchStory $bench, private RigPrior $prior) {}

    /**
     * @param list<array{
     *   template: string, mark: string, at: string, by: string, tool: string, seed: int, found: array<string, float>,
     *   own: array<string, array<string, float>>,
     * }> $riggings with what turning really does there
     * @param Collection<string, Person> $people by login
     */
    public function past(array $riggings, Collection $people): void
    {
        foreach ($riggings as $r) {
            $card = $this->bench->card(
                Aircraft::with('type')->where('mark', $r['mark'])->firstOrFail(),
                CardTemplate::where('code', $r['template'])->firstOrFail(),
                $people[$r['by']],
                $r['at'],
            );
            $step = $card->steps->where('kind', 'rig')->firstOrFail();
            $step->setRelation('card', $card->load('template', 'aircraft'));
            $this->rig($step, $r, $people[$r['by']], (int) Tool::where('code', $r['tool'])->valueOrFail('id'));
        }
    }

    /** @param array<string, mixed> $of */
    private function rig(Step $step, array $of, Person $by, int $tool): void
    {
        $chance = Chance::seeded($of['seed']);
        $model = RigModel::from($step->spec);
        $prior = $this->prior->of($step, $model);
        $model = $model->begunFrom($prior['effects']);
        $held = array_column(array_map(static fn(array $m): array => [
            $m['id'], isset($m['unit']) ? "{$m['title']}: 68 °C" : $m['title'],
        ], $step->spec['requires'] ?? []), 1, 0);
        $true = array_map(floatval(...), $of['found']);
        $rounds = [];
        for ($no = 1; $no < 9; $no++) {
            $at = Instant::fromEpoch(Instant::parse($of['at'])->epoch() + ($no - 1) * self::ROUND);
            $read = [];
            foreach ($model->points as $point) {
                $read[$point->id] = round($true[$point->id] + $point->noise * $chance->normal(), 1);
            }
            $result = $model->next([...$rounds, new MeasuredRun($read)], Deadline::in(60_000));
            $within = $result->verdict === RigVerdict::Within;
            if ($no > 1) {
                RigRun::where(['step_id' => $step->id, 'no' => $no - 1])->firstOrFail()->update(['as_left' => $read]);
            }
            $this->readings($step, $read, $by, $tool, (string) $at, $no, $within);
            if ($within) {
                $step->update(['result' => ['run' => $no - 1, 'ground' => $no]]);
                RigLesson::create([
                    'step_id' => $step->id, 'aircraft_id' => $step->card->aircraft_id,
                    'model' => RigPrior::model($step), 'runs' => $no, 'effects' => $result->learned(),
                    'at' => (string) $at,
                ]);

                return;
            }
            $turned = array_filter(array_combine(array_column($step->spec['adjusters'], 'id'), $result->amounts));
            RigRun::create([
                'step_id' => $step->id, 'no' => $no, 'ground' => $no, 'as_found' => $read,
                'solution' => $result->toArray(), 'turned' => $turned,
                'prior' => $no === 1 ? $prior : null, 'held' => $held, 'read_at' => (string) $at,
            ]);
            $rounds[] = new MeasuredRun($read, $turned);
            foreach ($turned as $adjuster => $amount) {
                foreach ($of['own'][$adjuster] as $point => $effect) {
                    $true[$point] += $effect * $amount;
                }
            }
        }
    }

    /** @param array<string, float> $read */
    private function readings(Step $step, array $read, Person $by, int $tool, string $at, int $no, bool $stands): void
    {
        foreach ($read as $point => $value) {
            $limit = $step->readingSpec($point)['limit'];
            $judged = BenchStory::judged($limit, $value, $limit['unit'], $at);
            Reading::create([
                'step_id' => $step->id, 'card_id' => $step->card_id, 'tool_id' => $tool, 'person_id' => $by->id,
                'point' => $point, 'kind' => $no === 1 ? ReadingKind::AsFound : ReadingKind::AsLeft,
                'run' => max(1, $no - 1), 'value' => $value, 'unit' => $limit['unit'],
                'verdict' => $judged->verdict->value, 'margin' => $judged->margin, 'reasons' => [], 'at' => $at,
                'stands' => $stands,
            ]);
        }
    }
}
