<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Floor\Model\Card;
use App\Shared\Http\RoomRequest;
use Jorvel\Core\Floor\DamageSize;

/** A damage that is known, measured again. */
final class LookAtDamageRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('raise', Card::class);
    }

    /** @return array<string, mixed> */
    public function rules(): array
    {
        return [
            ...DamageRequest::SIZES,
            'card' => 'sometimes|nullable|integer',
            'note' => 'sometimes|nullable|string|max:300',
        ];
    }

    public function size(): DamageSize
    {
        return DamageRequest::size($this->all());
    }

    public function card(): ?Card
    {
        return $this->input('card') === null
            ? null
            : Card::with('aircraft', 'steps')->findOrFail($this->integer('card'));
    }
}
