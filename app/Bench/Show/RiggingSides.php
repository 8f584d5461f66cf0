<?php

declare(strict_types=1);

namespace App\Bench\Show;

use App\Bench\Model\RigRun;
use App\Bench\Show\View\SideReading;
use App\Bench\Show\View\SidesView;
use App\Floor\Model\Step;
use App\Shared\Clock;
use App\Shared\Words;
use Illuminate\Support\Collection;
use Jorvel\Core\Bench\Rigging\ReadPoint;
use Jorvel\Core\Bench\Rigging\RigMatch;
use Jorvel\Core\Bench\Rigging\RigModel;
use Jorvel\Core\Shared\Day;
use Jorvel\Core\Shared\Unit;

/** How alike the two sides of a linkage are, at every named pair, over the riggings of an aircraft. */
final readonly class RiggingSides
{
    public function __construct(private Clock $clock) {}

    /**
     * @param Collection<int, Step> $steps of the same linkage on one aircraft, with runs, the first first
     *
     * @return list<SidesView>
     */
    public function of(Collection $steps): array
    {
        $last = $steps->last();
        if ($last === null) {
            return [];
        }
        $pairs = [];
        foreach ($last->spec['points'] as $point) {
            if (isset($point['pair'], $point['side'])) {
                $pairs[$point['pair']][$point['side']] = $point;
            }
        }
        $out = [];
        foreach ($pairs as $pair) {
            if (isset($pair['left'], $pair['right'])) {
                $out[] = $this->pair($steps, $pair['left'], $pair['right'], RigModel::from($last->spec));
            }
        }

        return $out;
    }

    /**
     * @param Collection<int, Step> $steps
     * @param array<string, mixed> $left
     * @param array<string, mixed> $right
     */
    private function pair(Collection $steps, array $left, array $right, RigModel $model): SidesView
    {
        $match = $model->match($left['id'], $right['id']);
        $points = array_column($model->points, null, 'id');
        $ends = [$points[$left['id']], $points[$right['id']]];
        $readings = $moved = [];
        $was = null;
        foreach ($steps as $step) {
            $rounds = RigRun::ofLast($step->runs->toBase());
            $first = $rounds->first();
            $last = $rounds->last();
            if ($first !== null) {
                $moved[] = $was === null ? null : $this->moved($was, $first, $ends, (string) $left['unit']);
                $readings[] = $this->reading($first, $first->as_found, 'found', $ends, $match);
            }
            if ($last?->as_left !== null) {
                $readings[] = $this->reading($last, $last->as_left, 'left', $ends, $match);
                $was = $last;
            }
        }

        return new SidesView(
            (string) $left['title'],
            (string) $right['title'],
            Unit::tryFrom((string) $left['unit'])?->label() ?? (string) $left['unit'],
            (float) $left['min'],
            (float) $left['max'],
            $match?->within,
            array_values(array_filter($readings)),
            array_values(array_filter($moved)),
        );
    }

    /**
     * How far each side went of itself, from how it was left to how it was found next.
     *
     * @param array{ReadPoint, ReadPoint} $ends left and right
     */
    private function moved(RigRun $was, RigRun $is, array $ends, string $unit): ?string
    {
        $went = [];
        foreach ($ends as $i => $end) {
            if (! isset($was->as_left[$end->id], $is->as_found[$end->id])) {
                return null;
            }
            $by = round((float) $is->as_found[$end->id] - (float) $was->as_left[$end->id], 6);
            $went[] = ($i === 0 ? 'left' : 'right').' '.($by > 0 ? '+' : '').Words::number($by, 2).' '
                .(Unit::tryFrom($unit)?->label() ?? $unit)
                // What one reading may be off is not how far it went.
                .(abs($by) > 2 * M_SQRT2 * $end->noise ? '' : ', no more than readings differ');
        }
        if ($was->read_at === null || $is->read_at === null) {
            return null;
        }
        $day = fn(RigRun $r): Day => ($r->read_at ?? $this->clock->now())->dayIn($this->clock->zone());

        return 'From '.$this->clock->words($day($was)).' to '.$this->clock->words($day($is)).', '
            .Words::count($day($was)->daysUntil($day($is)), 'day').': '.implode('; ', $went);
    }

    /**
     * @param array<string, float> $values by point
     * @param array{ReadPoint, ReadPoint} $ends left and right
     */
    private function reading(RigRun $run, array $values, string $how, array $ends, ?RigMatch $match): ?SideReading
    {
        [$left, $right] = $ends;
        if (! isset($values[$left->id], $values[$right->id])) {
            return null;
        }
        [$l, $r] = [(float) $values[$left->id], (float) $values[$right->id]];

        return new SideReading(
            ($run->read_at === null ? '' : $this->clock->words($run->read_at->dayIn($this->clock->zone())).', ').$how,
            $l,
            $r,
            round($l - $r, 6),
            $left->holds($l) && $right->holds($r) && ($match === null || $match->holds($l, $r)),
        );
    }
}
