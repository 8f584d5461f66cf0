<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Floor\Touch;
use Jorvel\Core\Shared\Instant;

/** Somebody at a card's work now, with their hands in what the card touches. */
final readonly class PersonAt
{
    public function __construct(
        public string $id,
        public string $name,
        public CardRef $card,
        public Touch $touch,
        public Instant $since,
    ) {}
}
