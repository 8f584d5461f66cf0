<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Shared\Http\RoomRequest;

/** What falls due within so many days, of all or of one aircraft. */
final class DueRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'days' => 'integer|between:0,3660', 'mark' => 'string',
        ];
    }
}
