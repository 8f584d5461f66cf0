<?php

declare(strict_types=1);

namespace App\Bench\Http;

use App\Shared\Http\RoomRequest;

/** Which tests of the past: of an aircraft, of a system, older than one of them. */
final class PastTestsRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['mark' => 'string|max:20', 'system' => 'string|max:100', 'before' => 'integer|min:1'];
    }
}
