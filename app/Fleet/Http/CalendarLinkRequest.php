<?php

declare(strict_types=1);

namespace App\Fleet\Http;

use App\Fleet\Model\Fleet;
use App\Shared\Http\RoomRequest;

/** A new calendar link, by what it is for. */
final class CalendarLinkRequest extends RoomRequest
{
    public function authorize(): bool
    {
        return $this->person()->can('edit', Fleet::class);
    }

    /** @return array<string, string|list<string>> */
    public function rules(): array
    {
        return [
            'name' => 'required|string|max:60',
        ];
    }
}
