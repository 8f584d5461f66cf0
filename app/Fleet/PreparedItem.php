<?php

declare(strict_types=1);

namespace App\Fleet;

use App\Library\ProgrammeItem;
use Jorvel\Core\Fleet\DueItem;

/** A programme item made ready for the core, under given harsh conditions; read once, asked for every aircraft that shares it. */
final readonly class PreparedItem
{
    /** @param DueItem $never the item as if never done */
    private function __construct(
        public int $id,
        public ?string $component,
        public DueItem $never,
        public float $factor,
        public ?string $harsh,
        public ProgrammeItem $item,
    ) {}

    /**
     * @param iterable<ProgrammeItem> $programme
     * @param list<string> $conditions
     *
     * @return list<self>
     */
    public static function all(iterable $programme, array $conditions): array
    {
        $out = [];
        foreach ($programme as $item) {
            [$factor, $harsh] = $item->harshUse()->under($conditions);
            $out[] = new self($item->id, $item->component, $item->due(null, $factor), $factor, $harsh, $item);
        }

        return $out;
    }
}
