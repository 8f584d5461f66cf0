<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;

/** For how many days a season is looked at. */
final class SeasonDaysRequest extends RoomRequest
{
    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return ['days' => 'integer|min:7|max:400'];
    }
}
