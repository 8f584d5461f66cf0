<?php

declare(strict_types=1);

namespace Jorvel\Core\Crew;

use Jorvel\Core\Shared\Instant;

/** A shift that comes too soon after the one before (`rest_short`), or makes a stretch too long (`too_long`). */
final readonly class RestBreach
{
    /**
     * @param Instant $at when the shift begins
     * @param float $hours of rest before it, or of the stretch
     */
    public function __construct(public string $code, public Instant $at, public float $hours) {}
}
