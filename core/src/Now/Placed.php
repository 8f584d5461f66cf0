<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Shared\Instant;

/** A card that somebody is placed on, and when it is planned. */
final readonly class Placed
{
    /** @param Instant|null $from null for a card without a plan */
    public function __construct(
        public string $card,
        public string $number,
        public string $title,
        public ?Instant $from,
        public ?Instant $until,
    ) {}
}
