<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Shared\Http\RoomRequest;

/** What is carried, of all or of one aircraft, a page at a time. */
final class DeferralsRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['mark' => 'string|exists:aircraft,mark', 'page' => 'integer|between:1,100000'];
    }
}
