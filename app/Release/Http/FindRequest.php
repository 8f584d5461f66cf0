<?php

declare(strict_types=1);

namespace App\Release\Http;

use App\Shared\Http\RoomRequest;

/** Past releases, by words of their title, mark or number. */
final class FindRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'find' => 'nullable|string|max:100',
        ];
    }
}
