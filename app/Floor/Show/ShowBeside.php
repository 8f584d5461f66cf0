<?php

declare(strict_types=1);

namespace App\Floor\Show;

use App\Floor\Do\ChartLimit;
use App\Floor\Model\ReadingKind;
use App\Floor\Model\Step;
use App\Floor\Show\View\BesideView;
use App\Shared\Clock;
use App\Shared\Words;
use App\Stores\Model\Tool;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Jorvel\Core\Bench\SheetChart;
use Jorvel\Core\Bench\Strange;
use Jorvel\Core\Bench\UsualRange;
use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Shared\Quantity;
use Jorvel\Core\Shared\Unit;

/**
 * What a point read before: on this aircraft, on a sister, in the fleet. A reading that is legal and far from all that
 * is pointed out, with why.
 *
 * It goes by the readings that stand, of the same step of the same card template; what was read as found, before
 * somebody turned at it, is not how it was left.
 */
final readonly class ShowBeside
{
    /** Of each point so many are shown. */
    private const SHOWN = 3;

    public function __construct(private Clock $clock) {}

    /** @return list<BesideView> in the order of the step's points */
    public function of(Step $step): array
    {
        $units = self::units($step);
        $read = $this->read($step, array_keys($units));

        return array_map(function (string $point) use ($step, $units, $read): BesideView {
            $unit = $units[$point];
            /** @var Collection<int, object> $all */
            $all = $read->get($point) ?? collect();
            [$own, $others] = $all->partition(static fn(object $r): bool
                => (int) $r->aircraft_id === $step->card->aircraft_id);
            $sister = $others->first();
            $fleet = self::usual($others, $unit);

            return new BesideView(
                $point,
                $own->take(self::SHOWN)->map(fn(object $r): string => self::said($r, $unit).' on '
                    .$this->clock->words(Instant::parse((string) $r->at)->dayIn($this->clock->zone())))->implode(', '),
                $sister === null ? '' : "{$sister->mark} ".self::said($sister, $unit),
                $fleet === null ? '' : Words::number($fleet->lowest, 3).' to '.Words::number($fleet->highest, 3),
            );
        }, array_keys($units));
    }

    /**
     * Why a legal reading is one to look at twice; empty where it is as usual.
     *
     * @param string $entry as it was typed: without a tool, its last digit is the least step
     * @param array<string, mixed>|null $charted the limit, where the point goes by a chart: then it is by how far it
     *   lies from what its chart says that it is compared
     */
    public function strange(
        Step $step,
        string $point,
        Quantity $read,
        string $entry,
        ?Tool $with,
        ?array $charted = null,
    ): string {
        $unit = self::units($step)[$point] ?? null;
        if ($unit === null) {
            return '';
        }
        $all = $charted === null
            ? $this->read($step, [$point])->get($point) ?? collect()
            : $this->fromChart($step, $point);
        [$own, $others] = $all->partition(static fn(object $r): bool
            => (int) $r->aircraft_id === $step->card->aircraft_id);
        $is = Strange::of(
            $read->in($unit)->value - ($charted['nominal'] ?? 0.0),
            array_values(
                $own->take(UsualRange::LAST)->map(static fn(object $r): float => self::value($r, $unit))->all(),
            ),
            self::usual($others, $unit),
            $with?->resolution === null
                ? 10 ** -strlen((string) preg_replace('/^[^.,]*[.,]?([0-9]*).*$/s', '$1', $entry))
                : self::step($with->resolution, Unit::parse($with->unit), $unit),
        );
        if ($is === null) {
            return '';
        }
        $between = Words::number($is->lowest, 3).' to '.Words::number($is->highest, 3)." {$unit->label()}"
            .($charted === null ? '' : ' from its chart');

        return $is->byItself
            ? "legal, and far from what it read here before: {$between}. Read it again"
            : "legal, and outside what the fleet reads: {$between}. Read it again";
    }

    /** @return Collection<int, object> what a point read, less what its chart gave for it; latest first */
    private function fromChart(Step $step, string $point): Collection
    {
        $points = (array) $step->spec['points'];
        $units = self::units($step);
        $needs = SheetChart::from(array_column($points, null, 'id')[$point]['chart'])->needs();
        $sheet = static fn(object $r): string => "{$r->step_id} {$r->kind} {$r->run}";
        $read = $this->read($step, [$point, ...$needs]);
        $by = array_map(static fn(string $id): Collection => ($read->get($id) ?? collect())->keyBy($sheet), $needs);
        $out = collect();
        foreach ($read->get($point) ?? [] as $r) {
            $values = [];
            foreach ($needs as $i => $id) {
                $is = $by[$i]->get($sheet($r));
                $values += $is === null ? [] : [$id => self::value($is, $units[$id])];
            }
            try {
                $nominal = ChartLimit::of($points, $point, $values)['nominal'] ?? 0.0;
            } catch (InputError) {
                continue;
            }
            $out->push((object) [
                ...(array) $r, 'value' => self::value($r, $units[$point]) - $nominal, 'unit' => $units[$point]->value,
            ]);
        }

        return $out;
    }

    /** @return array<string, Unit> by point, in their order */
    private static function units(Step $step): array
    {
        if ($step->kind === 'sheet') {
            return array_map(
                static fn(array $p): Unit => Unit::parse((string) $p['unit']),
                array_column((array) $step->spec['points'], null, 'id'),
            );
        }
        $reading = $step->spec['reading'] ?? null;

        return isset($reading['point'], $reading['limit']['unit'])
            ? [$reading['point'] => Unit::parse((string) $reading['limit']['unit'])]
            : [];
    }

    /**
     * @param list<string> $points
     *
     * @return Collection<string, Collection<int, object>> by point, latest first
     */
    private function read(Step $step, array $points): Collection
    {
        return DB::table('readings')->join('cards', 'cards.id', '=', 'readings.card_id')
            ->join('steps', 'steps.id', '=', 'readings.step_id')
            ->join('aircraft', 'aircraft.id', '=', 'cards.aircraft_id')
            ->where('cards.template_id', $step->card->template_id)->whereNot('cards.id', $step->card_id)
            ->where('steps.title', $step->title)->whereIn('readings.point', $points)->where('readings.stands', true)
            ->whereNot('readings.kind', ReadingKind::AsFound->value)
            ->orderByDesc('readings.at')->orderByDesc('readings.id')
            ->limit(3 * UsualRange::LAST * max(1, count($points)))
            ->get([
                'readings.point', 'readings.value', 'readings.unit', 'readings.at', 'readings.step_id',
                'readings.kind', 'readings.run', 'cards.aircraft_id', 'aircraft.mark',
            ])
            ->groupBy('point');
    }

    /** @param Collection<int, object> $readings latest first */
    private static function usual(Collection $readings, Unit $unit): ?UsualRange
    {
        return UsualRange::of(array_values($readings->map(
            static fn(object $r): Quantity => Quantity::of((float) $r->value, Unit::parse((string) $r->unit)),
        )->all()), $unit);
    }

    /** The least step of a tool, in another unit. */
    private static function step(float $step, Unit $of, Unit $in): float
    {
        return abs(Quantity::of($step, $of)->in($in)->value - Quantity::of(0.0, $of)->in($in)->value);
    }

    private static function value(object $r, Unit $unit): float
    {
        return Quantity::of((float) $r->value, Unit::parse((string) $r->unit))->in($unit)->value;
    }

    private static function said(object $r, Unit $unit): string
    {
        return Words::number(self::value($r, $unit), 3);
    }
}
