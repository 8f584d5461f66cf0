<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;

/** A deep check cut into phases, so many months apart. */
final class PhasesRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'type' => 'sometimes|string|exists:aircraft_types,code',
            'months' => 'sometimes|integer|min:1|max:240',
            'phases' => 'sometimes|integer|min:1|max:12',
        ];
    }
}
