<?php

declare(strict_types=1);

namespace App\Now;

use App\Library\Model\ProgrammeItem;
use Jorvel\Core\Fleet\DueItem;

/**
 * A programme item made ready for the core, under given harsh conditions; read once, asked for every aircraft that
 * shares it.
 */
final readonly class PreparedItem
{
    /**
     * @param DueItem $never the item as if never done, its intervals shortened
     * @param float $factor by which they are shortened
     * @param string|null $harsh the condition that shortens them
     */
    private function __construct(
        public int $id,
        public ?string $component,
        public DueItem $never,
        public float $factor,
        public ?string $harsh,
        public ProgrammeItem $item,
    ) {}

    /**
     * What of a programme falls due, under no harsh condition.
     *
     * @param iterable<ProgrammeItem> $programme
     *
     * @return list<self>
     */
    public static function all(iterable $programme): array
    {
        $out = [];
        foreach ($programme as $item) {
            // What is done on the line falls due to nobody: it is good until a day, or it is not.
            if ($item->line !== null) {
                continue;
            }
            $out[] = new self($item->id, $item->component, $item->due(), 1.0, null, $item);
        }

        return $out;
    }

    /**
     * The same item where these conditions are met.
     *
     * @param list<string> $conditions
     */
    public function under(array $conditions): self
    {
        if ($this->item->harsh === null) {
            return $this;
        }
        [$factor, $harsh] = $this->item->harshUse()->under($conditions);

        return new self($this->id, $this->component, $this->item->due($factor), $factor, $harsh, $this->item);
    }
}
