<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Floor\Model\Card;
use Illuminate\Database\Eloquent\Collection;
use Jorvel\Core\Visits\WorkHours;

/**
 * What every plan of a visit is made on, loaded once for all that are tried: its hours, who is free in them, its zones,
 * its open cards.
 */
final readonly class VisitGround
{
    /**
     * @param array<string, list<int>> $there free people by skill and slot
     * @param array<string, int> $zones most people by zone
     * @param Collection<int, Card> $cards that are not worked yet
     */
    public function __construct(
        public WorkHours $hours,
        public array $there,
        public array $zones,
        public Collection $cards,
    ) {}
}
