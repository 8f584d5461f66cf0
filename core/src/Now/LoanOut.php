<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Shared\Instant;

/** A tool, or rags and small things by number, out on a card. */
final readonly class LoanOut
{
    public function __construct(
        public string $id,
        public string $what,
        public int $quantity,
        public CardRef $card,
        public string $with,
        public Instant $since,
    ) {}
}
