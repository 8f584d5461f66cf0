<?php

declare(strict_types=1);

namespace Jorvel\Core\Fleet;

use Jorvel\Core\Now\ItemNow;

/** What a card does of an aircraft's programme, and so which of its stops it takes away. */
final readonly class Takes
{
    /**
     * @param array<array-key, list<string>> $includes items that a deeper one includes, by its id; the type's own
     *   numbers
     */
    public function __construct(private array $includes) {}

    /**
     * The items that are done with a card: its own, and what a deeper one includes. The first is its own.
     *
     * @param string|null $item null for a card that is of no item
     * @param string|null $component on which it works
     *
     * @return list<string> keys as of {@see ItemNow}
     *
     * @pure
     */
    public function items(?string $item, ?string $component): array
    {
        return $item === null ? [] : [ItemNow::keyOf($item, $component), ...$this->includes[$item] ?? []];
    }

    /**
     * The stops that it takes away: of those items, and of a bottle that it works on.
     *
     * @return list<string>
     *
     * @pure
     */
    public function stops(?string $item, ?string $component): array
    {
        $stops = array_map(static fn(string $key): string => "item:{$key}", $this->items($item, $component));

        return $component === null ? $stops : [...$stops, "bottle:{$component}"];
    }
}
