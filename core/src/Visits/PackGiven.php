<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

/** A packing made by hand, judged. */
final readonly class PackGiven
{
    /**
     * @param PackResult $packing with its cost; `proven` says nothing about it
     * @param array<array-key, string> $misfits `too_late` or `too_early` by item
     * @param list<string> $full visits that hold more than they can
     */
    public function __construct(public PackResult $packing, public array $misfits, public array $full) {}

    /** Nothing is overdue, too early or too much. @pure */
    public function holds(): bool
    {
        return $this->misfits === [] && $this->full === [];
    }
}
