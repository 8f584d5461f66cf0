<?php

declare(strict_types=1);

namespace App\Fleet\Show;

use App\Fleet\Model\ComponentTenure;
use Jorvel\Core\Fleet\DueResult;
use Jorvel\Core\Fleet\LastDone;

/** A programme item as it stands on an aircraft, or on a component fitted to it. */
final readonly class DueRow
{
    /** @param ComponentTenure|null $on where the component sits, for an item of components */
    public function __construct(
        public PreparedItem $of,
        public ?ComponentTenure $on,
        public DueResult $due,
        public ?LastDone $last,
    ) {}

    /** "12" for item 12 of the aircraft, "12:7" for item 12 of component 7. */
    public function key(): string
    {
        return self::keyOf($this->of->id, $this->on?->component_id);
    }

    /** What it is called among the stops of its aircraft. */
    public function stop(): string
    {
        return 'item:'.$this->key();
    }

    public static function keyOf(?int $item, ?int $component): string
    {
        return $component === null ? (string) $item : "{$item}:{$component}";
    }

    public function title(): string
    {
        return $this->on === null ? $this->of->item->title : "{$this->of->item->title}, {$this->on->position}";
    }
}
