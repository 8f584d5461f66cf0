<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use function array_fill;
use function array_key_exists;
use function count;

use Jorvel\Core\Shared\Chance;
use Jorvel\Core\Shared\Deadline;
use Jorvel\Core\Shared\Near;

use function max;

/**
 * Splits one big check into equal phases: the longest phase as short as can be, then the total.
 *
 * First a good cut is made: units by falling hours, each where it costs least, bettered by moves and swaps from several
 * beginnings. Then branch and bound looks for a better one, until it has seen all or the deadline has passed. Contract:
 * docs/core.md, core/schema/phase.json.
 */
final class Phases
{
    /** @var array<int, int> phase of each unit, in the best cut so far */
    private array $best = [];

    private float $bestLongest = INF;

    private float $bestTotal = INF;

    private bool $cutShort = false;

    /** @var array<int, float> hours of units from here on, in branch order */
    private array $tail = [];

    /**
     * @param list<PhaseUnit> $units by falling hours with access
     * @param array<string, float> $access hours to open each panel
     */
    private function __construct(
        private readonly array $units,
        private readonly int $phases,
        private readonly array $access,
        private readonly Deadline $deadline,
    ) {
        $this->tail = array_fill(0, count($units) + 1, 0.0);
        for ($i = count($units) - 1; $i >= 0; $i--) {
            $this->tail[$i] = $this->tail[$i + 1] + $units[$i]->hours;
        }
    }

    /**
     * @param list<array{id: string, hours: float, access: list<string>, together: string|null}> $items
     * @param array<string, float> $access hours to open each panel; every panel of an item is in it
     * @param int $phases at least 1
     */
    public static function cut(array $items, array $access, int $phases, Deadline $deadline): PhaseResult
    {
        $units = self::units($items, $access);
        $search = new self($units, $phases, $access, $deadline);
        $search->begin();
        $bound = $search->bound();
        $least = $search->leastTotal();
        $proven = Near::atMost($search->bestLongest, $bound) && Near::atMost($search->bestTotal, $least);
        if (! $proven) {
            $search->branch(0, array_fill(0, $phases, 0.0), array_fill(0, $phases, []), [], 0, 0.0);
            $proven = ! $search->cutShort;
        }

        return $search->result($items, $proven ? $search->bestLongest : $bound, $proven);
    }

    /**
     * @param list<array{id: string, hours: float, access: list<string>, together: string|null}> $items
     * @param array<string, float> $access
     *
     * @return list<PhaseUnit>
     */
    private static function units(array $items, array $access): array
    {
        $groups = [];
        foreach ($items as $i => $item) {
            $groups[$item['together'] === null ? "#{$i}" : "={$item['together']}"][] = $i;
        }
        $units = [];
        foreach ($groups as $members) {
            $panels = array_values(array_unique(array_merge(...array_map(
                static fn(int $i): array => $items[$i]['access'],
                $members,
            ))));
            $units[] = new PhaseUnit(
                $members,
                (float) array_sum(array_map(static fn(int $i): float => $items[$i]['hours'], $members)),
                $panels,
            );
        }
        usort(
            $units,
            static fn(PhaseUnit $a, PhaseUnit $b): int
                => self::alone($b, $access) <=> self::alone($a, $access) ?: $a->items[0] <=> $b->items[0],
        );

        return $units;
    }

    /**
     * A unit's hours with its panels, as if it were a phase of its own.
     *
     * @param array<string, float> $access
     */
    private static function alone(PhaseUnit $unit, array $access): float
    {
        return $unit->hours + array_sum(array_map(static fn(string $p): float => $access[$p], $unit->panels));
    }

    /** Every panel is opened at least once. */
    private function leastTotal(): float
    {
        $panels = array_unique(array_merge(
            [],
            ...array_map(static fn(PhaseUnit $u): array => $u->panels, $this->units),
        ));

        return $this->tail[0] + array_sum(array_map(fn(string $p): float => $this->access[$p], $panels));
    }

    private function bound(): float
    {
        return max(
            isset($this->units[0]) ? self::alone($this->units[0], $this->access) : 0.0,
            $this->leastTotal() / $this->phases,
        );
    }

    /** Several beginnings, each bettered as far as moves and swaps go. */
    private function begin(): void
    {
        $chance = Chance::seeded(1);
        $order = array_keys($this->units);
        for ($try = 0; $try < 30; $try++) {
            $cut = $this->improve($this->fill($try === 0 ? $order : $chance->shuffle($order), $try % 2 === 0));
            $this->keep($cut);
            if ($this->deadline->passed()) {
                return;
            }
        }
    }

    /**
     * Each unit in turn into the phase that is shortest with it, or to which it adds least.
     *
     * @param list<int> $order
     *
     * @return array<int, int>
     */
    private function fill(array $order, bool $shortest): array
    {
        $load = array_fill(0, $this->phases, 0.0);
        $open = array_fill(0, $this->phases, []);
        $cut = [];
        foreach ($order as $u) {
            $best = 0;
            $least = INF;
            foreach ($load as $p => $hours) {
                $adds = $this->adds($u, $open[$p]);
                $cost = $shortest ? $hours + $adds : $adds * 1000 + $hours;
                if ($cost < $least) {
                    [$best, $least] = [$p, $cost];
                }
            }
            $load[$best] += $this->adds($u, $open[$best]);
            $open[$best] += array_fill_keys($this->units[$u]->panels, true);
            $cut[$u] = $best;
        }
        ksort($cut);

        return $cut;
    }

    /** @param array<string, true> $open */
    private function adds(int $u, array $open): float
    {
        $hours = $this->units[$u]->hours;
        foreach ($this->units[$u]->panels as $panel) {
            $hours += array_key_exists($panel, $open) ? 0.0 : $this->access[$panel];
        }

        return $hours;
    }

    /**
     * Moves one unit, or swaps two, while that shortens the longest phase or, with it as long, the sum of squares
     * (which leads on where a single step cannot).
     *
     * @param array<int, int> $cut
     *
     * @return array<int, int>
     */
    private function improve(array $cut): array
    {
        $now = $this->value($cut);
        do {
            $better = false;
            foreach (array_keys($cut) as $u) {
                for ($p = 0; $p < $this->phases; $p++) {
                    foreach ([null, ...array_keys($cut)] as $v) {
                        if ($p === $cut[$u] || ($v !== null && ($v <= $u || $cut[$v] !== $p))) {
                            continue;
                        }
                        $try = $cut;
                        $try[$u] = $p;
                        if ($v !== null) {
                            $try[$v] = $cut[$u];
                        }
                        $value = $this->value($try);
                        if ($value[0] < $now[0] - 1e-9 || ($value[0] < $now[0] + 1e-9 && $value[1] < $now[1] - 1e-9)) {
                            [$cut, $now, $better] = [$try, $value, true];
                        }
                    }
                }
                if ($this->deadline->passed()) {
                    return $cut;
                }
            }
        } while ($better);

        return $cut;
    }

    /**
     * @param array<int, int> $cut
     *
     * @return array{float, float, float} longest, sum of squares, total
     */
    private function value(array $cut): array
    {
        $load = $this->loads($cut);

        return [
            max([0.0, ...$load]),
            array_sum(array_map(static fn(float $h): float => $h * $h, $load)),
            (float) array_sum($load),
        ];
    }

    /**
     * @param array<int, int> $cut
     *
     * @return list<float>
     */
    private function loads(array $cut): array
    {
        $load = array_fill(0, $this->phases, 0.0);
        $open = array_fill(0, $this->phases, []);
        foreach ($cut as $u => $p) {
            $load[$p] += $this->adds($u, $open[$p]);
            $open[$p] += array_fill_keys($this->units[$u]->panels, true);
        }

        return array_values($load);
    }

    /** @param array<int, int> $cut */
    private function keep(array $cut): void
    {
        [$longest, , $total] = $this->value($cut);
        if (
            $longest < $this->bestLongest - 1e-9
            || ($longest < $this->bestLongest + 1e-9 && $total < $this->bestTotal - 1e-9)
        ) {
            [$this->best, $this->bestLongest, $this->bestTotal] = [$cut, $longest, $total];
        }
    }

    /**
     * Every way to place the units from here on that could still be better.
     *
     * @param array<int, float> $load
     * @param array<int, array<string, true>> $open
     * @param array<int, int> $cut
     * @param int $used phases that hold something; of the empty ones only the first is tried, since they are alike
     * @param float $total of all phases so far
     */
    private function branch(int $u, array $load, array $open, array $cut, int $used, float $total): void
    {
        if ($this->cutShort || $this->deadline->passed()) {
            $this->cutShort = true;

            return;
        }
        if ($u === count($this->units)) {
            $this->keep($cut);

            return;
        }
        $least = $total + $this->tail[$u];
        foreach (range(0, min($used, $this->phases - 1)) as $p) {
            $hours = $load[$p] + $this->adds($u, $open[$p]);
            $longest = max([$hours, ...$load]);
            $sum = $least + $hours - $load[$p] - $this->units[$u]->hours;
            if (
                $longest > $this->bestLongest + 1e-9
                || $sum / $this->phases > $this->bestLongest + 1e-9
                || ($longest > $this->bestLongest - 1e-9 && $sum > $this->bestTotal - 1e-9)
            ) {
                continue;
            }
            $loads = $load;
            $opened = $open;
            $loads[$p] = $hours;
            $opened[$p] += array_fill_keys($this->units[$u]->panels, true);
            $this->branch(
                $u + 1,
                $loads,
                $opened,
                [...$cut, $u => $p],
                max($used, $p + 1),
                $total + $hours - $load[$p],
            );
        }
    }

    /** @param list<array{id: string, hours: float, access: list<string>, together: string|null}> $items */
    private function result(array $items, float $bound, bool $proven): PhaseResult
    {
        $of = [];
        foreach ($this->best as $u => $p) {
            foreach ($this->units[$u]->items as $i) {
                $of[$i] = $p;
            }
        }
        ksort($of);
        $names = $open = array_fill(0, $this->phases, []);
        $hours = array_fill(0, $this->phases, 0.0);
        foreach ($of as $i => $p) {
            $names[$p][] = $items[$i]['id'];
            $hours[$p] += $items[$i]['hours'];
            $open[$p] += array_fill_keys($items[$i]['access'], true);
        }
        $phases = [];
        foreach ($hours as $p => $sum) {
            $phases[] = [
                'items' => $names[$p],
                'hours' => $sum,
                'access_hours' => (float) array_sum(array_intersect_key($this->access, $open[$p])),
            ];
        }

        return new PhaseResult($phases, $bound, $proven);
    }
}
