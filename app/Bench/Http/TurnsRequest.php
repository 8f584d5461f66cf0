<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Shared\Http\RoomRequest;

/** What is meant to be turned, as it is being typed. */
final class TurnsRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['entries' => 'present|array|max:100', 'entries.*' => 'nullable|string|max:60'];
    }
}
