<?php

declare(strict_types=1);

namespace Jorvel\Core\Visits;

/** An inspection of the past: hours looked, and how long each thing it turned up took to fix. */
final readonly class PastLook
{
    /**
     * @param float $hours looked, above 0
     * @param int $findings at least 0
     * @param list<float> $fixHours of those that were fixed, each above 0
     */
    public function __construct(public float $hours, public int $findings, public array $fixHours) {}
}
