<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Bench\Do\RigPrior;
use App\Bench\Model\RigLesson;
use App\Bench\Model\RigRun;
use App\Bench\Show\View\LearnedView;
use App\Bench\Show\View\RiggingRow;
use App\Bench\Show\View\RiggingsRoom;
use App\Bench\Show\View\RiggingView;
use App\Floor\Model\Reading;
use App\Floor\Model\Step;
use App\Floor\Show\ShowRun;
use App\Floor\Show\View\RunView;
use App\Shared\Clock;
use App\Shared\Words;
use App\Visits\Model\Visit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Jorvel\Core\Bench\Rigging\Effect;
use Jorvel\Core\Shared\Unit;

/** Riggings: a list of those in hand and of the past, and each as it was. */
final readonly class ShowRiggings
{
    /** The latest that are listed. */
    private const MOST = 300;

    public function __construct(private Clock $clock, private ShowRun $runs, private RiggingSides $sides) {}

    public function room(): RiggingsRoom
    {
        $rows = $this->query()->where(static fn(Builder $q) => $q->has('runs')
            ->orWhereHas('card.visit', static fn($q) => $q->where('state', '!=', Visit::RELEASED)))
            ->limit(self::MOST)->get()->map($this->row(...))
            ->sortBy(static fn(RiggingRow $r): array => [$r->look === 'clear', $r->date === null, $r->mark]);
        $open = $rows->where('look', '!=', 'clear');

        return new RiggingsRoom(
            match (true) {
                $rows->isEmpty() => 'Nothing has been rigged yet. The cards of a visit bring their riggings here.',
                $open->isEmpty() => Words::count($rows->count(), 'rigging').', all within.',
                default => Words::count($open->count(), 'rigging').' to do or in hand.',
            },
            array_values($rows->all()),
        );
    }

    public function one(Step $step): RiggingView
    {
        $step->load(['card.aircraft', 'card.template.manual', 'runs']);
        $rounds = RigRun::ofLast($step->runs->toBase());
        $last = $rounds->last();
        $shown = $this->runs->all($step, $rounds);
        $others = $this->query()->has('runs')->where('title', $step->title)->whereKeyNot($step->id)
            ->whereHas('card', static fn($q) => $q
                ->where(['aircraft_id' => $step->card->aircraft_id, 'template_id' => $step->card->template_id]))
            ->get();

        return new RiggingView(
            $step->id,
            "{$step->title} on {$step->card->aircraft->mark}: ".self::said($step, $shown),
            $step->card->aircraft->mark,
            $step->card_id,
            $step->card->number,
            $step->no,
            $step->title,
            "{$step->card->template->manual->code} {$step->card->template->section}",
            (object) $step->spec,
            $shown,
            $last === null ? [] : $this->learned($step, $last),
            array_values(Reading::with('tool')->where('step_id', $step->id)->whereNotNull('tool_id')->get()
                ->map(static fn(Reading $r): string => $r->tool === null ? '' : "{$r->tool->code} {$r->tool->title}")
                ->unique()->filter()->all()),
            array_values($others->map($this->row(...))->all()),
            $this->sides->of($others->push($step)->sortBy('id')->values()->toBase()),
            $this->since($step),
        );
    }

    /** @return Builder<Step> */
    private function query(): Builder
    {
        return Step::with(['card.aircraft', 'card.template', 'runs'])->where('kind', 'rig')->orderByDesc('id');
    }

    private function row(Step $step): RiggingRow
    {
        $rounds = RigRun::ofLast($step->runs->toBase());
        $last = $rounds->last();
        $at = $last?->read_at;

        return new RiggingRow(
            $step->id,
            $step->card_id,
            $step->card->number,
            $step->no,
            $step->card->aircraft->mark,
            $step->title,
            match (true) {
                $step->settled() => 'clear', $last === null => 'waiting', default => 'watch',
            },
            match (true) {
                $step->settled() => 'within', $last === null => 'not begun', default => 'in hand',
            },
            count($this->runs->all($step, $rounds)),
            $at === null ? '' : $this->clock->words($at->dayIn($this->clock->zone())),
            $at === null ? null : (string) $at->dayIn($this->clock->zone()),
        );
    }

    /** @param list<RunView> $runs */
    private static function said(Step $step, array $runs): string
    {
        if ($runs === []) {
            return 'not begun.';
        }
        // Runs that were broken off count as well.
        $ground = $runs[count($runs) - 1]->ground;

        return ($step->settled() ? 'within after ' : 'in hand, ').Words::count($ground, 'run').'.';
    }

    /** @return list<LearnedView> */
    private function learned(Step $step, RigRun $last): array
    {
        $others = RigLesson::where('model', RigPrior::model($step))->where('stands', true)
            ->where('aircraft_id', '!=', $step->card->aircraft_id)->orderBy('id')->get()->keyBy('aircraft_id');
        $mine = RigLesson::where('step_id', $step->id)->where('stands', true)->latest('id')->first();
        $points = array_column($step->spec['points'], null, 'id');
        $titles = array_column($step->spec['adjusters'], 'title', 'id');
        $out = [];
        foreach ($step->spec['effects'] as $adjuster => $row) {
            foreach ($row as $point => $book) {
                $here = $mine->effects[$adjuster][$point] ?? $last->solution['learned'][$adjuster][$point] ?? null;
                if ($here === null) {
                    continue;
                }
                $unit = (string) ($points[$point]['unit'] ?? '');
                $out[] = new LearnedView(
                    $titles[$adjuster] ?? $adjuster,
                    $points[$point]['title'] ?? $point,
                    Unit::tryFrom($unit)?->label() ?? $unit,
                    (float) (is_array($book) ? $book['mean'] : $book),
                    (float) $here['mean'],
                    2 * (float) $here['sd'],
                    self::fleet($others->map(static fn(RigLesson $l): ?Effect => $l->effect($adjuster, $point))
                        ->filter()),
                );
            }
        }

        return $out;
    }

    /** @param Collection<int, Effect> $others */
    private static function fleet(Collection $others): string
    {
        if ($others->isEmpty()) {
            return '';
        }
        $means = $others->map(static fn(Effect $e): float => $e->mean);
        $span = array_unique([Words::number((float) $means->min(), 2), Words::number((float) $means->max(), 2)]);

        return implode(' to ', $span).' on '.Words::count($others->count(), 'other');
    }

    /** What was flown since its card was closed. */
    private function since(Step $step): ?string
    {
        $closed = $step->card->closed_at?->dayIn($this->clock->zone());
        if ($closed === null) {
            return null;
        }
        $flown = 0.0;
        foreach ($step->card->aircraft->flying()->where('date', '>', (string) $closed)->get(['flown']) as $entry) {
            $flown += (float) ($entry->flown['fh'] ?? 0.0);
        }

        return Words::amount($flown, 'fh').' since';
    }
}
