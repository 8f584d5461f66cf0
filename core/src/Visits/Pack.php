<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use function array_fill;
use function count;

use Jorvel\Core\Fleet\InTime;
use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Near;

use function max;

/**
 * Which visit takes which due item: the most value placed, then the least cost of life thrown away and panels opened.
 *
 * A first packing is bettered by taking some items out and putting them back in another order (large neighbourhood
 * search, Shaw 1998); then branch and bound looks for a better one until it has seen all or the deadline has passed.
 * Contract: docs/core.md, core/schema/pack.json.
 */
final class Pack
{
    /** @var array<int, list<int>> visits that an item's dates allow, the least waste first, by item */
    private array $options = [];

    /** @var list<int> items in branch order, those with the fewest visits first */
    private array $order = [];

    /** @var array<int, int> visit of each placed item, in the best packing so far */
    private array $best = [];

    private float $bestValue = -1.0;

    private float $bestCost = INF;

    /** @var array<int, float> by place in the order: value of all items from there on */
    private array $valueAhead = [];

    /** @var array<int, float> by place in the order: the least waste of all items from there on */
    private array $wasteAhead = [];

    private bool $cutShort = false;

    /**
     * @param list<PackItem> $items
     * @param list<PackVisit> $visits
     * @param array<string, float> $access
     */
    private function __construct(
        private readonly array $items,
        private readonly array $visits,
        private readonly array $access,
        private readonly float $weight,
        private readonly Deadline $deadline,
    ) {
        foreach ($items as $i => $item) {
            $this->options[$i] = array_keys(array_filter($visits, $item->fits(...)));
            usort(
                $this->options[$i],
                static fn(int $a, int $b): int => $item->waste($visits[$a]) <=> $item->waste($visits[$b]) ?: $a <=> $b,
            );
            if ($this->options[$i] !== []) {
                $this->order[] = $i;
            }
        }
        usort(
            $this->order,
            fn(int $a, int $b): int => count($this->options[$a]) <=> count($this->options[$b])
                ?: $items[$b]->hours <=> $items[$a]->hours
                ?: $a <=> $b,
        );
        $this->valueAhead[count($this->order)] = $this->wasteAhead[count($this->order)] = 0.0;
        for ($n = count($this->order) - 1; $n >= 0; $n--) {
            $i = $this->order[$n];
            $this->valueAhead[$n] = $this->valueAhead[$n + 1] + $items[$i]->value;
            $this->wasteAhead[$n] = $this->wasteAhead[$n + 1] + $items[$i]->waste($visits[$this->options[$i][0]]);
        }
    }

    /**
     * @param list<PackItem> $items
     * @param list<PackVisit> $visits
     * @param array<string, float> $access hours to open each panel; every panel of an item is in it
     * @param float $weight cost of an hour spent on opening panels
     */
    public static function into(
        array $items,
        array $visits,
        array $access,
        float $weight,
        Deadline $deadline,
    ): PackResult {
        $search = new self($items, $visits, $access, $weight, $deadline);
        $search->begin();
        $empty = array_fill(0, count($visits), 0.0);
        $search->branch(0, [], $empty, array_fill(0, count($visits), []), 0.0, 0.0);

        return $search->result();
    }

    /**
     * A packing made by hand: what it costs, and what of it cannot be.
     *
     * @param list<PackItem> $items
     * @param list<PackVisit> $visits
     * @param array<string, float> $access
     * @param array<array-key, string> $into visit of each placed item, by their ids
     */
    public static function given(array $items, array $visits, array $access, float $weight, array $into): PackGiven
    {
        $search = new self($items, $visits, $access, $weight, Deadline::in(1));
        $place = [];
        foreach ($visits as $v => $visit) {
            $place["#{$visit->id}"] = $v;
        }
        $misfits = $packed = [];
        foreach ($items as $i => $item) {
            $v = isset($into[$item->id]) ? $place["#{$into[$item->id]}"] ?? null : null;
            if ($v === null) {
                continue;
            }
            $packed[$i] = $v;
            if (! $item->fits($visits[$v])) {
                $misfits[$item->id] = InTime::begins($visits[$v]->start, $item->latest) ? 'too_early' : 'too_late';
            }
        }
        $search->keep($packed);
        $full = array_values(array_filter(array_map(
            static fn(PackVisit $v, float $hours): ?string => Near::atMost($hours, $v->capacity) ? null : $v->id,
            $visits,
            $search->state($packed)[0],
        )));

        return new PackGiven($search->result(), $misfits, $full);
    }

    /** A greedy packing, and others from it with some items taken out and put back, while they are better. */
    private function begin(): void
    {
        $chance = Chance::seeded(1);
        $now = $this->fill([], $this->order);
        $this->keep($now);
        for ($try = 0; $try < 400 && $this->order !== [] && ! $this->deadline->passed(); $try++) {
            $taken = array_slice(
                $chance->shuffle($this->order),
                0,
                1 + $chance->below(max(1, min(12, count($this->order)))),
            );
            $rest = array_diff_key($this->best, array_flip($taken));
            $back = array_values(array_unique([
                ...$chance->shuffle($taken),
                ...array_filter($this->order, static fn(int $i): bool => ! isset($rest[$i])),
            ]));
            $this->keep($this->fill($rest, $back));
        }
    }

    /**
     * Puts items in turn where they cost least.
     *
     * @param array<int, int> $packed
     * @param list<int> $order
     *
     * @return array<int, int>
     */
    private function fill(array $packed, array $order): array
    {
        [$hours, $open] = $this->state($packed);
        foreach ($order as $i) {
            $best = null;
            $least = INF;
            foreach ($this->options[$i] as $v) {
                $panels = $this->panels($i, $open[$v]);
                $cost = $this->items[$i]->waste($this->visits[$v]) + $this->weight * $panels;
                if ($cost < $least && $this->holds($v, $hours[$v] + $this->items[$i]->hours + $panels)) {
                    [$best, $least] = [$v, $cost];
                }
            }
            if ($best !== null) {
                $hours[$best] += $this->items[$i]->hours + $this->panels($i, $open[$best]);
                $open[$best] += array_fill_keys($this->items[$i]->panels, true);
                $packed[$i] = $best;
            }
        }

        return $packed;
    }

    /**
     * Hours and open panels of each visit.
     *
     * @param array<int, int> $packed
     *
     * @return array{array<int, float>, array<int, array<string, true>>}
     */
    private function state(array $packed): array
    {
        $hours = array_fill(0, count($this->visits), 0.0);
        $open = array_fill(0, count($this->visits), []);
        foreach ($packed as $i => $v) {
            $hours[$v] += $this->items[$i]->hours + $this->panels($i, $open[$v]);
            $open[$v] += array_fill_keys($this->items[$i]->panels, true);
        }

        return [$hours, $open];
    }

    /** @param array<string, true> $open */
    private function panels(int $i, array $open): float
    {
        $hours = 0.0;
        foreach ($this->items[$i]->panels as $panel) {
            $hours += isset($open[$panel]) ? 0.0 : $this->access[$panel];
        }

        return $hours;
    }

    private function holds(int $v, float $hours): bool
    {
        return Near::atMost($hours, $this->visits[$v]->capacity);
    }

    /** @param array<int, int> $packed */
    private function keep(array $packed): void
    {
        $value = $cost = 0.0;
        foreach ($packed as $i => $v) {
            $value += $this->items[$i]->value;
            $cost += $this->items[$i]->waste($this->visits[$v]);
        }
        foreach ($this->state($packed)[1] as $open) {
            $cost += $this->weight * array_sum(array_intersect_key($this->access, $open));
        }
        if ($value > $this->bestValue + 1e-9 || ($value > $this->bestValue - 1e-9 && $cost < $this->bestCost - 1e-9)) {
            [$this->best, $this->bestValue, $this->bestCost] = [$packed, $value, $cost];
        }
    }

    /**
     * Every way to place the items from here on that could still be better.
     *
     * @param array<int, int> $packed
     * @param array<int, float> $hours
     * @param array<int, array<string, true>> $open
     */
    private function branch(int $n, array $packed, array $hours, array $open, float $value, float $cost): void
    {
        if ($this->cutShort || $this->deadline->passed()) {
            $this->cutShort = true;

            return;
        }
        if ($n === count($this->order)) {
            $this->keep($packed);

            return;
        }
        // With all that is ahead placed it must be worth more, or as much for less; what is not placed costs nothing.
        $most = $value + $this->valueAhead[$n];
        if (
            $most < $this->bestValue - 1e-9
            || ($most < $this->bestValue + 1e-9 && $cost + $this->wasteAhead[$n] > $this->bestCost - 1e-9)
        ) {
            return;
        }
        $i = $this->order[$n];
        $item = $this->items[$i];
        foreach ($this->options[$i] as $v) {
            $panels = $this->panels($i, $open[$v]);
            $sum = $hours[$v] + $item->hours + $panels;
            if ($this->holds($v, $sum)) {
                $this->branch(
                    $n + 1,
                    $packed + [$i => $v],
                    [$v => $sum] + $hours,
                    [$v => $open[$v] + array_fill_keys($item->panels, true)] + $open,
                    $value + $item->value,
                    $cost + $item->waste($this->visits[$v]) + $this->weight * $panels,
                );
            }
        }
        $this->branch($n + 1, $packed, $hours, $open, $value, $cost);
    }

    private function result(): PackResult
    {
        [, $open] = $this->state($this->best);
        $visits = [];
        foreach ($this->visits as $v => $visit) {
            $in = array_keys(array_filter($this->best, static fn(int $of): bool => $of === $v));
            sort($in);
            $hours = (float) array_sum(array_map(fn(int $i): float => $this->items[$i]->hours, $in));
            $panels = (float) array_sum(array_intersect_key($this->access, $open[$v]));
            $visits[] = [
                'id' => $visit->id,
                'items' => array_map(fn(int $i): string => $this->items[$i]->id, $in),
                'item_hours' => $hours,
                'access_hours' => $panels,
                'free_hours' => $visit->capacity - $hours - $panels,
            ];
        }
        $unplaced = [];
        foreach ($this->items as $i => $item) {
            if (! isset($this->best[$i])) {
                $unplaced[] = [
                    'id' => $item->id,
                    'reason' => $this->options[$i] === [] ? 'no_visit_in_window' : 'no_capacity',
                ];
            }
        }

        return new PackResult($visits, $unplaced, $this->bestCost, ! $this->cutShort);
    }
}
