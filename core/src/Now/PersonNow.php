<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Crew\OnRota;

/** Somebody of the crew: what they are qualified for, when they work, and where they are placed. */
final readonly class PersonNow
{
    /** @param list<Placed> $placed on cards that are not worked yet */
    public function __construct(
        public string $id,
        public string $name,
        public OnRota $rota,
        public array $placed = [],
    ) {}
}
