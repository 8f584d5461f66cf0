<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Shared\Http\RoomRequest;

/** A stretch of a recording as it is drawn. */
final class SamplesRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'signals' => 'required|string|max:500',
            'from' => 'required|numeric',
            'to' => 'required|numeric|gt:from',
            'many' => 'required|integer|min:10|max:2000',
        ];
    }
}
