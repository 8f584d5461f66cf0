<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Model\Card;
use App\Shared\Http\RoomRequest;

/** A damage that is known, looked at from a card, and as it was. */
final class SameDamageRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('raise', Card::class);
    }

    /** @return array<string, string> */
    public function rules(): array
    {
        return ['card' => 'required|integer'];
    }

    public function card(): Card
    {
        return Card::with('aircraft', 'steps')->findOrFail($this->integer('card'));
    }
}
