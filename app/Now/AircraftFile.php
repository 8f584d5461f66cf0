<?php

declare(strict_types=1);

namespace App\Now;

use App\Fleet\Model\Aircraft;
use App\Fleet\Model\ComponentTenure;
use Jorvel\Core\Now\AircraftNow;
use Jorvel\Core\Now\ItemNow;

/** An aircraft's picture, with the rows that it was made of, for who has to name them. */
final readonly class AircraftFile
{
    /** @param list<array{PreparedItem, ComponentTenure|null}> $rows of the picture's items, in its order */
    public function __construct(public Aircraft $aircraft, public AircraftNow $now, public array $rows) {}

    /** @return array<string, string> the title of the visit on whose card an item is, by the item's key */
    public function carded(): array
    {
        $carded = [];
        foreach ($this->aircraft->visits as $visit) {
            foreach ($visit->cards as $card) {
                if ($card->item_id !== null) {
                    $carded[ItemNow::keyOf($card->item_id, $card->component_id)] = $visit->title;
                }
            }
        }

        return $carded;
    }
}
