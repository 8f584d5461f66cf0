<?php

declare(strict_types=1);

namespace App\Visits\Do\Life;

use App\Fleet\Show\DueBook;
use App\Floor\Model\Card;
use App\Shared\Refused;
use App\Visits\Model\Visit;
use Illuminate\Support\Collection;
use Jorvel\Core\Now\ItemNow;
use Jorvel\Core\Shared\Day;

/** Nothing is made overdue by giving it another visit, or its visit another day. */
final readonly class InTime
{
    public function __construct(private DueBook $book) {}

    /**
     * @param Visit $visit in which they are now
     * @param Collection<int, Card> $cards
     * @param Day $start of the visit in which they would be
     *
     * @throws Refused for an item that would be overdue then, and is not now
     */
    public function require(Visit $visit, Collection $cards, Day $start): void
    {
        $in = $cards->filter(static fn(Card $c): bool => $c->item_id !== null)
            ->map(static fn(Card $c): string => ItemNow::keyOf((int) $c->item_id, $c->component_id))->flip();
        if ($start->number <= $visit->start->number || $in->isEmpty()) {
            return;
        }
        $aircraft = $this->book->query()->whereKey($visit->aircraft_id)->firstOrFail();
        foreach ($this->book->items($aircraft) as $row) {
            if (isset($in[$row->key()]) && $row->due->missedBy($start) && ! $row->due->missedBy($visit->start)) {
                throw Refused::because("{$row->of->item->code} {$row->title()} must be done by {$row->due->latest}; a "
                    ."visit from {$start} is too late for it. Nothing was changed.");
            }
        }
    }
}
