<?php

declare(strict_types=1);

namespace App\Bench\Model;

use App\Floor\Model\Step;
use App\Floor\Model\TestAttempt;
use App\Shared\AsInstant;
use App\Shared\Model;
use Illuminate\Support\Collection;
use Jorvel\Core\Bench\Rigging\MeasuredRun;
use Jorvel\Core\Bench\Rigging\RigVerdict;
use Jorvel\Core\Shared\Instant;

/**
 * One round of rigging: what was read, what was to be turned and what was, what was read after.
 *
 * @property int $step_id
 * @property int $no
 * @property int $ground number of the ground run in which it was read; a re-reading is of the same one
 * @property array<string, float> $as_found by point
 * @property array<string, mixed> $solution as the `rig_next` kind answers
 * @property array<string, float>|null $turned signed amounts by adjuster; null until they are entered
 * @property array<string, float>|null $as_left by point
 * @property array{story: string, effects: array<string, array<string, array{mean: float, sd: float}>>}|null $prior what
 *   was believed beforehand; of the first round of a rigging alone
 * @property array<string, string>|null $held what had to hold before it was read, as it was said
 * @property array<string, list<float|int>>|null $threads that showed at turnbuckles, by adjuster; of the first round
 *   alone
 * @property Instant|null $read_at
 */
final class RigRun extends Model
{
    protected $casts = [
        'as_found' => 'array', 'solution' => 'array', 'as_left' => 'array', 'turned' => 'array', 'prior' => 'array',
        'held' => 'array', 'threads' => 'array', 'read_at' => AsInstant::class,
    ];

    public function verdict(): RigVerdict
    {
        return RigVerdict::from($this->solution['verdict']);
    }

    /**
     * The ground runs of the rigging that a sheet is in, or of the one that it would begin now, as attempts; those of
     * the next on the same sheet count from 1 again.
     *
     * @return Collection<int, TestAttempt> the first first
     */
    public static function grounds(Step $step): Collection
    {
        return TestAttempt::where(['card_id' => $step->card_id, 'key' => self::key($step)])->orderBy('no')
            ->get(TestAttempt::LISTED)->toBase();
    }

    /** The ground run of a sheet that goes on; null between runs. */
    public static function running(Step $step): ?TestAttempt
    {
        return TestAttempt::running($step->card_id, self::key($step));
    }

    /** By what key they are kept: of the step, by the number of the rigging's first round. */
    public static function key(Step $step): string
    {
        $runs = $step->loadMissing('runs')->runs->toBase();
        $open = $runs->contains(static fn(self $r): bool => $r->as_left === null);

        return "rig:{$step->no}:".($open ? self::ofLast($runs)->firstOrFail()->no : 1 + (int) $runs->max('no'));
    }

    /**
     * When the ground run that it was read in has cooled down; null where nothing is to cool.
     *
     * @param array<string, mixed> $spec of the step
     */
    public function cool(array $spec): ?Instant
    {
        return $this->read_at === null || ! isset($spec['ground']['cool_s'])
            ? null
            : Instant::fromEpoch($this->read_at->epoch() + (int) $spec['ground']['cool_s']);
    }

    public function measured(): MeasuredRun
    {
        return new MeasuredRun(
            array_map(floatval(...), $this->as_found),
            array_map(floatval(...), $this->turned ?? []),
        );
    }

    /**
     * The rounds of the last rigging of a sheet, the first first.
     *
     * @param Collection<int, self> $runs of the sheet
     *
     * @return Collection<int, self>
     */
    public static function ofLast(Collection $runs): Collection
    {
        $first = $runs->whereNotNull('prior')->last()->no ?? 1;

        return $runs->where('no', '>=', $first)->sortBy('no')->values();
    }

    /** What it was left with, as a round of its own: the last, in which nothing was turned. */
    public function leftWith(): self
    {
        return (new self)->forceFill([
            'step_id' => $this->step_id, 'no' => $this->no + 1,
            'ground' => $this->ground + (array_filter($this->turned ?? []) === [] ? 0 : 1),
            'as_found' => $this->as_left, 'turned' => [], 'as_left' => $this->as_left,
            'solution' => [
                'verdict' => RigVerdict::Within->value, 'moves' => [], 'predicted' => [], 'chance' => [],
                'p_within' => null, 'unmet' => [], 'recheck' => [], 'doubt' => [], 'at_stop' => [], 'learned' => [],
            ],
        ]);
    }
}
