<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Shared\Http\RoomRequest;
use Illuminate\Support\Facades\Gate;

/** A request about a card: the card's policy is asked before anything of the body is looked at. */
abstract class CardRequest extends RoomRequest
{
    protected function mayOnCard(string $ability, int $cardId): bool
    {
        $assignments = Assignment::where('card_id', $cardId)->get();
        // Of the card itself a policy asks only who is on it.
        $card = $assignments->isEmpty() ? Card::findOrFail($cardId) : (new Card)->forceFill(['id' => $cardId]);
        Gate::forUser($this->person())->authorize($ability, $card->setRelation('assignments', $assignments));

        return true;
    }
}
