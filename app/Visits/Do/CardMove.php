<?php

declare(strict_types=1);

namespace App\Visits\Do;

use App\Floor\Model\Card;
use App\Visits\Model\Visit;
use Jorvel\Core\Shared\Instant;
use Jorvel\Core\Visits\PlanResult;

/** A card moved, and the plan that follows; not saved. */
final readonly class CardMove
{
    /**
     * @param array{not_before: string|null, first: bool} $set on the card
     * @param float $sooner hours by which the aircraft could leave sooner if the others closed up
     */
    public function __construct(
        public Visit $visit,
        public Card $card,
        public array $set,
        public ?Instant $to,
        public PlanAsk $ask,
        public PlanResult $result,
        public float $sooner,
    ) {}
}
