<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Crew\Model\Person;
use App\Floor\Model\Card;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** A request of a signed-in person. */
abstract class RoomRequest extends FormRequest
{
    public function person(): Person
    {
        $person = $this->user();
        assert($person instanceof Person);

        return $person->loadMissing('qualifications');
    }

    /** Asks the card's policy before anything of the body is looked at. */
    protected function mayOnCard(string $ability, int $cardId): bool
    {
        Gate::forUser($this->person())->authorize($ability, Card::with('assignments')->findOrFail($cardId));

        return true;
    }
}
