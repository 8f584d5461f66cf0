<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Fleet\Due;
use Jorvel\Core\Fleet\DueItem;
use Jorvel\Core\Fleet\DueResult;
use Jorvel\Core\Fleet\Flying;
use Jorvel\Core\Fleet\LastDone;
use Jorvel\Core\Shared\InputError;

/** A programme item as it stands on an aircraft, or on a component fitted to it. */
final readonly class ItemNow
{
    /**
     * @param string $key `12` for item 12 of the aircraft, `12:7` for item 12 of component 7
     * @param DueItem $never the item as if never done, its intervals as its use shortens them
     * @param Flying $flying of what it counts on: the aircraft's, or the component's own counters
     * @param LastDone|null $last null where it was never done
     */
    public function __construct(
        public string $key,
        public DueItem $never,
        public Flying $flying,
        public ?LastDone $last,
    ) {}

    /** What an item is called by: its own number, and that of the component on which it counts. @pure */
    public static function keyOf(int|string|null $item, int|string|null $component): string
    {
        return $component === null ? (string) $item : "{$item}:{$component}";
    }

    /** What it is called among the stops of its aircraft. @pure */
    public function stop(): string
    {
        return 'item:'.$this->key;
    }

    /**
     * When it falls due.
     *
     * @throws InputError as {@see Due::since()}
     *
     * @pure
     */
    public function due(int $warnDays): DueResult
    {
        return Due::since($this->flying, $this->never, $this->last, $warnDays);
    }
}
