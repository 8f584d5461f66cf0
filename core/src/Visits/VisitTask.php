<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

/** A card of a visit, as its order sees it. */
final readonly class VisitTask
{
    /**
     * @param list<string> $panels that must be open for it
     * @param string|null $jacks `on` where it needs the aircraft on jacks, `off` where on its wheels, null where either
     *   does
     * @param string|null $makes `open:P` and `close:P` for a panel P, `raise`, `lower`; null for work itself
     * @param list<string> $after cards that it waits for besides
     */
    public function __construct(
        public string $id,
        public VisitStage $stage,
        public array $panels = [],
        public ?string $jacks = null,
        public ?string $makes = null,
        public array $after = [],
    ) {}
}
