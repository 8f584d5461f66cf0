<?php

declare(strict_types=1);

namespace App\Visits\Http;

use App\Shared\Http\RoomRequest;

/** A month of the season on paper. */
final class SeasonSheetRequest extends RoomRequest
{
    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return ['month' => 'required|date_format:Y-m', 'size' => 'in:A4,A3'];
    }
}
