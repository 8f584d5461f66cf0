<?php

declare(strict_types=1);

namespace App\Shared\Http;

use App\Crew\Model\Person;
use App\Floor\Model\Assignment;
use App\Floor\Model\Card;
use App\Shared\Refused;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Str;
use Illuminate\Support\Stringable;

/** A request of a signed-in person. */
abstract class RoomRequest extends FormRequest
{
    /** What a signature is asked for with. */
    protected const SIGNATURE = ['stamp' => 'required|string|max:20', 'pin' => 'required|string|max:20'];

    public function person(): Person
    {
        $person = $this->user();
        assert($person instanceof Person);

        return $person->loadMissing('qualifications');
    }

    /**
     * Text of a field; whatever is no text is refused by its name.
     *
     * @param string $key
     * @param mixed $default
     *
     * @throws Refused
     */
    public function string($key, $default = null): Stringable
    {
        $value = $this->input($key, $default);
        if ($value !== null && ! is_scalar($value)) {
            throw Refused::because("{$key}: must be text. Nothing was changed.");
        }

        return Str::of((string) $value);
    }

    /** Asks the card's policy before anything of the body is looked at. */
    protected function mayOnCard(string $ability, int $cardId): bool
    {
        $assignments = Assignment::where('card_id', $cardId)->get();
        // Of the card itself a policy asks only who is on it.
        $card = $assignments->isEmpty() ? Card::findOrFail($cardId) : (new Card)->forceFill(['id' => $cardId]);
        Gate::forUser($this->person())->authorize($ability, $card->setRelation('assignments', $assignments));

        return true;
    }
}
