<?php

declare(strict_types=1);

namespace Jorvel\Core\Now;

use Jorvel\Core\Floor\CardProgress;

/** A card named from elsewhere. */
final readonly class CardRef
{
    /** @param string $visit title of the visit it belongs to */
    public function __construct(
        public string $id,
        public string $number,
        public string $title,
        public CardProgress $state,
        public string $visitId = '',
        public string $visit = '',
    ) {}
}
