<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Bench\Model\FollowedPoint;
use App\Bench\Show\View\TrendPointView;
use App\Bench\Show\View\TrendRow;
use App\Bench\Show\View\TrendSeriesView;
use App\Bench\Show\View\TrendsRoom;
use App\Bench\Show\View\TrendView;
use App\Bench\UnitChanges;
use App\Floor\Model\Card;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Step;
use App\Floor\TestStepWords;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Bench\Drift;
use Jorvel\Core\Bench\DriftReading;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Unit;

/**
 * Any point that is read, over time: by aircraft, beside the fleet's. Whether it wanders, and when it will be out, the
 * core says. A value as left, and a part that was replaced, begin it anew.
 */
final readonly class Trends
{
    /** Readings that a trend needs to say anything. */
    private const LEAST = 3;

    /** The line goes through the latest ones alone: every pair of them is looked at. */
    private const LATEST = 300;

    /** The latest of a point that are drawn; how many there are is said with them. */
    private const DRAWN = 1000;

    /** Those that are out first, on the room's first page. */
    public const FIRST = 10;

    public function __construct(private Clock $clock) {}

    public function room(): TrendsRoom
    {
        $rows = $this->rows();
        $soon = array_values(array_filter($rows, static fn(TrendRow $r): bool => $r->date !== null));

        return new TrendsRoom(
            match (true) {
                $rows === [] => 'No point has been read three times yet. A trend begins with the third reading.',
                $soon === [] => Words::count(count($rows), 'point').' followed; none heads for a limit.',
                default => "{$soon[0]->title} on {$soon[0]->mark} will be out first: {$soon[0]->said}.",
            },
            $rows,
        );
    }

    /** @return list<TrendRow> those that will be out first, first */
    public function rows(): array
    {
        $out = array_values($this->each($this->groups($this->often())));
        usort($out, static fn(TrendRow $a, TrendRow $b): int
            => [$a->date ?? '9999', $a->mark, $a->title] <=> [$b->date ?? '9999', $b->mark, $b->title]);

        return $out;
    }

    /**
     * The trends of points that stand in the due list.
     *
     * @param int|null $aircraft of one aircraft alone
     *
     * @return array<string, TrendRow> by {@see FollowedPoint::key()}
     */
    public function followed(?int $aircraft): array
    {
        return $this->each($this->groups($this->often()->join('followed_points', static fn(JoinClause $j) => $j
            ->on('followed_points.aircraft_id', '=', 'cards.aircraft_id')
            ->on('followed_points.template_id', '=', 'cards.template_id')
            ->on('followed_points.title', '=', 'steps.title')->on('followed_points.point', '=', 'readings.point')
            ->whereNull('followed_points.ended_at'))
            ->when($aircraft !== null, static fn(Builder $q) => $q->where('cards.aircraft_id', $aircraft))));
    }

    /**
     * @param Collection<non-falsy-string, Collection<int, \stdClass>> $groups
     *
     * @return array<string, TrendRow> of those that are judged by something
     */
    private function each(Collection $groups): array
    {
        $steps = Step::with(['card.template', 'card.item', 'card.finding'])
            ->whereIn('id', $groups->map(static fn(Collection $of): int => (int) $of->last()->step_id)->all())
            ->get()->keyBy('id');
        $changed = UnitChanges::on($groups->map(static fn(Collection $of): int => (int) $of->last()->aircraft_id)
            ->unique()->values()->all());
        $out = [];
        foreach ($groups as $key => $readings) {
            $step = $steps->get($readings->last()->step_id);
            $row = $step === null ? null : $this->row($readings, $step, $changed);
            if ($row !== null) {
                $out[$key] = $row;
            }
        }

        return $out;
    }

    /**
     * The trend that a reading belongs to.
     *
     * @return TrendView|null null for a reading that there is not
     */
    public function of(int $readingId): ?TrendView
    {
        $is = $this->query()->where('readings.id', $readingId)->first();
        if ($is === null) {
            return null;
        }
        $all = fn(): Builder => $this->query()->where('cards.template_id', $is->template_id)
            ->where('readings.point', $is->point)->where('steps.title', $is->title)
            ->orderByDesc('readings.at')->orderByDesc('readings.id');
        $ours = static fn(): Builder => $all()->where('cards.aircraft_id', $is->aircraft_id);
        $mine = $ours()->limit(self::DRAWN)->get()->reverse()->values();
        $many = $mine->count() < self::DRAWN ? $mine->count() : $ours()->count();
        $others = $all()->where('cards.aircraft_id', '!=', $is->aircraft_id)->limit(self::DRAWN)->get()->reverse();
        $step = Step::with(['card.template', 'card.item', 'card.finding'])->findOrFail($mine->last()->step_id);
        $limit = FollowedLimit::of($step, (string) $is->point);
        $changed = $this->ofSystem(UnitChanges::on([(int) $is->aircraft_id]), $step->card);
        [$drift, $why] = $this->drift($mine, $limit, $changed);
        $said = TrendSaid::of($drift, $why, $this->clock);
        $title = self::title($step, (string) $is->point, $limit);
        $point = fn(object $r): TrendPointView => $this->point($r, $limit);
        $in = FollowedPoint::standing()->with('person')->where([
            'aircraft_id' => $is->aircraft_id, 'template_id' => $is->template_id, 'title' => $is->title,
            'point' => $is->point,
        ])->first();

        return new TrendView(
            $readingId,
            $title,
            (string) $is->mark,
            "{$step->card->template->code} {$step->card->template->title}",
            ($limit->unit ?? Unit::parse((string) $is->unit))->label(),
            $limit?->low,
            $limit?->high,
            "{$title} on {$is->mark}: {$said->sentence}.",
            $drift->trend ?? 'none',
            $said->out === null ? null : (string) $said->out,
            array_values($mine->map($point)->all()),
            array_map(static fn(Day $d): string => (string) $d, $changed),
            array_values($others->groupBy('mark')->map(
                static fn(Collection $of, string $mark): TrendSeriesView => new TrendSeriesView(
                    $mark,
                    (int) $of->last()->id,
                    array_values($of->map($point)->all()),
                ),
            )->all()),
            $many,
            $in === null ? null : "by {$in->person->name}, ".$this->clock->local($in->at).": {$in->why}",
        );
    }

    /** The points that were read often enough. */
    private function often(): Builder
    {
        return DB::table('readings')->join('cards', 'cards.id', '=', 'readings.card_id')
            ->join('steps', 'steps.id', '=', 'readings.step_id')->where('readings.stands', true)
            ->groupBy('cards.aircraft_id', 'cards.template_id', 'steps.title', 'readings.point')
            ->havingRaw('count(*) >= ?', [self::LEAST])
            ->select(['cards.aircraft_id', 'cards.template_id', 'steps.title', 'readings.point'])
            ->selectRaw('count(*) as many');
    }

    /**
     * @return Collection<non-falsy-string, Collection<int, \stdClass>> the latest readings of each of them, in order
     *   of time, by {@see FollowedPoint::key()}
     */
    private function groups(Builder $often): Collection
    {
        $latest = $this->query()->joinSub($often, 'often', static fn(JoinClause $j) => $j
            ->on('often.aircraft_id', '=', 'cards.aircraft_id')->on('often.template_id', '=', 'cards.template_id')
            ->on('often.title', '=', 'steps.title')->on('often.point', '=', 'readings.point'))
            ->addSelect('often.many')
            ->selectRaw('row_number() over (partition by cards.aircraft_id, cards.template_id, '
                .'steps.title, readings.point order by readings.at desc, readings.id desc) as back');

        return DB::query()->fromSub($latest, 'latest')->where('back', '<=', self::LATEST)->orderByDesc('back')->get()
            ->groupBy(static fn(object $r): string => "{$r->aircraft_id}|{$r->template_id}|{$r->title}|{$r->point}");
    }

    private function query(): Builder
    {
        return DB::table('readings')->join('cards', 'cards.id', '=', 'readings.card_id')
            ->join('steps', 'steps.id', '=', 'readings.step_id')
                ->join('aircraft', 'aircraft.id', '=', 'cards.aircraft_id')
            ->leftJoin('tools', 'tools.id', '=', 'readings.tool_id')->where('readings.stands', true)
            ->select([
                'readings.id', 'readings.step_id', 'readings.point', 'readings.kind', 'readings.value', 'readings.unit',
                'readings.verdict', 'readings.margin', 'readings.at', 'cards.aircraft_id', 'cards.template_id',
                'cards.makes',
                'steps.title', 'aircraft.mark', 'tools.code as tool',
            ]);
    }

    /**
     * @param Collection<int, object> $readings of one point of one aircraft
     */
    private function row(Collection $readings, Step $step, UnitChanges $changed): ?TrendRow
    {
        $last = $readings->last();
        $limit = FollowedLimit::of($step, (string) $last->point);
        if ($limit === null) {
            return null;
        }
        [$drift, $why] = $this->drift($readings, $limit, $this->ofSystem($changed, $step->card));
        $said = TrendSaid::of($drift, $why, $this->clock);

        return new TrendRow(
            (int) $last->id,
            (string) $last->mark,
            self::title($step, (string) $last->point, $limit),
            $step->card->template->code,
            Words::number($limit->value($last) ?? (float) $last->value, 3)." {$limit->unit->label()}",
            (int) $last->many,
            $said->state($this->clock)->value,
            $said->word,
            $said->out === null ? null : (string) $said->out,
            $said->sentence,
        );
    }

    /**
     * @param Collection<int, object> $readings
     * @param list<Day> $changed
     *
     * @return array{Drift|null, string|null} why there is none
     */
    private function drift(Collection $readings, ?FollowedLimit $limit, array $changed): array
    {
        if ($limit === null) {
            return [null, 'no limit'];
        }
        $out = [];
        $before = null;
        foreach ($readings->slice(-self::LATEST)->all() as $r) {
            $day = Instant::parse((string) $r->at)->dayIn($this->clock->zone());
            $value = $limit->value($r);
            if ($value === null) {
                continue;
            }
            $new = $before !== null && array_filter($changed, static fn(Day $d): bool
                => $d->number > $before->number && $d->number <= $day->number) !== [];
            $out[] = new DriftReading(
                $day,
                $value,
                $r->kind === ReadingKind::AsLeft->value || $new,
            );
            $before = $day;
        }
        try {
            return [Drift::of($out, $limit->low, $limit->high), null];
        } catch (InputError) {
            return [null, 'too few since it was set'];
        }
    }

    /** @return list<Day> on which units of the system of a card were changed */
    private function ofSystem(UnitChanges $changed, Card $card): array
    {
        return array_map(fn(Instant $at): Day => $at->dayIn($this->clock->zone()), $changed->ofSystem($card));
    }

    private static function title(Step $step, string $point, ?FollowedLimit $limit): string
    {
        $title = $step->kind === 'sheet' ? "{$step->title}, ".TestStepWords::place($step, $point) : $point;

        return $limit?->inHand === true ? "{$title}, in hand" : $title;
    }

    private function point(object $r, ?FollowedLimit $limit): TrendPointView
    {
        return new TrendPointView(
            (string) Instant::parse((string) $r->at)->dayIn($this->clock->zone()),
            $limit?->value($r) ?? (float) $r->value,
            $r->verdict === 'pass' ? 'clear' : 'stop',
            $r->kind === 'reading'
                ? ($r->makes === Card::RECHECK ? 're-check' : '')
                : str_replace('_', ' ', (string) $r->kind),
            $r->tool,
        );
    }
}
