<?php

declare(strict_types=1);

namespace App\Crew\Do;

use App\Floor\Model\Card;
use Jorvel\Core\Crew\AssignSlot;
use Jorvel\Core\Crew\Role;
use Jorvel\Core\Shared\Instant;

/**
 * A place to be filled on a shift: a role on a card that is planned in it, or the certificate of a visit that ends in
 * it.
 */
final readonly class ShiftSlot
{
    public function __construct(
        public AssignSlot $slot,
        public ?Card $card,
        public string $mark,
        public string $title,
        public Instant $from,
        public Instant $until,
    ) {}

    /** Whether nobody can take both: they fall into the same time. */
    public function meets(self $other): bool
    {
        return $this->from->isBefore($other->until) && $other->from->isBefore($this->until);
    }
}
