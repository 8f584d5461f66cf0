<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Bench\Show\View\TrendPointView;
use App\Bench\Show\View\TrendRow;
use App\Bench\Show\View\TrendSeriesView;
use App\Bench\Show\View\TrendsRoom;
use App\Bench\Show\View\TrendView;
use App\Floor\Model\Card;
use App\Floor\Model\Exchange;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Step;
use App\Floor\TestStepWords;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Bench\Drift;
use Jorvel\Core\Bench\DriftReading;
use Jorvel\Core\Bench\LimitKind;
use Jorvel\Core\Bench\ReadingLimit;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Input;
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
                default => "{$soon[0]->title} on {$soon[0]->mark} heads for its limit first: {$soon[0]->when}.",
            },
            $rows,
        );
    }

    /** @return list<TrendRow> those that will be out first, first */
    public function rows(): array
    {
        $groups = $this->groups();
        $steps = Step::with(['card.template', 'card.item', 'card.finding'])
            ->whereIn('id', $groups->map(static fn(Collection $of): int => (int) $of->last()->step_id)->all())
            ->get()->keyBy('id');
        $changed = $this->changed($groups->map(static fn(Collection $of): int => (int) $of->last()->aircraft_id)
            ->unique()->values()->all());
        $out = [];
        foreach ($groups as $readings) {
            $step = $steps->get($readings->last()->step_id);
            $row = $step === null ? null : $this->row($readings, $step, $changed);
            if ($row !== null) {
                $out[] = $row;
            }
        }
        usort($out, static fn(TrendRow $a, TrendRow $b): int
            => [$a->date ?? '9999', $a->mark, $a->title] <=> [$b->date ?? '9999', $b->mark, $b->title]);

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
        $limit = self::limit($step, (string) $is->point);
        $changed = self::ofSystem($this->changed([(int) $is->aircraft_id]), $step->card);
        [$drift, $why] = $this->drift($mine, $limit, $changed);
        $unit = Unit::parse((string) $is->unit);
        $title = self::title($step, (string) $is->point);

        return new TrendView(
            $readingId,
            $title,
            (string) $is->mark,
            "{$step->card->template->code} {$step->card->template->title}",
            $unit->label(),
            $limit?->low,
            $limit?->high,
            $this->sentence($title, (string) $is->mark, $drift, $why),
            $drift->trend ?? 'none',
            $drift?->crossesOn === null ? null : (string) $drift->crossesOn,
            array_values($mine->map(fn(object $r): TrendPointView => $this->point($r))->all()),
            array_map(static fn(Day $d): string => (string) $d, $changed),
            array_values($others->groupBy('mark')->map(
                fn(Collection $of, string $mark): TrendSeriesView => new TrendSeriesView(
                    $mark,
                    (int) $of->last()->id,
                    array_values($of->map(fn(object $r): TrendPointView => $this->point($r))->all()),
                ),
            )->all()),
            $many,
        );
    }

    /**
     * @return Collection<int, Collection<int, object>> the latest readings of each point that was read often enough, in
     *   order of time
     */
    private function groups(): Collection
    {
        $often = DB::table('readings')->join('cards', 'cards.id', '=', 'readings.card_id')
            ->join('steps', 'steps.id', '=', 'readings.step_id')->where('readings.stands', true)
            ->groupBy('cards.aircraft_id', 'cards.template_id', 'steps.title', 'readings.point')
            ->havingRaw('count(*) >= ?', [self::LEAST])
            ->select(['cards.aircraft_id', 'cards.template_id', 'steps.title', 'readings.point'])
            ->selectRaw('count(*) as many');
        $latest = $this->query()->joinSub($often, 'often', static fn($j) => $j
            ->on('often.aircraft_id', '=', 'cards.aircraft_id')->on('often.template_id', '=', 'cards.template_id')
            ->on('often.title', '=', 'steps.title')->on('often.point', '=', 'readings.point'))
            ->addSelect('often.many')
                ->selectRaw('row_number() over (partition by cards.aircraft_id, cards.template_id, '
                .'steps.title, readings.point order by readings.at desc, readings.id desc) as back');

        return DB::query()->fromSub($latest, 'latest')->where('back', '<=', self::LATEST)->orderByDesc('back')->get()
            ->groupBy(static fn(object $r): string => "{$r->aircraft_id}|{$r->template_id}|{$r->title}|{$r->point}")
            ->values();
    }

    private function query(): Builder
    {
        return DB::table('readings')->join('cards', 'cards.id', '=', 'readings.card_id')
            ->join('steps', 'steps.id', '=', 'readings.step_id')
                ->join('aircraft', 'aircraft.id', '=', 'cards.aircraft_id')
            ->leftJoin('tools', 'tools.id', '=', 'readings.tool_id')->where('readings.stands', true)
            ->select([
                'readings.id', 'readings.step_id', 'readings.point', 'readings.kind', 'readings.value', 'readings.unit',
                'readings.verdict', 'readings.at', 'cards.aircraft_id', 'cards.template_id', 'cards.makes',
                'steps.title',
                'aircraft.mark', 'tools.code as tool',
            ]);
    }

    /**
     * @param Collection<int, object> $readings of one point of one aircraft
     * @param array<string, list<Day>> $changed
     */
    private function row(Collection $readings, Step $step, array $changed): ?TrendRow
    {
        $last = $readings->last();
        $limit = self::limit($step, (string) $last->point);
        if ($limit === null) {
            return null;
        }
        [$drift, $why] = $this->drift($readings, $limit, self::ofSystem($changed, $step->card));
        $today = $this->clock->today();
        $days = $drift?->crossesOn === null ? null : $today->daysUntil($drift->crossesOn);
        // What lies years ahead is no date that anybody plans by.
        $near = $days !== null && $days <= 730;

        return new TrendRow(
            (int) $last->id,
            (string) $last->mark,
            self::title($step, (string) $last->point),
            $step->card->template->code,
            Words::number((float) $last->value, 3).' '.Unit::parse((string) $last->unit)->label(),
            (int) $last->many,
            match (true) {
                ! $near => 'clear', $days < 14 => 'stop', $days < 28 => 'watch', default => 'clear',
            },
            $why ?? ($near ? 'out on '.$this->clock->words($drift->crossesOn) : match ($drift?->trend) {
                'rising' => 'rising', 'falling' => 'falling', default => 'steady',
            }),
            $near ? (string) $drift->crossesOn : null,
            $near ? $this->clock->words($drift->crossesOn) : '',
        );
    }

    /**
     * @param Collection<int, object> $readings
     * @param list<Day> $changed
     *
     * @return array{Drift|null, string|null} why there is none
     */
    private function drift(Collection $readings, ?ReadingLimit $limit, array $changed): array
    {
        if ($limit === null) {
            return [null, 'no limit'];
        }
        $out = [];
        $before = null;
        foreach ($readings->slice(-self::LATEST)->all() as $r) {
            $day = Instant::parse((string) $r->at)->dayIn($this->clock->zone());
            $unit = Unit::parse((string) $r->unit);
            $new = $before !== null && array_filter($changed, static fn(Day $d): bool
                => $d->number > $before->number && $d->number <= $day->number) !== [];
            $out[] = new DriftReading(
                $day,
                $unit->to($limit->unit, (float) $r->value),
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

    /** What a point is judged by; null where it is by nothing, or by what other readings say. */
    private static function limit(Step $step, string $point): ?ReadingLimit
    {
        $limit = $step->kind === 'transition'
            ? [
                'kind' => 'range', 'unit' => $step->spec['unit'], 'min' => -$step->spec['limit'],
                'max' => $step->spec['limit'],
            ]
            : $step->readingSpec($point)['limit'] ?? null;
        $numbers = array_diff_key($limit ?? [], ['kind' => 0, 'unit' => 0]);
        if ($limit === null || array_filter($numbers, is_string(...)) !== []) {
            return null;
        }

        return LimitKind::limit(Input::of((object) $limit, 'limit'));
    }

    /**
     * When units were changed, by aircraft and the first two figures of the chapter.
     *
     * @param list<int> $aircraft ids
     *
     * @return array<string, list<Day>>
     */
    private function changed(array $aircraft): array
    {
        $exchanges = Exchange::whereIn('aircraft_id', $aircraft)->where('stands', true)->whereNotNull('on_at')
            ->orderBy('on_at')->get(['card_id', 'aircraft_id', 'on_at']);
        $cards = Card::with(['template', 'item', 'finding'])->whereIn('id', $exchanges->pluck('card_id')->unique())
            ->get()->keyBy('id');
        $out = [];
        foreach ($exchanges as $e) {
            $card = $cards->get($e->card_id);
            if ($card !== null && $e->on_at !== null) {
                $out["{$e->aircraft_id} ".substr($card->chapter(), 0, 2)][] = $e->on_at->dayIn($this->clock->zone());
            }
        }

        return $out;
    }

    /**
     * @param array<string, list<Day>> $changed
     *
     * @return list<Day> of those the ones of the system that a card works on
     */
    private static function ofSystem(array $changed, Card $card): array
    {
        return $changed["{$card->aircraft_id} ".substr($card->chapter(), 0, 2)] ?? [];
    }

    private static function title(Step $step, string $point): string
    {
        return $step->kind === 'sheet' ? "{$step->title}, ".TestStepWords::place($step, $point) : $point;
    }

    private function point(object $r): TrendPointView
    {
        return new TrendPointView(
            (string) Instant::parse((string) $r->at)->dayIn($this->clock->zone()),
            (float) $r->value,
            $r->verdict === 'pass' ? 'clear' : 'stop',
            $r->kind === 'reading'
                ? ($r->makes === Card::RECHECK ? 're-check' : '')
                : str_replace('_', ' ', (string) $r->kind),
            $r->tool,
        );
    }

    private function sentence(string $title, string $mark, ?Drift $drift, ?string $why): string
    {
        return "{$title} on {$mark}: ".match (true) {
            $why !== null => "{$why}.",
            $drift === null => 'nothing can be said yet.',
            $drift->crossesOn !== null && $drift->trend !== 'none'
                => "{$drift->trend}, and out after ".$this->clock->words($drift->crossesOn).'.',
            $drift->crossesOn !== null && ($drift->daysLeft ?? 9999) < 730
                => 'no clear trend; its line would be out after '.$this->clock->words($drift->crossesOn).'.',
            $drift->trend === 'none' => 'steady.',
            default => "{$drift->trend}, away from its limit.",
        };
    }
}
