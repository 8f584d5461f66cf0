<?php

declare(strict_types=1);

namespace App\Floor\Http;

use App\Shared\Http\RoomRequest;

/** A reading as it is being typed. */
final class PreviewRequest extends RoomRequest
{
    /** @return array<string, string> */
    public function rules(): array
    {
        return [
            'entry' => 'present|nullable|string|max:60',
            'point' => 'nullable|string|max:60',
            'tool' => 'nullable|string|max:60',
            // What the other points of a sheet read, where one goes by a chart.
            'entries' => 'nullable|array|max:100',
            'entries.*' => 'nullable|string|max:60',
        ];
    }
}
