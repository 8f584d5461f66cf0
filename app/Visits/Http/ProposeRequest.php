<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;

/** A packing for one aircraft over so many days; slots to leave alone have commas between. */
final class ProposeRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'mark' => 'sometimes|string', 'days' => 'sometimes|integer|min:7|max:730', 'skip' => 'sometimes|string',
        ];
    }
}
