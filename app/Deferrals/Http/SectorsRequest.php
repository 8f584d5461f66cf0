<?php

declare(strict_types=1);

namespace App\Deferrals\Http;

use App\Shared\Http\RoomRequest;

/** How many days ahead flights are looked at. */
final class SectorsRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['days' => 'integer|between:1,14'];
    }
}
