<?php

declare(strict_types=1);

namespace Jorvel\Core\Bench\Rigging;

/** What a run read, and what was turned after it. */
final readonly class MeasuredRun
{
    /**
     * @param array<string, float> $readings by point
     * @param array<string, float> $moves signed amounts by adjuster; empty for a re-reading, or the last run
     */
    public function __construct(public array $readings, public array $moves = []) {}

    /** Whether something was turned after it. @pure */
    public function turned(): bool
    {
        return array_filter($this->moves, static fn(float $amount): bool => $amount !== 0.0) !== [];
    }
}
