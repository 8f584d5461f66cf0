<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Near;

/**
 * A season being planned: visits on days of bays, and what of every day is left. It is copied cheaply, changed, and
 * kept or thrown away.
 */
final class SeasonPlan
{
    /** @var array<int, SeasonVisit> by number, the first planned first */
    public array $visits = [];

    /** @var array<int, int> the visit of an item that is placed in a new one */
    public array $in = [];

    /** @var array<int, int> the visit that stands already, of an item that is placed there */
    public array $inFixed = [];

    /** @var array<int, float> hours left in the visits that stand */
    private array $free;

    /** @var array<int, array<int, int>> how many items of each panel are in the visits that stand */
    private array $open;

    /** @var array<int, array<int, int>> places left by bay and day */
    private array $places;

    /** @var array<int, array<int, bool>> by aircraft and day */
    private array $busy;

    /** @var array<int, array<int, int>> by `down` and day */
    private array $may;

    private SeasonHands $hands;

    private int $next = 0;

    public function __construct(private readonly SeasonBoard $board)
    {
        $this->free = array_column($board->fixed, 'free');
        $this->open = array_fill(0, count($board->fixed), []);
        $this->places = $board->places;
        $this->busy = $board->busy;
        $this->may = $board->may;
        $this->hands = clone $board->hands;
    }

    public function __clone()
    {
        $this->hands = clone $this->hands;
    }

    public function placed(int $item): bool
    {
        return isset($this->in[$item]) || isset($this->inFixed[$item]);
    }

    /** Hours left in a visit that stands. */
    public function free(int $fixed): float
    {
        return max(0.0, $this->free[$fixed]);
    }

    /** Hours that the plan costs. */
    public function cost(): float
    {
        $cost = $this->hands->cost();
        foreach ($this->visits as $visit) {
            $cost += $visit->cost($this->board);
        }
        foreach ($this->open as $open) {
            foreach (array_keys($open) as $p) {
                $cost += $this->board->access[$p];
            }
        }
        foreach ($this->inFixed as $item => $f) {
            $cost += $this->board->rate[$item] * ($this->board->due[$item] - $this->board->fixed[$f]['start'])
                + $this->board->away($item, $this->board->fixed[$f]['start']);
        }

        return $cost;
    }

    /**
     * Puts an item where it costs least: into a visit of its aircraft, one that stands, or a new one.
     *
     * @param callable(): bool|null $blind now and then a place is not seen, so that a search gets elsewhere
     *
     * @return bool whether there is a place
     */
    public function insert(int $item, ?callable $blind = null): bool
    {
        $best = INF;
        $do = null;
        foreach ($this->visits as $n => $visit) {
            if ($visit->craft !== $this->board->craft[$item] || $blind !== null && $blind()) {
                continue;
            }
            $more = $this->more($n, $item);
            if ($more !== null && $more < $best) {
                [$best, $do] = [$more, $n];
            }
        }
        foreach (array_keys($this->board->fixed) as $f) {
            $more = $this->moreFixed($f, $item);
            if ($more !== null && $more < $best) {
                [$best, $do] = [$more, -1 - $f];
            }
        }
        $new = $this->cheapest(SeasonVisit::with($this->board, [$item]), $best, $blind);
        if ($new !== null) {
            $this->add($new);

            return true;
        }
        if ($do === null) {
            return false;
        }
        if ($do >= 0) {
            $this->join($do, $item);
        } else {
            $this->joinFixed(-1 - $do, $item);
        }

        return true;
    }

    /**
     * Lays a visit on a day of a bay, where it goes.
     *
     * @param non-empty-list<int> $items of one aircraft, without a place yet
     *
     * @return bool whether it went
     */
    public function lay(int $bay, int $start, array $items): bool
    {
        $visit = SeasonVisit::with($this->board, $items);
        $end = $this->board->work[$bay][$start] > 0 ? $this->board->end($bay, $start, $visit->total()) : null;
        if (
            $end === null || $start < $visit->opens || $start > $visit->closes
            || ! $this->board->bays[$bay]->takes($visit->roof, $visit->wash)
            || ! in_array($bay, $this->board->fits[$visit->craft], true)
            || $this->clear($visit->craft, $bay)[$start] <= $end
        ) {
            return false;
        }
        $this->add($visit->at($bay, $start, $end));

        return true;
    }

    /** Takes an item out; a visit without items is none. */
    public function remove(int $item): void
    {
        $f = $this->inFixed[$item] ?? null;
        if ($f !== null) {
            unset($this->inFixed[$item]);
            $was = $this->free[$f];
            $this->free[$f] += $this->board->hours[$item];
            foreach ($this->board->panels[$item] as $p) {
                if (--$this->open[$f][$p] === 0) {
                    unset($this->open[$f][$p]);
                    $this->free[$f] += $this->board->access[$p];
                }
            }
            $this->workFixed($f, $was);

            return;
        }
        $n = $this->in[$item] ?? null;
        if ($n === null) {
            return;
        }
        $visit = $this->visits[$n];
        $this->drop($n);
        $left = array_values(array_diff($visit->items, [$item]));
        if ($left !== []) {
            // What is left fits where it was: on the same day it lasts no longer.
            $is = SeasonVisit::with($this->board, $left);
            $end = $this->board->end($visit->bay, $visit->start, $is->total());
            if ($end !== null) {
                $this->add($is->at($visit->bay, $visit->start, $end));
            }
        }
    }

    /**
     * Takes a whole visit away.
     *
     * @return list<int> its items
     */
    public function drop(int $n): array
    {
        $visit = $this->visits[$n];
        unset($this->visits[$n]);
        foreach ($visit->items as $item) {
            unset($this->in[$item]);
        }
        $this->take($visit, $visit->start, $visit->end, 1);

        return $visit->items;
    }

    /** Puts a visit on the day and into the bay where, as it is, it costs least. */
    public function settle(int $n): void
    {
        $visit = $this->visits[$n];
        $this->drop($n);
        $cost = $visit->cost($this->board)
            + $this->hands->more($visit->bay, $visit->start, $visit->end, 0.0, $visit->total());
        $this->add($this->cheapest($visit, $cost - 1e-9) ?? $visit);
    }

    /** @return list<int> numbers of the visits that lie on a day of a stretch, in a bay or in any */
    public function within(int $from, int $to, ?int $bay): array
    {
        $out = [];
        foreach ($this->visits as $n => $visit) {
            if ($visit->start <= $to && $from <= $visit->end && ($bay === null || $visit->bay === $bay)) {
                $out[] = $n;
            }
        }

        return $out;
    }

    /**
     * The bay and day at which a visit, wherever it stands now, costs less than so much and least.
     *
     * @param callable(): bool|null $blind
     */
    private function cheapest(SeasonVisit $visit, float $below, ?callable $blind = null): ?SeasonVisit
    {
        $board = $this->board;
        $total = $visit->total();
        $base = $visit->access + $board->visitWeight;
        $best = null;
        foreach ($board->fits[$visit->craft] as $b) {
            if (! $board->bays[$b]->takes($visit->roof, $visit->wash)) {
                continue;
            }
            $work = $board->work[$b];
            $clear = $this->clear($visit->craft, $b);
            // Both ends move forward together.
            $end = $visit->opens - 1;
            $worked = 0.0;
            for ($s = $visit->opens; $s <= $visit->closes; $s++) {
                while ($end < $board->days - 1 && ($end < $s || ! Near::atLeast($worked, $total))) {
                    $end++;
                    $worked += $work[$end];
                }
                if (! Near::atLeast($worked, $total)) {
                    break;
                }
                if ($work[$s] > 0 && $clear[$s] > $end) {
                    $cost = $base + $visit->costFrom($board, $b, $s, $end);
                    $cost += $cost < $below ? $this->hands->more($b, $s, $end, 0.0, $total) : 0.0;
                    if ($cost < $below && ($blind === null || ! $blind())) {
                        $below = $cost;
                        $best = [$b, $s, $end];
                    }
                }
                $worked -= $work[$s];
                if ($end === $s) {
                    $worked = 0.0;
                }
            }
        }

        return $best === null ? null : $visit->at(...$best);
    }

    /** @return list<int> the `down` that a visit in a bay counts for: outside, it is worked between days of flying */
    private function groups(int $craft, int $bay): array
    {
        return $this->board->bays[$bay]->outside ? [] : $this->board->groups[$craft];
    }

    /** @return list<int> the first day, from each on, on which an aircraft cannot be in a bay */
    private function clear(int $craft, int $bay): array
    {
        $places = $this->places[$bay];
        $busy = $this->busy[$craft];
        $may = array_map(fn(int $g): array => $this->may[$g], $this->groups($craft, $bay));
        $clear = [];
        $next = $this->board->days;
        for ($d = $next - 1; $d >= 0; $d--) {
            if ($places[$d] <= 0 || $busy[$d]) {
                $next = $d;
            }
            foreach ($may as $left) {
                if ($left[$d] <= 0) {
                    $next = $d;
                }
            }
            $clear[$d] = $next;
        }

        return array_reverse(array_values($clear));
    }

    /** What a visit costs more with an item; null where it does not go in. */
    private function more(int $n, int $item): ?float
    {
        $board = $this->board;
        $visit = $this->visits[$n];
        if (
            $visit->start < $board->earliest[$item] || $visit->start > $board->latest[$item]
            || ! $board->bays[$visit->bay]->takes($board->roof[$item], $board->wash[$item])
        ) {
            return null;
        }
        $panels = 0.0;
        foreach ($board->panels[$item] as $p) {
            $panels += isset($visit->panels[$p]) ? 0.0 : $board->access[$p];
        }
        $total = $visit->total() + $board->hours[$item] + $panels;
        $end = $board->end($visit->bay, $visit->start, $total);
        if ($end === null || ! $this->further($visit, $end)) {
            return null;
        }

        return $board->rate[$item] * ($board->due[$item] - $visit->start) + $panels
            + $board->standing($visit->craft, $visit->bay, $visit->end + 1, $end)
            + $board->away($item, $visit->start)
            + $this->hands->more($visit->bay, $visit->start, $end, $visit->total(), $total);
    }

    /** Whether a visit can go on to a later day. */
    private function further(SeasonVisit $visit, int $end): bool
    {
        for ($d = $visit->end + 1; $d <= $end; $d++) {
            if ($this->places[$visit->bay][$d] <= 0 || $this->busy[$visit->craft][$d]) {
                return false;
            }
            foreach ($this->groups($visit->craft, $visit->bay) as $g) {
                if ($this->may[$g][$d] <= 0) {
                    return false;
                }
            }
        }

        return true;
    }

    private function moreFixed(int $f, int $item): ?float
    {
        $board = $this->board;
        if (! $board->inFixed($item, $f)) {
            return null;
        }
        $panels = 0.0;
        foreach ($board->panels[$item] as $p) {
            $panels += isset($this->open[$f][$p]) ? 0.0 : $board->access[$p];
        }

        $more = $board->hours[$item] + $panels;
        $is = $board->fixed[$f];
        $done = $this->done($f);

        return Near::atMost($more, $this->free[$f])
            ? $board->rate[$item] * ($board->due[$item] - $is['start']) + $panels + $board->away($item, $is['start'])
                + ($is['bay'] === null
                    ? 0.0
                    : $this->hands->more($is['bay'], max(0, $is['start']), $is['end'], $done, $done + $more))
            : null;
    }

    private function join(int $n, int $item): void
    {
        $visit = $this->visits[$n];
        $is = SeasonVisit::with($this->board, [...$visit->items, $item]);
        $end = $this->board->end($visit->bay, $visit->start, $is->total()) ?? $visit->end;
        $this->drop($n);
        $this->add($is->at($visit->bay, $visit->start, $end));
    }

    private function joinFixed(int $f, int $item): void
    {
        $this->inFixed[$item] = $f;
        $was = $this->free[$f];
        $this->free[$f] -= $this->board->hours[$item];
        foreach ($this->board->panels[$item] as $p) {
            if (! isset($this->open[$f][$p])) {
                $this->open[$f][$p] = 0;
                $this->free[$f] -= $this->board->access[$p];
            }
            $this->open[$f][$p]++;
        }
        $this->workFixed($f, $was);
    }

    /** Hours for which a visit that stands is worked, with what is put into it. */
    private function done(int $f, ?float $free = null): float
    {
        return $this->board->fixed[$f]['hours'] + $this->board->fixed[$f]['free'] - ($free ?? $this->free[$f]);
    }

    /** @param float $was hours that were free in it */
    private function workFixed(int $f, float $was): void
    {
        $is = $this->board->fixed[$f];
        if ($is['bay'] !== null) {
            $this->hands->take($is['bay'], max(0, $is['start']), $is['end'], $this->done($f, $was), $this->done($f));
        }
    }

    private function add(SeasonVisit $visit): void
    {
        $n = $this->next++;
        $this->visits[$n] = $visit;
        foreach ($visit->items as $item) {
            $this->in[$item] = $n;
        }
        $this->take($visit, $visit->start, $visit->end, -1);
    }

    /** @param int $by -1 takes the days, 1 gives them back */
    private function take(SeasonVisit $visit, int $from, int $to, int $by): void
    {
        [$done, $hours] = $by < 0 ? [0.0, $visit->total()] : [$visit->total(), 0.0];
        $this->hands->take($visit->bay, $from, $to, $done, $hours);
        for ($d = $from; $d <= $to; $d++) {
            $this->places[$visit->bay][$d] += $by;
            $this->busy[$visit->craft][$d] = $by < 0;
            foreach ($this->groups($visit->craft, $visit->bay) as $g) {
                $this->may[$g][$d] += $by;
            }
        }
    }
}
