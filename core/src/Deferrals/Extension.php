<?php

declare(strict_types=1);

namespace Jorvel\Core\Deferrals;

use Jorvel\Core\Shared\InputError;
use Jorvel\Core\Shared\Instant;

/** Days added to a deferral's calendar limit, and when they were granted. */
final readonly class Extension
{
    private function __construct(public int $days, public Instant $granted) {}

    /**
     * @throws InputError
     *
     * @pure
     */
    public static function of(int $days, Instant $granted): self
    {
        return $days >= 1 ? new self($days, $granted) : throw InputError::at('days', 'must be at least 1');
    }
}
