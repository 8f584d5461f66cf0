<?php

declare(strict_types=1);

namespace App\Now;

use App\Floor\Model\Card;
use App\Floor\Model\Step;
use App\Shared\Refused;
use Jorvel\Core\Now\CardNow;

/** A card's rows beside their picture: the rows to write to, the picture to ask. */
final readonly class CardFile
{
    /** @param int $floorCount of its aircraft when this was read: {@see CommitOnFloor} */
    public function __construct(public Card $card, public CardNow $now, public int $floorCount) {}

    /** @throws Refused for whoever saw an older one; what they sent is still theirs */
    public function requireVersion(int $seen): void
    {
        $this->card->requireVersion($seen);
    }

    /** @throws Refused when the card has none of that number */
    public function step(int $no): Step
    {
        return $this->card->steps->firstWhere('no', $no) ?? throw Refused::because(
            "Card {$this->card->number} has no step {$no}.",
        );
    }
}
