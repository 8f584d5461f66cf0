<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

use Jorvel\Core\Crew\Rota;
use Jorvel\Core\Shared\Day;

/**
 * What a visit's cards will lack on their day: a part that is not in, a tool that is away or out of calibration, people
 * who may do it. Parts go to the cards in the order of their days.
 */
final readonly class Shortages
{
    /**
     * @param array<string, int> $stock parts in the store, by number
     * @param array<string, list<array{int, Day}>> $coming by part number: how many, and when they are expected
     * @param array<string, list<Day|null>> $tools by kind: the last day of each one's calibration, null for one that is
     *   away
     */
    public function __construct(
        private array $stock,
        private array $coming,
        private array $tools,
        private Rota $rota,
    ) {}

    /**
     * @param list<CardNeeds> $cards not yet closed
     *
     * @return list<Shortage> by card in the order given, parts first, then tools, then people
     *
     * @pure
     */
    public function of(array $cards, string $type): array
    {
        $parts = $this->parts($cards);
        $all = [];
        foreach ($cards as $card) {
            $all = [...$all, ...$parts[$card->id] ?? [], ...$this->tools($card), ...$this->people($card, $type)];
        }

        return $all;
    }

    /**
     * @param list<CardNeeds> $cards
     *
     * @return array<string, list<Shortage>>
     */
    private function parts(array $cards): array
    {
        usort($cards, static fn(CardNeeds $a, CardNeeds $b): int => $a->on->number <=> $b->on->number);
        $short = [];
        $stock = $this->stock;
        $coming = $this->coming;
        foreach ($coming as $no => $lots) {
            usort($lots, static fn(array $a, array $b): int => $a[1]->number <=> $b[1]->number);
            $coming[$no] = $lots;
        }
        foreach ($cards as $card) {
            foreach ($card->parts as $no => $many) {
                $left = $many - ($stock[$no] ?? 0);
                $stock[$no] = max(0, -$left);
                $last = null;
                while ($left > 0 && ($coming[$no] ?? []) !== []) {
                    [$lot, $day] = $coming[$no][0];
                    $took = min($lot, $left);
                    $left -= $took;
                    $last = $day;
                    if ($lot > $took) {
                        $coming[$no][0] = [$lot - $took, $day];
                    } else {
                        array_shift($coming[$no]);
                    }
                }
                if ($left > 0) {
                    $short[$card->id][] = new Shortage($card->id, 'part_missing', (string) $no, null, $left);
                } elseif ($last !== null && $last->number > $card->on->number) {
                    $short[$card->id][] = new Shortage($card->id, 'part_late', (string) $no, $last, 0);
                }
            }
        }

        return $short;
    }

    /** @return list<Shortage> */
    private function tools(CardNeeds $card): array
    {
        $short = [];
        foreach ($card->tools as $kind) {
            $good = array_filter(
                $this->tools[$kind] ?? [],
                static fn(?Day $until): bool => $until !== null && $until->number >= $card->on->number,
            );
            if ($good === []) {
                $lapsed = array_filter($this->tools[$kind] ?? []);
                $short[] = new Shortage(
                    $card->id,
                    'tool_out',
                    $kind,
                    $lapsed === [] ? null : array_reduce(
                        $lapsed,
                        static fn(?Day $last, Day $d): Day => $last === null || $d->number > $last->number ? $d : $last,
                    ),
                    1,
                );
            }
        }

        return $short;
    }

    /** @return list<Shortage> */
    private function people(CardNeeds $card, string $type): array
    {
        $short = [];
        foreach ($card->people as $skill => $many) {
            $able = $this->rota->able($card->on, $type, (string) $skill);
            if ($able < $many) {
                $short[] = new Shortage(
                    $card->id,
                    $able === 0 ? 'nobody' : 'too_few',
                    (string) $skill,
                    $card->on,
                    $many - $able,
                );
            }
        }

        return $short;
    }
}
