<?php

declare(strict_types=1);

namespace App\Bench\Do;

use App\Bench\Model\RigRun;
use App\Floor\Model\Step;
use Illuminate\Support\Collection;
use Jorvel\Core\Bench\Rigging\MeasuredRun;
use Jorvel\Core\Bench\Rigging\RigModel;

/** The rigging that a sheet is in: its rounds, and the model as it was begun from. */
final readonly class RigInHand
{
    /** @param Collection<int, RigRun> $rounds the first first */
    private function __construct(public RigModel $model, public Collection $rounds) {}

    /** Null where nothing was read yet. Load the step's runs first. */
    public static function of(Step $step): ?self
    {
        $rounds = RigRun::ofLast($step->runs->toBase());
        $first = $rounds->first();

        return $first === null ? null : new self(
            self::model($step, $first->prior['effects'] ?? [], $first->threads ?? []),
            $rounds,
        );
    }

    /**
     * @param array<string, array<string, array{mean: float|int, sd: float|int}>> $believed
     * @param array<string, list<float|int>> $threads as they were counted
     */
    public static function model(Step $step, array $believed, array $threads): RigModel
    {
        return RigModel::from($step->spec)->begunFrom($believed)->within(RigThreads::reach($step->spec, $threads));
    }

    /** The round that waits for its as-left; null where none does. */
    public function open(): ?RigRun
    {
        return $this->rounds->first(static fn(RigRun $r): bool => $r->as_left === null);
    }

    /** @return list<MeasuredRun> */
    public function measured(): array
    {
        return array_values($this->rounds->map(static fn(RigRun $r): MeasuredRun => $r->measured())->all());
    }

    /** @return array<string, float> what each adjuster was moved before a round */
    public function past(RigRun $before): array
    {
        $past = [];
        foreach ($this->rounds->where('no', '<', $before->no) as $run) {
            foreach ($run->turned ?? [] as $adjuster => $amount) {
                $past[$adjuster] = ($past[$adjuster] ?? 0.0) + $amount;
            }
        }

        return $past;
    }
}
