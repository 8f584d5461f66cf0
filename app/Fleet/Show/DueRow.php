<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Fleet\Model\ComponentTenure;
use App\Now\PreparedItem;
use Jorvel\Core\Fleet\DueNow;
use Jorvel\Core\Fleet\DueResult;
use Jorvel\Core\Fleet\FleetState;
use Jorvel\Core\Fleet\LastDone;

/** A programme item as it stands on an aircraft, or on a component fitted to it, with the rows that name it. */
final readonly class DueRow
{
    public DueResult $due;

    public ?LastDone $last;

    public FleetState $state;

    /** @param ComponentTenure|null $on where the component sits, for an item of components */
    public function __construct(public PreparedItem $of, public ?ComponentTenure $on, private DueNow $now)
    {
        $this->due = $now->due;
        $this->last = $now->item->last;
        $this->state = $now->state;
    }

    /** "12" for item 12 of the aircraft, "12:7" for item 12 of component 7. */
    public function key(): string
    {
        return $this->now->item->key;
    }

    /** What it is called among the stops of its aircraft. */
    public function stop(): string
    {
        return $this->now->item->stop();
    }

    public function title(): string
    {
        return $this->on === null ? $this->of->item->title : "{$this->of->item->title}, {$this->on->position}";
    }
}
