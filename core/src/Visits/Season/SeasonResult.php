<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits\Season;

use Jorvel\Core\Shared\Near;

/** A season: its new visits, what goes into those that stand, and what is left out. */
final readonly class SeasonResult
{
    /**
     * @param list<array{
     *   aircraft: string, bay: string, start: string, end: string, items: list<string>, hours: float,
     *   access_hours: float, free_hours: float,
     * }> $visits
     * @param list<array{id: string, items: list<string>, free_hours: float}> $fixed
     * @param list<array{id: string, reason: string}> $unplaced `later`, `no_day_in_window`, `no_room`
     * @param list<string> $standing aircraft with an item left out
     * @param float $cost hours
     * @param float $lowerBound of every plan equal in what is placed; 0 where that is not proven
     */
    private function __construct(
        public array $visits,
        public array $fixed,
        public array $unplaced,
        public array $standing,
        public float $cost,
        public float $lowerBound,
        public bool $proven,
    ) {}

    /**
     * @param list<int> $lost items that fit nowhere
     * @param bool $all whether everything else is placed
     */
    public static function of(
        SeasonGiven $given,
        SeasonBoard $board,
        SeasonPlan $plan,
        array $lost,
        float $bound,
        bool $all,
    ): self {
        $ids = static function (array $items) use ($given): array {
            sort($items);

            return array_map(static fn(int $i): string => $given->items[$i]->is->id, $items);
        };
        $order = array_values($plan->visits);
        usort($order, static fn(SeasonVisit $a, SeasonVisit $b): int => [
            $a->start, $a->bay, $board->aircraft[$a->craft],
        ] <=> [$b->start, $b->bay, $board->aircraft[$b->craft]]);
        $visits = array_map(static fn(SeasonVisit $v): array => [
            'aircraft' => $board->aircraft[$v->craft], 'bay' => $given->bays[$v->bay]->id,
            'start' => (string) $given->from->plusDays($v->start), 'end' => (string) $given->from->plusDays($v->end),
            'items' => $ids($v->items), 'hours' => $v->hours, 'access_hours' => $v->access,
            'free_hours' => max(0.0, $board->worked($v->bay, $v->start, $v->end) - $v->total()),
        ], $order);
        $unplaced = $standing = [];
        foreach ($given->items as $i => $item) {
            if ($plan->placed($i)) {
                continue;
            }
            $unplaced[] = ['id' => $item->is->id, 'reason' => match (true) {
                ! $board->counts[$i] => 'later',
                in_array($i, $lost, true) => 'no_day_in_window',
                default => 'no_room',
            }];
            if ($board->counts[$i]) {
                $standing[$item->aircraft] = true;
            }
        }
        $standing = array_map(strval(...), array_keys($standing));
        sort($standing, SORT_STRING);
        $cost = $plan->cost();

        return new self(
            $visits,
            array_map(static fn(SeasonFixed $f, int $n): array => [
                'id' => $f->id, 'items' => $ids(array_keys($plan->inFixed, $n, true)), 'free_hours' => $plan->free($n),
            ], $given->fixed, array_keys($given->fixed)),
            $unplaced,
            $standing,
            $cost,
            $bound,
            $all && Near::atMost($cost, $bound),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'visits' => $this->visits, 'fixed' => $this->fixed, 'unplaced' => $this->unplaced,
            'standing' => $this->standing, 'cost' => $this->cost, 'lower_bound' => $this->lowerBound,
            'proven' => $this->proven,
        ];
    }
}
