<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Near;

/**
 * A season in numbers for a search: days from 0, items, aircraft, bays and panels by their place in a list, and what
 * the visits that stand already leave of every day.
 */
final readonly class SeasonBoard
{
    /**
     * @param list<string> $aircraft marks
     * @param list<int> $craft aircraft by item
     * @param list<int> $opens first day by item, before the span too
     * @param list<int> $earliest the same, at least 0
     * @param list<int> $latest day by item; before `earliest` where the item has no day in the span
     * @param list<float> $hours by item
     * @param list<float> $rate hours that a day earlier throws away, by item
     * @param list<int> $due day on which its last day lies, also outside of the span, by item
     * @param list<list<int>> $panels by item
     * @param list<float> $value by item
     * @param list<float> $access hours by panel
     * @param array<int, list<float>> $work hours by bay and day
     * @param array<int, array<int, int>> $places left by bay and day
     * @param array<int, array<int, bool>> $busy by aircraft and day: in a visit that stands
     * @param array<int, array<int, int>> $may be in further visits, by `down` and day
     * @param list<list<int>> $groups of `down`, by aircraft
     * @param list<list<int>> $fits bays by aircraft
     * @param list<array{
     *   craft: int, start: int, end: int, free: float, bay: int|null, hours: float,
     * }> $fixed days, bay, hours for which it is worked in the span
     * @param list<bool> $counts items that are not later than the span
     * @param list<bool> $roof by item
     * @param list<bool> $wash by item
     * @param list<SeasonBay> $bays
     * @param list<array{int, float}|null> $wishes day and hours a day away from it, by item
     * @param list<list<float>> $toll hours of all days before a day, by aircraft and day
     * @param SeasonHands $hands what the visits that stand leave of the people
     */
    private function __construct(
        public int $days,
        public array $aircraft,
        public array $craft,
        public array $opens,
        public array $earliest,
        public array $latest,
        public array $hours,
        public array $rate,
        public array $due,
        public array $panels,
        public array $value,
        public array $access,
        public array $work,
        public array $places,
        public array $busy,
        public array $may,
        public array $groups,
        public array $fits,
        public array $fixed,
        public array $counts,
        public float $dayWeight,
        public float $visitWeight,
        public array $roof,
        public array $wash,
        public array $bays,
        public array $wishes,
        private array $toll,
        public SeasonHands $hands,
    ) {}

    /** @pure */
    public static function of(SeasonGiven $is): self
    {
        $marks = array_values(array_unique([
            ...array_map(static fn(SeasonItem $i): string => $i->aircraft, $is->items),
            ...array_map(static fn(SeasonFixed $f): string => $f->aircraft, $is->fixed),
        ]));
        $index = array_flip($marks);
        $panel = array_flip(array_map(strval(...), array_keys($is->access)));
        $from = $is->from->number;
        $last = $is->days - 1;
        $work = $places = [];
        foreach ($is->bays as $b => $bay) {
            for ($d = 0; $d <= $last; $d++) {
                $work[$b][] = $bay->hours($is->from->plusDays($d));
                $places[$b][] = $bay->atOnce;
            }
        }
        $busy = array_fill(0, count($marks), array_fill(0, $is->days, false));
        $may = array_map(static fn(SeasonDown $d): array => array_fill(0, $is->days, $d->most), $is->down);
        $groups = array_map(static fn(string $mark): array => array_keys(array_filter(
            $is->down,
            static fn(SeasonDown $d): bool => in_array($mark, $d->aircraft, true),
        )), $marks);
        $bays = array_flip(array_map(static fn(SeasonBay $b): string => $b->id, $is->bays));
        foreach ($is->fixed as $f) {
            for ($d = max(0, $f->start->number - $from); $d <= min($last, $f->end->number - $from); $d++) {
                $busy[$index[$f->aircraft]][$d] = true;
                if ($f->bay !== null) {
                    $places[$bays[$f->bay]][$d]--;
                }
                $outside = $f->bay !== null && $is->bays[$bays[$f->bay]]->outside;
                foreach ($outside ? [] : $groups[$index[$f->aircraft]] as $g) {
                    $may[$g][$d]--;
                }
            }
        }
        $fixed = array_map(static function (SeasonFixed $f) use ($is, $index, $bays, $work, $from): array {
            $place = $f->bay === null ? null : $bays[$f->bay];
            $first = max(0, $f->start->number - $from);
            $end = min($is->days - 1, $f->end->number - $from);

            return [
                'craft' => $index[$f->aircraft], 'start' => $f->start->number - $from, 'end' => $end,
                'free' => $f->free, 'bay' => $place,
                'hours' => $f->hours ?? ($place === null || $end < $first ? 0.0 : max(
                    0.0,
                    array_sum(array_slice($work[$place], $first, $end - $first + 1)) - $f->free,
                )),
            ];
        }, $is->fixed);
        $hands = SeasonHands::of($is, $work);
        foreach ($fixed as $f) {
            if ($f['bay'] !== null) {
                $hands->take($f['bay'], max(0, $f['start']), $f['end'], 0.0, $f['hours']);
            }
        }

        return new self(
            $is->days,
            $marks,
            array_map(static fn(SeasonItem $i): int => $index[$i->aircraft], $is->items),
            array_map(static fn(SeasonItem $i): int => $i->is->earliest->number - $from, $is->items),
            array_map(static fn(SeasonItem $i): int => max(0, $i->is->earliest->number - $from), $is->items),
            array_map(static fn(SeasonItem $i): int => min($last, $i->is->latest->number - $from), $is->items),
            array_map(static fn(SeasonItem $i): float => $i->is->hours, $is->items),
            array_map(static fn(SeasonItem $i): float => $i->is->hours / $i->is->interval, $is->items),
            array_map(static fn(SeasonItem $i): int => $i->is->latest->number - $from, $is->items),
            array_map(static fn(SeasonItem $i): array => array_values(array_unique(
                array_map(static fn(string $p): int => $panel[$p], $i->is->panels),
            )), $is->items),
            array_map(static fn(SeasonItem $i): float => $i->is->value, $is->items),
            array_values($is->access),
            $work,
            $places,
            $busy,
            $may,
            $groups,
            array_map(static fn(string $mark): array => array_keys(array_filter(
                $is->bays,
                static fn(SeasonBay $b): bool => $b->fits($mark),
            )), $marks),
            $fixed,
            array_map(static fn(SeasonItem $i): bool => $i->is->latest->number - $from <= $last, $is->items),
            $is->dayWeight,
            $is->visitWeight,
            array_map(static fn(SeasonItem $i): bool => $i->roof, $is->items),
            array_map(static fn(SeasonItem $i): bool => $i->wash, $is->items),
            $is->bays,
            array_map(static fn(SeasonItem $i): ?array => $i->wish === null || $i->pull <= 0
                ? null : [$i->wish->number - $from, $i->pull], $is->items),
            array_map(static function (string $mark) use ($is, $from): array {
                $sum = [0.0];
                for ($d = 0; $d < $is->days; $d++) {
                    $sum[] = $sum[$d] + ($is->toll[$mark][$from + $d] ?? 0.0);
                }

                return $sum;
            }, $marks),
            $hands,
        );
    }

    /**
     * Hours that an aircraft's days in a bay from one to another cost, and what it was to fly on them: none at a wash
     * place, nor where it ends before it begins.
     *
     * @pure
     */
    public function standing(int $craft, int $bay, int $start, int $end): float
    {
        return $end < $start || $this->bays[$bay]->wash ? 0.0 : $this->dayWeight * ($end - $start + 1)
            + $this->toll[$craft][$end + 1] - $this->toll[$craft][$start];
    }

    /** Hours that a visit costs for an item that wishes another day. @pure */
    public function away(int $item, int $start): float
    {
        $wish = $this->wishes[$item];

        return $wish === null ? 0.0 : $wish[1] * abs($start - $wish[0]);
    }

    /**
     * The last day of a visit that begins on a working day of a bay; null where the span ends before its hours are
     * worked.
     *
     * @pure
     */
    public function end(int $bay, int $start, float $hours): ?int
    {
        $worked = 0.0;
        for ($d = $start; $d < $this->days; $d++) {
            $worked += $this->work[$bay][$d];
            if (Near::atLeast($worked, $hours)) {
                return $d;
            }
        }

        return null;
    }

    /** Hours that a bay works a visit from one day to another. @pure */
    public function worked(int $bay, int $start, int $end): float
    {
        return array_sum(array_slice($this->work[$bay], $start, $end - $start + 1));
    }

    /**
     * Whether an item may go into a visit that stands: its window holds the first day, which may lie before the span.
     *
     * @pure
     */
    public function inFixed(int $item, int $fixed): bool
    {
        $is = $this->fixed[$fixed];

        return $is['craft'] === $this->craft[$item]
            && $this->opens[$item] <= $is['start'] && $is['start'] <= $this->due[$item]
            && ($is['bay'] === null || $this->bays[$is['bay']]->takes($this->roof[$item], $this->wash[$item]));
    }
}
