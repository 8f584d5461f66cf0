<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Shared\Http\RoomRequest;

/** On which day, and of which base. */
final class AsOfRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return ['day' => 'date_format:Y-m-d', 'base' => 'string|max:80'];
    }
}
