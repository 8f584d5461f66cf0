<?php

declare(strict_types=1);

namespace Jorvel\Core\Release;

/** A lock, pin, cover, cap, collar or notice that was fitted. */
final readonly class Safing
{
    /** @param string|null $carriedBy the finding whose deferral keeps it on */
    public function __construct(public string $id, public bool $removed, public ?string $carriedBy) {}
}
