<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Shared\Http\RoomRequest;

/** The damage map of an aircraft; from a card, with what was looked at from there. */
final class DamageMapRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['card' => 'sometimes|integer'];
    }

    public function card(): ?int
    {
        return $this->input('card') === null ? null : $this->integer('card');
    }
}
