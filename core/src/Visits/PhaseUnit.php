<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

/** Items that stay in one phase: one alone, or all that are to be done together. */
final readonly class PhaseUnit
{
    /**
     * @param list<int> $items their places in the input
     * @param float $hours of all of them
     * @param list<string> $panels they need, each once
     */
    public function __construct(public array $items, public float $hours, public array $panels) {}
}
